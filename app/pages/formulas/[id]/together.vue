<script setup lang="ts">
import { oddsText } from '#core/risk/oddsText'
import { thumbnailOf } from '#core/batter/thumbnail'
import { changesBetween } from '#core/versions/changes'
import type { MergePlace, Side } from '#core/versions/merge'
import { inSentence } from '#core/units/language'

/** A formula that was changed in two places at once: both sides beside what comes of them together. */
const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const together = useTogether(id)
const {
  loaded,
  problem,
  theirs,
  draft,
  sides,
  places,
  choices,
  open,
  merged,
  faults,
  figures,
  busy,
} = together
const formulas = useFormulas()
const workshop = useWorkshop()
const toasts = useToasts()
const { say } = storeToRefs(workshop)
const { library } = storeToRefs(useMaterials())
const name = computed(() => theirs.value?.document.name ?? 'Formula')
useHead({ title: () => `Two sides of ${name.value} · Mantle` })
onMounted(() => {
  void together.load()
  void formulas.load()
})
watch(loaded, (now) => {
  // Nothing of this window is waiting: there is nothing to choose.
  if (now && !draft.value) void router.replace(`/formulas/${id}`)
})

const who = computed(() => ({
  theirs: theirs.value?.changedBy || 'The other window',
  mine: 'Yours, here',
}))
const when = computed(() => ({
  theirs: theirs.value ? workshop.timeOf(theirs.value.changedAt) : '',
  mine: draft.value ? workshop.timeOf(draft.value.at) : '',
}))
const chosen = ({ key, by }: MergePlace): Side | null =>
  choices.value[key] ?? (by === 'clash' ? null : by === 'theirs' ? 'theirs' : 'mine')
const set = (key: string, side: Side) => (choices.value = { ...choices.value, [key]: side })
const words = (text: string | null) => text ?? 'not in it'
const alone = computed(() => places.value.filter(({ by }) => by !== 'clash').length)
const clashes = computed(() => places.value.length - alone.value)
/** What stands in all three alike, in a line: how the merged one differs from an empty formula is of no interest here. */
const alike = computed(() => {
  if (!sides.value) return ''
  const touched = new Set(places.value.map(({ list, id: line }) => `${list} ${line}`))
  const { base } = sides.value
  return say.value.list(
    base.fats
      .filter((fat) => !touched.has(`fats ${fat.id}`))
      .map((fat) => library.value.fats.get(fat.id)?.name.replace(/,.*$/, '') ?? fat.id),
  )
})
const waitsFor = computed(() => {
  if (open.value.length === 1) return `Choose the ${inSentence(open.value[0]!.says)} first`
  if (open.value.length) return `Choose ${open.value.length} things first`
  return faults.value.length ? faults.value[0]!.says : ''
})
const versionNames = computed(() => ({
  theirs: `${who.value.theirs}, ${when.value.theirs}`,
  mine: `Mine, ${when.value.mine}`,
}))

async function keep(which: Side | 'together') {
  const document = which === 'together' ? merged.value : sides.value?.[which]
  if (!document || (which === 'together' && waitsFor.value)) return
  if (!(await together.keep(document, versionNames.value))) return
  toasts.show(`${document.name} is kept. What was left stands under Versions.`)
  await router.push(`/formulas/${id}`)
}
async function keepAsTwo() {
  const copy = await together.keepAsTwo()
  if (copy) await router.push(`/formulas/${copy}`)
}
/** 1 takes theirs and 3 mine for the first thing that is still to be chosen. */
useShortcuts({
  1: () => open.value[0] && set(open.value[0].key, 'theirs'),
  3: () => open.value[0] && set(open.value[0].key, 'mine'),
})
const swatchOf = ({ list, id: line }: MergePlace) =>
  list === 'parts' || list === null
    ? null
    : substanceColour(
        ({ fats: 'fat', liquids: 'liquid', additives: 'additive', scents: 'scent' } as const)[list],
        line,
        library.value,
      )
