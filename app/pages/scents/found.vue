<script setup lang="ts">
import type { KnownScent } from '#contracts/scent'
import type { ScentRow } from '~/composables/useScentRows'
import { byWater } from '#core/scents/byWater'
import { differenceWord } from '#core/scents/colour'
import { noseDays } from '#core/scents/noses'
import { stretchesOf } from '#core/trials/stretches'

/** Every scent that was tried on one clock, slow to fast, with its band, its strength and its colour. */
useHead({ title: 'What the trials found · Mantle' })
const { rows, plainOf, load, loaded, problem } = useScentRows()
const trials = useTrials()
const { say } = storeToRefs(useWorkshop())
onMounted(() => void load())

const water = ref('')
const asTable = ref(false)
const waters = computed(() =>
  [...new Set(trials.pots.map(({ ratio }) => ratio))].sort((a, b) => a - b),
)
const tried = computed(() => {
  const minutes = (row: ScentRow) => row.finding.minutes ?? 61
  return rows.value
    .filter(({ known }) => known?.tried.length)
    .map((row) => {
      if (!water.value) return row
      const pot = trials.pots.find(
        (one) => one.scentId === row.id && one.ratio === Number(water.value),
      )
      return {
        ...row,
        pot: pot ?? null,
        stretches: pot ? stretchesOf(pot.stages, pot.until - pot.zero) : [],
        finding: { ...row.finding, minutes: pot?.stages.medium?.minutes ?? null },
      }
    })
    .filter(({ pot }) => pot)
    .sort((a, b) => minutes(b) - minutes(a) || a.scent.name.localeCompare(b.scent.name))
})
/** The plain pot beside them. */
const plain = computed(() => {
  const ratio = water.value
    ? Number(water.value)
    : (trials.pots.find(({ scentId }) => scentId)?.ratio ?? 0)
  for (const trial of trials.list) {
    const pot = plainOf.value.get(trial.id)?.find((one) => one.ratio === ratio)
    if (pot?.stages.medium) return { pot, formula: trial.document.formula.name }
  }
  return null
})
const plainMinute = computed(() => plain.value?.pot.stages.medium?.minutes ?? null)
const plainStretches = computed(() =>
  plain.value
    ? stretchesOf(plain.value.pot.stages, plain.value.pot.until - plain.value.pot.zero)
    : [],
)
const twins = computed(() => {
  const names = tried.value.map(({ scent }) => scent.name)
  return new Set(names.filter((name, at) => names.indexOf(name) !== at))
})
/** Whose it is, where two suppliers have one of this name. */
const whose = ({ scent, supplier }: ScentRow) =>
  twins.value.has(scent.name) ? supplier.split(' ')[0] : ''
/** Where plain falls among them. */
const order = computed((): (ScentRow | null)[] => {
  if (plainMinute.value === null) return tried.value
  const at = tried.value.findIndex((row) => (row.finding.minutes ?? 61) < plainMinute.value!)
  const place = at < 0 ? tried.value.length : at
  return [...tried.value.slice(0, place), null, ...tried.value.slice(place)]
})
const band = (known: KnownScent) =>
  plainMinute.value === null
    ? null
    : {
        from: plainMinute.value * known.effect.from,
        at: plainMinute.value * known.effect.factor,
        to: plainMinute.value * known.effect.to,
      }
const left = (minutes: number) => `${(Math.min(60, minutes) / 60) * 100}%`
const strengthOn = (known: KnownScent, day: number) => {
  const on = known.strength.find((one) => one.day === day)
  return on ? (Math.round(on.middle) as 0 | 1 | 2 | 3) : null
}
/** Scents that were tried at three waters or two, and names that two suppliers have. */
const atWaters = computed(() =>
  rows.value.flatMap((row) => {
    const all = row.known ? byWater(row.known) : []
    return all.length > 1 ? [{ row, all }] : []
  }),
)
const pairs = computed(() =>
  [...twins.value].map((name) => tried.value.filter(({ scent }) => scent.name === name)),
)
const minutesText = (minutes: number | null) =>
  minutes === null ? 'over an hour' : `${say.value.number(minutes, undefined, 1)} min`

