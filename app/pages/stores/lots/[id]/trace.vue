<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import type { BarsOut, LotTrace, StoredLot } from '#contracts/store'
import { thingIn } from '#core/stores/things'
import { traced } from '#core/stores/trace'
import { outWords } from '#core/events/out'
import { standingOf } from '#core/rack/standing'

/** Who has a lot: from the lot through what was made up of it into batches, and where their bars are; printable as a recall list. */
const { params } = useRoute()
const workshop = useWorkshop()
const { say, today } = storeToRefs(workshop)
const materials = useMaterials()
const trace = shallowRef<LotTrace | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    trace.value = await api.get<LotTrace>(`/api/lots/${String(params.id)}/trace`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const nameOf = ({ document }: Pick<StoredLot, 'document'>) =>
  `${thingIn(materials.library, document.thing).name.split(',')[0]} ${document.code}`
const title = computed(() => (trace.value ? nameOf(trace.value.lot) : 'A lot'))
useHead({ title: () => `${title.value}, who has it · Mantle` })
const forward = computed(() =>
  trace.value ? traced(trace.value.lot.id, trace.value.lots, trace.value.moves) : null,
)
/** g of the lot in each batch, by all ways together. */
const batches = computed(() => {
  const grams = new Map<string, number>()
  for (const flow of forward.value?.flows ?? [])
    grams.set(flow.batchId, (grams.get(flow.batchId) ?? 0) + flow.grams)
  return (trace.value?.batches ?? []).map((batch) => ({
    ...batch,
    grams: grams.get(batch.id) ?? 0,
    via: [
      ...new Set(
        (forward.value?.flows ?? [])
          .filter(({ batchId }) => batchId === batch.id)
          .flatMap(({ via }) => via.at(-1) ?? []),
      ),
    ],
  }))
})
type Traced = (typeof batches.value)[number]
interface Whereabouts {
  key: string
  says: string
  out: boolean
  gone: boolean
  bars: { batch: BatchSummary; bars: number }[]
  day: string
}
const othersHave = new Set<BarsOut['how']>(['sold', 'given', 'sample'])
/** Where bars are: with whom, or where in the house. */
const places = computed((): Whereabouts[] => {
  const found = new Map<string, Whereabouts>()
  const add = (
    key: string,
    says: string,
    out: boolean,
    gone: boolean,
    batch: Traced,
    bars: number,
    day = '',
  ) => {
    if (bars <= 0) return
    const place = found.get(key) ?? { key, says, out, gone, bars: [], day }
    place.bars.push({ batch, bars })
    if (day > place.day) place.day = day
    found.set(key, place)
  }
  for (const batch of batches.value) {
    for (const { bars, how, to, day } of batch.outs)
      add(
        `${how} ${to}`,
        to ? `${to}, ${outWords[how]}` : outWords[how],
        othersHave.has(how),
        true,
        batch,
        bars,
        day,
      )
    const { facts } = batch
    const left = facts.bars - facts.out
    if (facts.leftOn) {
      add(
        'left',
        facts.spoiled ? 'given up, spoiled' : 'gone, nobody wrote where',
        !facts.spoiled,
        true,
        batch,
        left,
        facts.leftOn,
      )
      continue
    }
    const { stage } = standingOf(batch, today.value)
    const says = !facts.cutOn
      ? 'In the mould'
      : stage === 'ready'
        ? 'Here, ready'
        : 'Here, on the rack'
    add(says, says, false, false, batch, left)
  }
  return [...found.values()].sort(
    (a, b) =>
      Number(b.out) - Number(a.out) ||
      Number(b.gone) - Number(a.gone) ||
      b.day.localeCompare(a.day),
  )
})
const count = (fits: (one: Whereabouts) => boolean) =>
  places.value
    .filter(fits)
    .reduce((sum, { bars }) => sum + bars.reduce((all, one) => all + one.bars, 0), 0)
const outside = computed(() => count(({ out }) => out))
const inside = computed(() => count(({ gone }) => !gone))
const goneOtherwise = computed(() => count(({ gone, out }) => gone && !out))

/* Ribbons: from the lot at the left, through blends, to batches. */
const blends = computed(() =>
  (forward.value?.blends ?? []).map((blend) => ({
    ...blend,
    lot: trace.value!.lots.find(({ id }) => id === blend.lotId)!,
  })),
)
const rowHeight = 64
const height = computed(() => Math.max(220, batches.value.length * rowHeight + 30))
const batchY = (nth: number) => 30 + nth * rowHeight + 22
const blendY = (nth: number) => ((nth + 1) * height.value) / (blends.value.length + 1)
const wide = (grams: number) =>
  Math.max(2, Math.min(44, (grams / (trace.value?.lot.document.amount ?? 1)) * 110))
const colour = computed(() =>
  trace.value ? thingIn(materials.library, trace.value.lot.document.thing).colour : '#c99a2e',
)
const bend = (x1: number, y1: number, x2: number, y2: number) =>
  `M${x1} ${y1} C${(x1 + x2) / 2} ${y1} ${(x1 + x2) / 2} ${y2} ${x2} ${y2}`
const ribbons = computed(() => {
  const flows = forward.value?.flows ?? []
  const lotY = height.value / 2
  return [
    ...blends.value.map(({ lotId, grams }, nth) => ({
      key: `b${lotId}`,
      d: bend(70, lotY, 250, blendY(nth)),
      width: wide(grams),
    })),
    ...flows.map(({ batchId, via, grams }) => {
      const nth = batches.value.findIndex(({ id }) => id === batchId)
      const from = via.length
        ? { x: 330, y: blendY(blends.value.findIndex(({ lotId }) => lotId === via.at(-1))) }
        : { x: 70, y: lotY }
      return {
        key: `${batchId}${via.join()}`,
        d: bend(from.x, from.y, 468, batchY(nth)),
        width: wide(grams),
      }
    }),
  ]
})
const printIt = () => window.print()
const held = computed(() => trace.value?.lot.document.held ?? null)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <template v-if="trace && forward">
      <header class="mb-3 flex flex-wrap items-center gap-4">
        <StockVessel
          class="no-print"
          :form="trace.lot.document.vessel.form"
          :fill="trace.lot.stock / trace.lot.document.amount"
          :colour="colour"
          :scale="0.6"
        />
        <div class="mr-auto">
          <h1>{{ title }}, who has it</h1>
          <p v-if="held" class="font-semibold text-stop">
            Held since {{ dayText(held.since, { today })
            }}<template v-if="held.note">: {{ held.note }}</template> The bench will not take it.
          </p>
          <p v-else class="text-ink-2">
            {{ say.amount(trace.lot.document.amount) }} came
            {{ dayText(trace.lot.document.cameOn, { today }) }}
          </p>
        </div>
        <AppButton class="no-print" to="/stores">To the stores</AppButton>
        <AppButton class="no-print" kind="main" @click="printIt">Print the recall list</AppButton>
      </header>
      <div class="grid items-start gap-5 lg:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)]">
        <section class="no-print overflow-x-auto" aria-label="From the lot into batches">
          <div class="relative" :style="{ height: `${height}px`, minWidth: '640px' }">
            <svg class="absolute inset-0" width="760" :height="height" aria-hidden="true">
              <path
                v-for="ribbon in ribbons"
                :key="ribbon.key"
                :d="ribbon.d"
                fill="none"
                :stroke="colour"
                :stroke-width="ribbon.width"
                opacity="0.75"
              />
            </svg>
            <div class="absolute left-0" :style="{ top: `${height / 2 - 70}px` }">
              <StockVessel
                form="jar"
                :fill="trace.lot.stock / trace.lot.document.amount"
                :colour="colour"
                :crossed="held !== null"
                :scale="1.5"
              />
              <p class="figure mt-1 text-[13px]">
                <b>{{ say.amount(trace.lot.stock) }}</b> left<br />
                <template v-if="Math.abs(forward.lost) > 0.5"
                  >{{ say.amount(Math.abs(forward.lost)) }}
                  {{ forward.lost > 0 ? 'lost' : 'found' }}</template
                >
              </p>
            </div>
            <div
              v-for="(blend, nth) in blends"
              :key="blend.lotId"
              class="absolute left-[246px] w-[96px] rounded-md bg-ground/85 px-1"
              :style="{ top: `${blendY(nth) - 46}px` }"
            >
              <NuxtLink
                :to="`/stores?lot=${blend.lotId}`"
                class="text-[13px] font-bold hover:underline"
                >{{ nameOf(blend.lot) }}</NuxtLink
              >
              <StockVessel
                :form="blend.lot.document.vessel.form"
                :fill="blend.lot.stock / blend.lot.document.amount"
                :colour="thingIn(materials.library, blend.lot.document.thing).colour"
              />
              <p v-if="blend.left > 0.5" class="figure text-[12.5px] font-semibold text-stop">
                {{ say.amount(blend.left) }} of it left
              </p>
            </div>
            <div
              v-for="(batch, nth) in batches"
              :key="batch.id"
              class="absolute left-[468px] flex items-center gap-3"
              :style="{ top: `${batchY(nth) - 18}px` }"
            >
              <BarThumbnail :thumbnail="batch.thumbnail" :width="52" :height="36" />
              <span class="leading-[18px]">
                <NuxtLink :to="`/batches/${batch.id}`" class="font-bold hover:underline"
                  >{{ batch.name }} {{ batch.number }}</NuxtLink
                >
                <span class="figure block text-[13px] text-ink-2"
                  >{{ say.count(batch.facts.bars, 'bar', 'bars') }} · {{ say.mass(batch.grams) }} of
                  it</span
                >
              </span>
            </div>
          </div>
          <p v-if="!batches.length" class="text-ink-2">It went into no batch.</p>
        </section>
        <section aria-labelledby="where">
          <h2 id="where" class="mb-2 text-[15px] font-bold">Where the bars are</h2>
          <p v-if="!places.length" class="text-ink-2">There are no bars of it.</p>
          <ul class="grid gap-3">
            <li v-for="place in places" :key="place.key">
              <div class="flex justify-between gap-3">
                <b :class="place.out ? 'text-stop' : ''">{{ place.says }}</b>
                <span class="figure text-ink-2"
                  >{{ say.number(place.bars.reduce((sum, one) => sum + one.bars, 0)) }}
                  <template v-if="place.day">· {{ dayText(place.day, { today }) }}</template></span
                >
              </div>
              <div
                class="flex flex-wrap gap-x-3 gap-y-1 border-b-[6px] pt-1 pb-0.5"
                :class="place.gone ? 'border-[#b9a68a]' : 'border-plank'"
              >
                <span
                  v-for="one in place.bars"
                  :key="one.batch.id"
                  class="flex items-end gap-1.5 text-[12.5px]"
                  ><BarRows :thumbnail="one.batch.thumbnail" :bars="one.bars" /><span
                    >{{ one.bars }} of {{ one.batch.name }} {{ one.batch.number }}</span
                  ></span
                >
              </div>
            </li>
          </ul>
        </section>
      </div>
      <dl class="sheet mt-5 grid divide-line sm:grid-cols-3 sm:divide-x">
        <div class="px-4 py-3">
          <dt class="text-ink-2">Out of the house</dt>
          <dd class="text-[22px] font-bold">{{ say.count(outside, 'bar', 'bars') }}</dd>
          <dd class="text-[13px] text-ink-2">sold, given, or as samples</dd>
        </div>
        <div class="px-4 py-3">
          <dt class="text-ink-2">Here</dt>
          <dd class="text-[22px] font-bold">{{ say.count(inside, 'bar', 'bars') }}</dd>
          <dd class="text-[13px] text-ink-2">ready, on the rack, or in the mould</dd>
        </div>
        <div class="px-4 py-3">
          <dt class="text-ink-2">Gone otherwise</dt>
          <dd class="text-[22px] font-bold">{{ say.count(goneOtherwise, 'bar', 'bars') }}</dd>
          <dd class="text-[13px] text-ink-2">used here, reworked, binned, given up</dd>
        </div>
      </dl>
      <table class="mt-5 w-full text-[13.5px]">
        <caption class="pb-1 text-left font-bold">
          As a table
        </caption>
        <thead>
          <tr class="border-b border-line-3 text-left">
            <th class="py-1">Batch</th>
            <th>By way of</th>
            <th class="text-right">Of this lot</th>
            <th class="pl-6">Where its bars are</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="batch in batches" :key="batch.id" class="border-b border-line align-top">
            <td class="py-1">{{ batch.name }} {{ batch.number }}</td>
            <td>
              {{
                say.list(
                  batch.via.map((id) => nameOf(trace!.lots.find((lot) => lot.id === id)!)),
                ) || 'itself'
              }}
            </td>
            <td class="figure text-right">{{ say.mass(batch.grams) }}</td>
            <td class="pl-6">
              {{
                say.list(
                  places.flatMap(({ says, bars }) =>
                    bars.flatMap((one) =>
                      one.batch.id === batch.id ? [`${one.bars}: ${says}`] : [],
                    ),
                  ),
                )
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>