const summary = (side: Side) =>
  sides.value
    ? changesBetween(sides.value.base, sides.value[side], library.value, say.value).length
    : 0
</script>

<template>
  <ProblemPage v-if="problem && !loaded" :says="problem" to="/formulas" label="All formulas" />
  <div
    v-else-if="loaded && sides && figures && merged"
    class="mx-auto max-w-[1280px] px-3 pb-6 sm:px-6"
  >
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 py-4">
      <BarThumbnail :thumbnail="thumbnailOf(merged, library)" :width="82" :height="56" />
      <div class="mr-auto min-w-60">
        <h1>Two windows changed {{ name }}</h1>
        <p class="text-sm text-ink-2">
          Both began at one state of it. Both are kept whole, whatever you choose: what you leave
          stands under Versions.
        </p>
      </div>
      <span class="text-sm text-ink-2">both wait</span>
      <AppButton :to="`/formulas/${id}`">Later</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 bg-warn-ground px-4 py-2 text-warn">{{ problem }}</p>
    <p
      v-if="faults.length && !open.length"
      role="alert"
      class="mb-3 bg-warn-ground px-4 py-2 text-warn"
    >
      Together it cannot be made yet: {{ faults[0]!.says }} Choose otherwise below, or keep one side
      and change it there.
    </p>

    <section class="sheet overflow-hidden" aria-label="The two sides and what comes of them">
      <div class="grid lg:grid-cols-[200px_1fr_1fr_1fr]">
        <div class="border-b border-line px-4 py-3 lg:border-r">
          <h2>{{ say.count(places.length, 'thing differs', 'things differ') }}</h2>
          <p v-if="alone" class="mt-2 text-sm text-ink-2">
            {{ say.count(alone, 'was', 'were') }} changed on one side only and
            {{ say.plural(alone, 'goes', 'go') }} together.
          </p>
          <p v-if="clashes" class="mt-2 text-sm text-ink-2">
            {{ say.count(clashes, 'was', 'were') }} changed on both:
            {{ say.plural(clashes, 'that is', 'those are') }} yours to choose.
          </p>
        </div>
        <div
          v-for="column in ['theirs', 'together', 'mine'] as const"
          :key="column"
          class="border-b border-line px-4 py-3"
          :class="column === 'together' ? 'border-x-2 border-x-act bg-band' : ''"
        >
          <div class="flex items-baseline justify-between gap-2">
            <h2>{{ column === 'together' ? 'Together' : who[column] }}</h2>
            <span class="text-sm text-ink-2">{{
              column === 'together'
                ? 'as chosen below'
                : column === 'theirs'
                  ? `kept ${when.theirs}`
                  : 'not kept yet'
            }}</span>
          </div>
          <div class="mt-2 grid grid-cols-[minmax(0,164px)_1fr] gap-4">
            <SidePot
              :result="figures[column].result"
              :missing="column === 'together' && open.length ? `${open[0]!.says}?` : ''"
            />
            <dl class="figure text-sm">
              <dt class="text-ink-2">Superfat</dt>
              <dd class="mb-1.5 border-b border-line-2 pb-1 text-[19px] font-[650]">
                {{ say.percent(figures[column].superfat, 2) }}
              </dd>
              <dt class="text-ink-2">Batter</dt>
              <dd class="mb-1.5 border-b border-line-2 pb-1 text-[19px] font-[650]">
                {{ say.amount(figures[column].batter) }}
              </dd>
              <dt class="text-ink-2">Lye left over</dt>
              <dd class="text-[16px] font-[650] whitespace-nowrap">
                {{ figures[column].odds === null ? '–' : oddsText(figures[column].odds, say) }}
              </dd>
            </dl>
          </div>
        </div>
      </div>

      <table class="w-full border-collapse text-[15px] lg:table-fixed">
        <caption class="sr-only">
          What differs, place by place
        </caption>
        <thead>
          <tr class="border-b border-line bg-band text-left text-sm text-ink-2">
            <th class="px-4 py-2 lg:w-[200px]" scope="col">What differs</th>
            <th class="px-4 py-2 text-right" scope="col"><kbd>1</kbd> {{ versionNames.theirs }}</th>
            <th class="px-4 py-2 text-center" scope="col">will be kept</th>
            <th class="px-4 py-2" scope="col"><kbd>3</kbd> you, {{ when.mine }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="place in places"
            :key="place.key"
            class="border-b border-line-2"
            :class="chosen(place) ? '' : 'bg-warn-ground'"
          >
            <th scope="row" class="px-4 py-2.5 text-left font-[650]">
              <i
                v-if="swatchOf(place)"
                class="mr-2 inline-block h-4 w-2.5 rounded-[2px] align-[-2px]"
                :style="{ background: swatchOf(place)! }"
              />{{ place.says }}
              <small class="block font-normal whitespace-nowrap text-ink-2"
                >was {{ words(place.base) }}</small
              >
            </th>
            <td class="px-4 py-2.5">
              <label class="flex items-center justify-end gap-3">
                <span class="mr-auto text-sm text-ink-2 max-sm:hidden">{{
                  place.by === 'mine' ? 'as it was' : 'changed'
                }}</span>
                <span
                  class="figure"
                  :class="chosen(place) === 'theirs' ? 'font-bold' : 'text-ink-2'"
                  >{{ words(place.theirs) }}</span
                >
                <input
                  type="radio"
                  class="size-5 shrink-0 accent-[var(--color-act)]"
                  :name="place.key"
                  :checked="chosen(place) === 'theirs'"
                  :aria-label="`${place.says}: ${words(place.theirs)}, from the other window`"
                  @change="set(place.key, 'theirs')"
                />
              </label>
            </td>
            <td
              class="figure border-x-2 border-x-act px-4 py-2.5 text-center text-[18px] font-bold"
            >
              <template v-if="chosen(place)">{{ words(place[chosen(place)!]) }}</template>
              <span v-else class="text-warn">which one?</span>
            </td>
            <td class="px-4 py-2.5">
              <label class="flex items-center gap-3">
                <input
                  type="radio"
                  class="size-5 shrink-0 accent-[var(--color-act)]"
                  :name="place.key"
                  :checked="chosen(place) === 'mine'"
                  :aria-label="`${place.says}: ${words(place.mine)}, from this window`"
                  @change="set(place.key, 'mine')"
                />
                <span
                  class="figure"
                  :class="chosen(place) === 'mine' ? 'font-bold' : 'text-ink-2'"
                  >{{ words(place.mine) }}</span
                >
                <span class="ml-auto text-sm text-ink-2 max-sm:hidden">{{
                  place.by === 'theirs' ? 'as it was' : 'changed'
                }}</span>
              </label>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="alike" class="border-b border-line px-4 py-3 text-sm text-ink-2">
        <b class="mr-3 text-ink">Alike</b>{{ alike }}, and all else
      </p>
      <div class="grid gap-3 p-4 lg:grid-cols-[168px_1fr_1fr_1fr]">
        <AppButton :disabled="busy" @click="keepAsTwo">Keep both as two</AppButton>
        <AppButton :disabled="busy" @click="keep('theirs')"
          >Only {{ who.theirs === 'The other window' ? 'the other' : who.theirs }} ({{
            summary('theirs')
          }})</AppButton
        >
        <AppButton kind="main" :disabled="busy || waitsFor !== ''" @click="keep('together')">{{
          open.length ? waitsFor : 'Keep them together'
        }}</AppButton>
        <AppButton :disabled="busy" @click="keep('mine')"
          >Only yours ({{ summary('mine') }})</AppButton
        >
      </div>
    </section>
  </div>
</template>
