<script setup lang="ts">
import type { WholeTrial } from '#contracts/trial'
import { noseDays } from '#core/scents/noses'
import { clockText } from '#core/scents/finding'
import { stretchesOf } from '#core/trials/stretches'
import { trialBatters } from '#core/trials/plan'
import { addDays } from '#core/units/days'
import { standingEvents } from '#core/units/standingEvents'

/** A trial day: before it what to lay out and print, after it what its pots did. */
const route = useRoute()
const router = useRouter()
const trials = useTrials()
const scents = useScents()
const materials = useMaterials()
const batches = useBatches()
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())
const id = computed(() => String(route.params.id))
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
onMounted(async () => {
  void scents.load()
  void batches.load()
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id.value}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const document = computed(() => trial.value?.document ?? null)
useHead({ title: computed(() => `Trial day ${document.value?.number ?? ''} · Mantle`) })
const batters = computed(() =>
  document.value ? trialBatters(document.value, materials.library) : [],
)
const batch = computed(() => batches.list.find((one) => one.id === document.value?.batchId) ?? null)
const colourOf = (scentId: string | null) =>
  scentId ? (scents.known.get(scentId)?.scent.colour ?? '#8d6aa8') : '#8a9794'
const noted = computed(() => {
  const events = standingEvents(trial.value?.events ?? [])
  const began = events.find(({ kind }) => kind === 'began')
  return events.flatMap((event) =>
    event.kind === 'noted'
      ? [
          {
            id: event.id,
            says: event.says,
            photo: event.photo,
            code: event.pot === null ? 'all' : (document.value?.pots[event.pot]?.code ?? ''),
            at: began ? clockText((Date.parse(event.at) - Date.parse(began.at)) / 60_000) : '',
          },
        ]
      : [],
  )
})
const shown = computed(() =>
  (trial.value?.found ?? []).map((pot) => ({
    pot,
    stretches:
      Object.keys(pot.stages).length || pot.until > pot.zero
        ? stretchesOf(pot.stages, pot.until - pot.zero)
        : [],
    says:
      pot.seized !== null
        ? `seizes at ${clockText(pot.seized)}`
        : pot.stages.medium
          ? `medium at ${clockText(pot.stages.medium.minutes)}${pot.stages.medium.unsure ? ' ?' : ''}`
          : trial.value?.state === 'planned'
            ? ''
            : 'never medium',
  })),
)
async function remove() {
  if (!trial.value) return
  try {
    await trials.remove(trial.value)
    await router.push('/scents')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const print = () => window.print()
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <EmptyState v-if="problem" title="This trial day cannot be shown">
      {{ problem }}
      <template #actions><AppButton to="/scents">All scents</AppButton></template>
    </EmptyState>
    <template v-else-if="trial && document">
      <div class="mb-3 flex flex-wrap items-center gap-3">
        <div class="mr-auto">
          <h1>Trial day {{ document.number }}</h1>
          <p class="text-ink-2">
            {{ dayText(document.day, { weekday: true, long: true }) }},
            {{ document.formula.name }} batter, {{ say.count(document.pots.length, 'pot', 'pots')
            }}<template v-if="document.note">. {{ document.note }}</template>
          </p>
        </div>
        <AppButton v-if="trial.state === 'planned'" :to="`/scents/trials/${id}/pad`"
          >Pad and labels</AppButton
        >
        <AppButton v-else class="print:hidden" @click="print">Print</AppButton>
        <AppButton
          v-if="trial.state === 'planned'"
          class="print:hidden"
          :to="`/scents/trials/${id}/paper`"
          >Write up from paper</AppButton
        >
        <AppMenu
          v-if="trial.state !== 'done'"
          class="print:hidden"
          :label="`More for trial day ${document.number}`"
          :entries="[{ says: 'Delete', danger: true, act: () => void remove() }]"
        />
        <AppButton
          v-if="trial.state !== 'done'"
          kind="main"
          class="print:hidden"
          :to="`/scents/trials/${id}/round`"
          >{{ trial.state === 'planned' ? 'Begin the round' : 'Back to the round' }}</AppButton
        >
        <AppButton v-else kind="main" class="print:hidden" to="/scents/found"
          >What the trials found</AppButton
        >
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_328px]">
        <section class="sheet px-4 py-3">
          <h2 class="text-sm font-semibold text-ink-2">
            {{ trial.state === 'planned' ? 'The tray' : 'What its pots did' }}
          </h2>
          <ol>
            <li
              v-for="{ pot, stretches, says } in shown"
              :key="pot.code"
              class="grid grid-cols-[64px_minmax(0,160px)_minmax(0,1fr)] items-center gap-x-3 border-t border-line-2 py-1 sm:grid-cols-[64px_170px_minmax(0,1fr)_140px]"
            >
              <b class="figure underline underline-offset-2">{{ pot.code }}</b>
              <span class="min-w-0">
                <NuxtLink
                  v-if="pot.scentId"
                  :to="`/scents/${pot.scentId}`"
                  class="block truncate font-semibold hover:underline"
                  >{{ pot.name }}</NuxtLink
                >
                <b v-else class="block">Plain</b>
                <span class="figure block text-[13px] text-ink-2">
                  {{ say.number(pot.batter, undefined, 1) }} g<template v-if="pot.scentId"
                    >, {{ say.number(pot.scent, undefined, 2) }} g
                    <span :class="pot.off ? 'font-semibold text-warn' : ''"
                      >{{ say.percent(pot.rate, 1) }}{{ pot.off ? ' ▲' : '' }}</span
                    ></template
                  >, {{ say.ratio(pot.ratio) }}</span
                >
              </span>
              <StageRibbon
                v-if="trial.state !== 'planned'"
                :stretches="stretches"
                :colour="colourOf(pot.scentId)"
                :riced="pot.riced"
                :height="22"
                :ticks="false"
              />
              <span class="max-sm:hidden">{{ says }}</span>
            </li>
          </ol>
        </section>
        <div class="grid gap-3">
          <section v-if="noted.length" class="sheet px-4 py-3" aria-labelledby="noted">
            <h2 id="noted" class="text-sm font-semibold text-ink-2">Noted in the round</h2>
            <ul class="mt-1 grid gap-1.5">
              <li v-for="one in noted" :key="one.id" class="flex gap-3">
                <b class="figure w-14 shrink-0">{{ one.code }}</b>
                <span class="min-w-0 flex-1"
                  ><span class="typed">{{ one.says }}</span>
                  <a
                    v-if="one.photo"
                    :href="`/api/photos/${one.photo}`"
                    target="_blank"
                    rel="noopener"
                    ><img
                      :src="`/api/photos/${one.photo}`"
                      :alt="`Photo of ${one.code}`"
                      class="mt-1 h-24 object-cover"
                      loading="lazy" /></a
                ></span>
                <span class="figure text-ink-2">{{ one.at }}</span>
              </li>
            </ul>
          </section>
          <BatterGlass
            v-if="trial.state === 'planned' && batters.length"
            :batters="batters"
            :batch="batch"
          />
          <TrialConditions :trial="document" />
          <section class="sheet px-4 py-3">
            <h2 class="text-sm font-semibold text-ink-2">Noses and a photo after</h2>
            <ul class="mt-1">
              <li v-for="day in noseDays" :key="day" class="flex gap-3">
                <b class="figure w-14">day {{ day }}</b>
                <span class="flex-1">{{ dayText(addDays(document.day, day)) }}</span>
                <span class="text-ok">{{ trial.sniffed.includes(day) ? 'done' : '' }}</span>
              </li>
            </ul>
            <AppButton
              v-if="trial.state === 'done'"
              class="mt-2 print:hidden"
              :to="`/scents/trials/${id}/colours`"
              >Look at colours in a photo</AppButton
            >
          </section>
        </div>
      </div>
    </template>
  </div>
</template>
