<script setup lang="ts">
import type { ForecastKind, ScoredForecast } from '#contracts/learning'
import { scorecardOf, type ScoreLine } from '#core/learning/scorecard'

/** Every forecast against what came: which to lean on, and what own records make of the next. */
useHead({ title: 'Said and came · Mantle' })
const workshop = useWorkshop()
const { say, offsets, settings, today } = storeToRefs(workshop)
const toasts = useToasts()
const list = shallowRef<ScoredForecast[] | null>(null)
const problem = ref('')
async function load() {
  try {
    list.value = await api.get<ScoredForecast[]>('/api/learning/said')
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)
const lines = computed(() => scorecardOf(list.value ?? [], offsets.value))
const groups = computed(() =>
  [
    {
      says: 'Do not lean on these yet',
      lines: lines.value.filter(({ verdict }) => verdict === 'too-sure' || verdict === 'mended'),
    },
    { says: 'Lean on these', lines: lines.value.filter(({ verdict }) => verdict === 'keeps') },
    { says: 'Too few to tell', lines: lines.value.filter(({ verdict }) => verdict === 'few') },
  ].filter((group) => group.lines.length),
)
const route = useRoute()
const router = useRouter()
const chosen = computed(
  (): ScoreLine | null =>
    lines.value.find(({ what }) => what === route.query.of) ??
    lines.value.find(({ offset }) => offset) ??
    lines.value[0] ??
    null,
)
const over = ref(false)
function choose(what: ForecastKind) {
  over.value = true
  void router.replace({ query: { of: what } })
}
const first = computed(() => list.value?.[0]?.due ?? null)
const medianText = (line: ScoreLine): string => {
  if (line.verdict === 'few') return `${say.value.number(line.list.length)} came due`
  if (line.what === 'stage') {
    const times = Math.round((line.times - 1) * 100)
    return times
      ? `median ${say.value.number(Math.abs(times))} % ${times > 0 ? 'later' : 'sooner'}`
      : 'median as said'
  }
  return `median ${offText(line.what, line.off, say.value)}`
}
const applied = (line: ScoreLine): string => {
  if (line.verdict === 'few') return 'speaks from 3 on'
  const promised = Math.round(line.list.length * 0.9)
  if (line.what === 'net')
    return line.inside === line.list.length
      ? 'no bar was under its label'
      : `${say.value.count(line.list.length - line.inside, 'batch', 'batches')} under the label`
  return `promised ${say.value.number(promised)} · ${
    line.offset
      ? `× ${say.value.number(line.offset.factor, 2)} applied`
      : isMovable(line.what)
        ? 'nothing to mend'
        : 'never moved'
  }`
}
const busy = ref(false)
/** From today on nothing is moved until three more have come due; with the way back. */
async function reset(what: ForecastKind) {
  if (!isMovable(what) || busy.value) return
  busy.value = true
  const before = settings.value.learning.resets
  const keep = (resets: typeof before) => workshop.save({ learning: { resets } })
  try {
    await keep({ ...before, [what]: today.value })
    toasts.show(`${forecastNames[what]}: moved by nothing until three more have come due.`, {
      undo: async () => {
        try {
          const { [what]: _, ...rest } = settings.value.learning.resets
          await keep(before[what] ? { ...rest, [what]: before[what] } : rest)
        } catch (error) {
          toasts.show(sentenceOf(error), { bad: true })
        }
      },
    })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 pt-4 pb-6 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 class="!text-[26px]">Said and came</h1>
      <p class="text-ink-2">
        Every forecast stays as it was made on its day.{{ ' '
        }}<template v-if="first && list?.length">
          {{ say.number(list.length) }} {{ say.plural(list.length, 'has', 'have') }} come due since
          {{ monthText(first, '') }}.</template
        >
      </p>
      <span class="ml-auto flex gap-3"><AppButton to="/journal">Back to the book</AppButton></span>
    </div>
    <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>
    <div v-if="list && !list.length" class="sheet mt-4 max-w-xl px-6 py-5">
      <h2>No forecast has come due yet.</h2>
      <p class="mt-1">
        At the bench Mantle says how hot the lye gets, when both vessels meet, when trace comes,
        when to unmould; at the cut and at every weigh-in, when a bar is dry. Each is kept as it was
        said, and stands here beside what came.
      </p>
    </div>
    <div
      v-if="chosen"
      class="mt-3 grid grid-cols-1 rounded-sm bg-slate-2 p-2 lg:grid-cols-[minmax(0,732fr)_minmax(0,484fr)]"
    >
      <div class="bg-sheet py-4" :class="over ? 'max-lg:hidden' : ''">
        <section v-for="group in groups" :key="group.says" class="mb-4">
          <h2
            class="mx-6 grid grid-cols-[minmax(120px,1fr)_280px_minmax(0,1.2fr)] border-b border-line pb-2 max-sm:block"
          >
            {{ group.says }}
            <span
              v-if="group === groups[0]"
              class="flex justify-between text-[13px] font-normal text-ink-2 max-sm:hidden"
              aria-hidden="true"
              ><span>less, sooner</span><span>as said</span><span>more, later</span></span
            >
          </h2>
          <button
            v-for="line in group.lines"
            :key="line.what"
            type="button"
            class="grid w-full grid-cols-[minmax(120px,1fr)_280px_minmax(0,1.2fr)] items-center gap-x-3 px-6 py-1 text-left max-sm:grid-cols-1 max-sm:py-3"
            :class="line.what === chosen.what ? 'bg-warn-ground' : ''"
            :aria-pressed="line.what === chosen.what"
            @click="choose(line.what)"
          >
            <span>
              <b class="block text-[15px]">{{ forecastNames[line.what] }}</b>
              <span class="text-[13.5px] text-ink-2">{{ medianText(line) }}</span>
            </span>
            <SaidPlank :line="line" />
            <span class="text-[13.5px]">
              <span class="block text-[14.5px]"
                ><b
                  v-if="verdictWords[line.verdict]"
                  :class="
                    line.verdict === 'too-sure' || line.verdict === 'mended' ? 'text-warn' : ''
                  "
                  >{{ verdictWords[line.verdict] }}</b
                >
                {{ say.number(line.inside) }} of {{ say.number(line.list.length) }} inside<template
                  v-if="line.verdict === 'few'"
                  >, which says little</template
                ></span
              >
              <span class="text-ink-2">{{ applied(line) }}</span>
            </span>
          </button>
        </section>
      </div>
      <div
        class="border-line-3 bg-sheet px-5 pt-6 pb-5 lg:border-l-2 lg:border-dashed"
        :class="over ? '' : 'max-lg:hidden'"
      >
        <button type="button" class="link mb-3 lg:hidden" @click="over = false">
          Back to all forecasts
        </button>
        <SaidDetail :line="chosen" @reset="reset(chosen.what)" />
      </div>
    </div>
  </div>
</template>