const columns = [
  'scent',
  'supplier',
  'pots',
  'water : lye',
  'minutes to medium',
  'minutes to past pouring',
  'of the plain time',
  'from',
  'to',
  ...noseDays.map((day) => `strength day ${day}`),
  'colour from plain',
  'on day',
]
const cells = (row: ScentRow): Record<string, string | number | null> => {
  const known = row.known!
  const latest = known.colour.at(-1)
  return {
    scent: row.scent.name,
    supplier: row.supplier,
    pots: known.tried.length,
    'water : lye': row.pot?.ratio ?? null,
    'minutes to medium': row.finding.minutes,
    'minutes to past pouring': row.pot?.stages['too-far']?.minutes ?? row.pot?.seized ?? null,
    'of the plain time': known.effect.factor,
    from: known.effect.from,
    to: known.effect.to,
    ...Object.fromEntries(
      noseDays.map((day) => [
        `strength day ${day}`,
        known.strength.find((one) => one.day === day)?.middle ?? null,
      ]),
    ),
    'colour from plain': latest?.from ?? null,
    'on day': latest?.day ?? null,
  }
}
const shownCell = (value: string | number | null | undefined) =>
  value === null || value === undefined
    ? '–'
    : typeof value === 'number'
      ? say.value.number(value, undefined, 2)
      : value
const csv = () =>
  downloadCsv(
    'scent-trials.csv',
    columns,
    tried.value.map((row) =>
      Object.fromEntries(
        Object.entries(cells(row)).map(([column, value]) => [
          column,
          value === null ? '' : String(value),
        ]),
      ),
    ),
  )
const print = () => window.print()
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-2">
      <div class="mr-auto">
        <h1>What the trials found</h1>
        <p class="text-ink-2">
          {{ say.count(tried.length, 'scent', 'scents') }} on
          {{ say.count(trials.list.length, 'day', 'days')
          }}<template v-if="plain">
            in {{ plain.formula }} batter at {{ say.ratio(plain.pot.ratio) }}</template
          >
        </p>
      </div>
      <label class="contents print:hidden">
        <span class="sr-only">By water</span>
        <select v-model="water" class="field !w-auto print:hidden">
          <option value="">The water most were tried at</option>
          <option v-for="ratio in waters" :key="ratio" :value="String(ratio)">
            {{ say.ratio(ratio) }}
          </option>
        </select>
      </label>
      <AppButton class="print:hidden" @click="asTable = !asTable">{{
        asTable ? 'As a chart' : 'As a table'
      }}</AppButton>
      <AppButton class="print:hidden" @click="print">Print</AppButton>
      <AppButton class="print:hidden" @click="csv">CSV</AppButton>
    </div>
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <EmptyState
      v-else-if="loaded && !rows.some(({ known }) => known?.tried.length)"
      title="Nothing was tried yet"
    >
      Twelve pots of sixty grams, one hour: that is a trial day.
      <template #actions
        ><AppButton kind="main" to="/scents/trials/new">Plan a trial day</AppButton></template
      >
    </EmptyState>
    <div
      v-else-if="asTable"
      class="sheet overflow-x-auto px-4 py-3"
      tabindex="0"
      role="group"
      aria-label="All results"
    >
      <table class="figure w-full text-sm">
        <thead>
          <tr class="text-left text-ink-2">
            <th
              v-for="column in columns"
              :key="column"
              scope="col"
              class="pr-3 pb-1 align-bottom font-semibold"
            >
              {{ column }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in tried" :key="row.id" class="border-t border-line-2">
            <td v-for="column in columns" :key="column" class="py-0.5 pr-3">
              {{ shownCell(cells(row)[column]) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-else-if="loaded" class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_304px]">
      <section class="sheet px-4 py-3">
        <div
          class="grid items-center gap-x-4 pb-1 text-sm font-semibold text-ink-2 lg:grid-cols-[134px_minmax(0,1fr)_130px_200px]"
        >
          <span>slow to fast</span>
          <span class="flex"
            ><b class="flex-1 text-ink">Minutes since the scent went in</b>
            <span v-if="plainMinute !== null" class="font-normal"
              >dotted: plain, {{ say.number(plainMinute, undefined, 0) }}</span
            ></span
          >
          <b class="text-ink max-lg:hidden">Strength by day</b>
          <b class="text-ink max-lg:hidden">Colour by day, from plain</b>
        </div>
        <ol>
          <li
            v-for="(row, at) in order"
            :key="row?.id ?? 'plain'"
            class="grid items-center gap-x-4 lg:h-[24px] lg:grid-cols-[134px_minmax(0,1fr)_130px_200px]"
            :class="row ? '' : '-mx-4 bg-[#e4ebe7] px-4 dark:bg-slate-2'"
            :data-at="at"
          >
            <template v-if="row">
              <span class="truncate">
                <NuxtLink :to="`/scents/${row.id}`" class="font-bold hover:underline">{{
                  row.scent.name
                }}</NuxtLink>
                <small v-if="whose(row)" class="ml-1 text-ink-2">{{ whose(row) }}</small>
                <span v-if="row.known!.tried.length > 1" class="figure text-ink-2">
                  × {{ row.known!.tried.length }}</span
                >
              </span>
              <span class="relative block">
                <StageRibbon
                  :stretches="row.stretches"
                  :colour="row.scent.colour"
                  :plain="plainMinute"
                  :riced="row.pot?.riced"
                  :height="14"
                  :ticks="false"
                />
                <span
                  v-if="band(row.known!)"
                  class="absolute bottom-0 h-px bg-ink"
                  :style="{
                    left: left(band(row.known!)!.from),
                    width: `calc(${left(band(row.known!)!.to)} - ${left(band(row.known!)!.from)})`,
                  }"
                />
                <i
                  v-if="band(row.known!)"
                  class="absolute -bottom-[2px] size-[5px] -translate-x-1/2 rounded-full bg-ink"
                  :style="{ left: left(band(row.known!)!.at) }"
                />
              </span>
              <span class="flex gap-2 max-lg:hidden">
                <span v-for="day in noseDays" :key="day" class="w-4"
                  ><StrengthMark class="!h-[18px]" :strength="strengthOn(row.known!, day)"
                /></span>
              </span>
              <span class="flex items-center gap-2 max-lg:hidden">
                <span
                  class="flex h-[15px] w-[110px] border border-ink/20 [print-color-adjust:exact]"
                >
                  <i
                    v-for="one in row.known!.colour"
                    :key="one.day"
                    class="w-[22px]"
                    :style="{ background: one.swatch }"
                  />
                </span>
                <span
                  v-if="row.known!.colour.length"
                  class="figure whitespace-nowrap"
                  :class="
                    row.known!.colour.at(-1)!.from >= 5 ? 'font-semibold text-warn' : 'text-ink-2'
                  "
                  >{{ say.number(row.known!.colour.at(-1)!.from, undefined, 1) }}
                  {{ differenceWord(row.known!.colour.at(-1)!.from) }}</span
                >
              </span>
            </template>
            <template v-else>
              <b>Plain, no scent</b>
              <StageRibbon
                :stretches="plainStretches"
                colour="#7d8784"
                :plain="plainMinute"
                :height="14"
                :ticks="false"
              />
            </template>
          </li>
        </ol>
        <div
          class="grid gap-x-4 border-t border-line pt-1 text-sm text-ink-2 lg:grid-cols-[134px_minmax(0,1fr)_130px_200px]"
        >
          <span />
          <span class="figure flex justify-between"
            ><span v-for="at in 7" :key="at">{{ (at - 1) * 10 }}</span></span
          >
          <span class="figure flex gap-2 max-lg:hidden"
            ><span v-for="day in noseDays" :key="day" class="w-4">{{ day }}</span></span
          >
          <span class="figure flex max-lg:hidden"
            ><span v-for="day in noseDays" :key="day" class="w-[22px]">{{ day }}</span></span
          >
        </div>
        <p class="mt-2 text-sm text-ink-2">
          The ribbon thickens from smooth over light, medium and thick to won’t pour. Dot and line:
          medium as it is foretold in this batter, nine times in ten. Three bars are strong. Under 2
          the same as plain, to 5 slight, to 10 clear.
        </p>
      </section>
      <div class="grid gap-3">
        <section v-for="{ row, all } in atWaters" :key="row.id" class="sheet px-4 py-3">
          <h2 class="text-sm font-semibold text-ink-2">
            {{ row.scent.name }} at {{ say.count(all.length, 'water', 'waters') }}
          </h2>
          <ul class="mt-1 grid gap-1.5">
            <li
              v-for="one in all"
              :key="one.ratio"
              class="grid grid-cols-[64px_1fr] items-center gap-2"
            >
              <b class="figure">{{ say.ratio(one.ratio) }}</b>
              <span>
                <span class="block h-3 bg-line-2"
                  ><i
                    class="block h-full [print-color-adjust:exact]"
                    :style="{ width: left(one.medium ?? 60), background: row.scent.colour }"
                /></span>
                <span class="text-sm text-ink-2"
                  >{{ minutesText(one.medium) }} to medium, past pouring
                  {{ one.stiff === null ? 'never' : `after ${minutesText(one.stiff)}` }}</span
                >
              </span>
            </li>
          </ul>
        </section>
        <section v-for="pair in pairs" :key="pair[0]!.scent.name" class="sheet px-4 py-3">
          <h2 class="text-sm font-semibold text-ink-2">
            {{ pair[0]!.scent.name }} from {{ say.count(pair.length, 'supplier', 'suppliers') }}
          </h2>
          <div v-for="row in pair" :key="row.id" class="mt-2">
            <b>{{ row.supplier }}</b>
            <StageRibbon
              :stretches="row.stretches"
              :colour="row.scent.colour"
              :plain="plainMinute"
              :height="26"
            />
            <p class="text-ink-2">
              <b class="text-ink">{{ minutesText(row.finding.minutes) }}</b> to medium<template
                v-if="row.finding.more"
                >, {{ row.finding.more }}</template
              >
            </p>
          </div>
        </section>
      </div>
    </div>
  </div>
</template>
