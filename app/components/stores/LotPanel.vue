<script setup lang="ts">
import type { KeptMove, WholeLot } from '#contracts/store'
import type { LotRow } from '~/composables/useStores'
import type { Reserved } from '#core/stores/reserve'
import { isCounted } from '#core/stores/things'
import { addDays, daysBetween } from '#core/units/days'
import { flagText, heldNames, moveText, stops } from '~/utils/storeWords'

/** One lot: how much there is, where the rest went, what its paper says, and what can be done with it. */
const { row, amount, reservations, planned } = defineProps<{
  row: LotRow
  amount: (id: string, grams: number) => string
  reservations: Reserved[]
  planned: { id: string; number: number; name: string; day: string }[]
}>()
const emit = defineEmits<{ take: []; count: []; edit: []; hold: []; changed: [] }>()
const workshop = useWorkshop()
const { say, today, settings } = storeToRefs(workshop)
const lots = useLots()
const toasts = useToasts()
const whole = shallowRef<WholeLot | null>(null)
async function load() {
  whole.value = await api.get<WholeLot>(`/api/lots/${row.lot.id}`).catch(() => null)
}
watch(
  () => [row.lot.id, row.lot.stock, row.lot.revision],
  () => void load(),
  { immediate: true },
)
const document = computed(() => row.lot.document)
const moves = computed(() => (whole.value?.id === row.lot.id ? whole.value.moves : []))
const intoOf = (move: KeptMove) => {
  const batch = whole.value?.batches.find(({ id }) => id === move.batchId)
  if (batch) return `${batch.name} ${batch.number}`
  const lot = whole.value?.lots.find(({ id }) => id === move.intoLot)
  return lot ? `made up: ${lot.document.code}` : ''
}
/** Moves with what was there after each, the last first. */
const lines = computed(() => {
  let left = 0
  return moves.value
    .map((move) => {
      left += move.grams
      return { move, left, says: moveText(move, intoOf(move)) }
    })
    .reverse()
})
const mine = computed(() =>
  reservations.flatMap(({ lotId, batchId, grams }) => {
    const batch = lotId === row.lot.id ? planned.find(({ id }) => id === batchId) : undefined
    return batch ? [{ batch, grams }] : []
  }),
)
const end = computed(() => addDays(today.value, 28))
const span = computed(() => Math.max(28, daysBetween(document.value.cameOn, end.value)))
const most = computed(() => document.value.amount)
const x = (day: string) => 24 + (daysBetween(document.value.cameOn, day) / span.value) * 312
const y = (grams: number) => 132 - (Math.max(0, grams) / most.value) * 118
const path = computed(() => {
  let left = 0
  const points = moves.value.map((move) => {
    const before = y(left)
    left += move.grams
    return `H${x(move.day)} V${before} V${y(left)}`
  })
  return `M${x(document.value.cameOn)} 132 ${points.join(' ')} H${x(today.value)} V132 Z`
})
const planPath = computed(() => {
  let left = row.lot.stock
  return mine.value.map(({ batch, grams }) => {
    const from = y(left)
    left -= grams
    const day = batch.day < today.value ? today.value : batch.day
    return { x: x(day) + 4, from, to: y(left), says: String(batch.number) }
  })
})
const counted = computed(() => moves.value.filter(({ kind }) => kind === 'counted'))
const price = computed(() =>
  isCounted(row.thing.id)
    ? { says: 'Each', is: moneyText(row.unit, settings.value.currency) }
    : { says: 'Per 100 g', is: moneyText(row.unit * 100, settings.value.currency) },
)
const on = (days: number) => dayText(addDays(today.value, days), { today: today.value })
async function undo(move: KeptMove) {
  try {
    await lots.move({
      kind: 'undone',
      id: newId(),
      lotId: row.lot.id,
      day: today.value,
      move: move.id,
    })
    await load()
    emit('changed')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const undone = computed(() => new Set(moves.value.flatMap(({ undoes }) => undoes ?? [])))
const mayUndo = (move: KeptMove) =>
  !['came', 'undone'].includes(move.kind) &&
  !move.step &&
  !move.intoLot &&
  !undone.value.has(move.id)
const entries = computed(() => [
  { says: 'Change it', act: () => emit('edit') },
  {
    says: document.value.held ? 'Release it' : 'Hold it: nothing is drawn',
    act: () => emit('hold'),
  },
  ...(moves.value.length <= 1
    ? [
        {
          says: 'Delete it',
          danger: true,
          act: () =>
            void lots
              .remove(row.lot)
              .then(() => emit('changed'))
              .catch((error: unknown) => toasts.show(sentenceOf(error), { bad: true })),
        },
      ]
    : []),
])
const paper = computed(() => {
  const { certificate } = document.value
  if (!certificate) return ''
  const said = [
    certificate.sap === null ? '' : `${say.value.number(certificate.sap, 0, 1)} mg KOH/g`,
    certificate.purity === null ? '' : `${say.value.percent(certificate.purity, 1)} pure`,
    certificate.peroxide === null ? '' : `peroxide ${say.value.number(certificate.peroxide, 0, 1)}`,
    certificate.freeAcid === null ? '' : `free acid ${say.value.percent(certificate.freeAcid, 2)}`,
    certificate.melts === null ? '' : `melts at ${say.value.temperature(certificate.melts)}`,
  ].filter(Boolean)
  return said.length ? `Its paper says ${say.value.list(said)}.` : ''
})
</script>

<template>
  <section class="sheet flex flex-col" :aria-label="row.name">
    <header class="flex items-center gap-3 border-b border-line px-4 py-3">
      <StockVessel
        :form="document.vessel.form"
        :fill="row.lot.stock / document.amount"
        :colour="row.thing.colour"
        :strata="row.strata"
        :scale="0.5"
      />
      <div class="min-w-0 flex-1">
        <h2 class="truncate text-[18px] leading-6 font-bold text-ink">{{ row.thing.name }}</h2>
        <p class="truncate text-ink-2">
          {{ document.code }}<template v-if="row.supplier">, {{ row.supplier }}</template
          ><template v-if="document.bestBefore">
            · best before {{ dayText(document.bestBefore, { today }) }}</template
          >
        </p>
      </div>
      <AppMenu :label="`More for ${row.name}`" :entries="entries" />
    </header>
    <ul v-if="row.flags.length" class="px-4 pt-2">
      <li
        v-for="flag in row.flags"
        :key="flag.kind"
        class="font-semibold"
        :class="stops(flag) ? 'text-stop' : 'text-warn'"
      >
        {{ flag.kind === 'held' ? heldNames[flag.why] : flagText(flag, say, on)
        }}<template v-if="flag.kind === 'held' && document.held?.note"
          >: {{ document.held.note }}</template
        >
      </li>
    </ul>
    <dl class="grid grid-cols-3 divide-x divide-line border-b border-line px-4 py-2.5">
      <div>
        <dt class="text-ink-2">In it</dt>
        <dd class="figure text-[19px] font-bold">{{ amount(row.thing.id, row.lot.stock) }}</dd>
      </div>
      <div class="pl-3">
        <dt class="text-ink-2">Not spoken for</dt>
        <dd class="figure text-[19px] font-bold">{{ amount(row.thing.id, row.free) }}</dd>
      </div>
      <div class="pl-3">
        <dt class="text-ink-2">{{ price.says }}</dt>
        <dd class="figure text-[19px] font-bold">{{ price.is }}</dd>
      </div>
    </dl>
    <figure v-if="moves.length" class="px-4 pt-2">
      <figcaption class="flex justify-between text-[13px]">
        <b class="font-semibold text-ink-2">Where it went</b>
        <span class="text-ink-2">of {{ amount(row.thing.id, most) }}</span>
      </figcaption>
      <svg viewBox="0 0 348 152" class="w-full" aria-hidden="true">
        <path :d="path" :fill="row.thing.colour" opacity="0.85" />
        <path d="M20 132H346" stroke="#8a9794" />
        <path :d="`M${x(today)} 6V136`" stroke="currentColor" stroke-dasharray="2 3" />
        <text :x="x(today) - 4" y="12" text-anchor="end" font-size="11" fill="currentColor">
          today
        </text>
        <g v-for="one in planPath" :key="one.says">
          <rect
            :x="one.x"
            :y="one.from"
            width="14"
            :height="Math.max(2, one.to - one.from)"
            :fill="row.thing.colour"
            fill-opacity="0.3"
            stroke="currentColor"
            stroke-dasharray="3 2"
          />
          <text :x="one.x + 18" :y="one.from + 10" font-size="11" fill="currentColor">
            {{ one.says }}
          </text>
        </g>
        <circle
          v-for="move in counted"
          :key="move.id"
          :cx="x(move.day)"
          :cy="y(row.lot.stock)"
          r="4"
          fill="#8f5208"
        />
        <text x="24" y="148" font-size="11" fill="currentColor">
          {{ dayText(document.cameOn, { today }) }}
        </text>
      </svg>
    </figure>
    <div class="max-h-[214px] overflow-y-auto px-4" tabindex="0" aria-label="What came and went">
      <table class="w-full text-[13.5px]">
        <tbody>
          <tr v-for="{ move, left, says } in lines" :key="move.id" class="border-t border-line">
            <td class="w-[58px] py-1 text-ink-2">{{ dayText(move.day, { today }) }}</td>
            <td
              class="py-1"
              :class="[
                move.kind === 'counted' ? 'font-semibold text-warn' : '',
                undone.has(move.id) ? 'line-through' : '',
              ]"
            >
              <NuxtLink
                v-if="move.batchId"
                :to="`/batches/${move.batchId}`"
                class="hover:underline"
                >{{ says }}</NuxtLink
              >
              <template v-else>{{ says }}</template>
              <button
                v-if="mayUndo(move)"
                type="button"
                class="link ml-2 text-[12px]"
                :aria-label="`Take back: ${says}`"
                @click="undo(move)"
              >
                undo
              </button>
            </td>
            <td class="figure py-1 pl-2 text-right font-semibold whitespace-nowrap">
              {{ move.grams > 0 ? '+' : '−' }}{{ say.number(Math.abs(move.grams), 0, 1) }}
            </td>
            <td class="figure w-16 py-1 text-right text-ink-2">{{ say.number(left, 0, 0) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <footer class="mt-auto grid gap-2 border-t border-line px-4 py-3">
      <p v-if="paper">{{ paper }}</p>
      <p v-if="document.peakC !== null">
        The hottest jug of it got to {{ say.temperature(document.peakC) }}.
      </p>
      <p v-if="document.note" class="italic">{{ document.note }}</p>
      <div class="flex flex-wrap gap-2">
        <AppButton @click="emit('take')">Take out</AppButton>
        <AppButton @click="emit('count')">Count</AppButton>
        <AppButton @click="emit('edit')">Paper</AppButton>
        <AppButton :to="`/stores/lots/${row.lot.id}/trace`">Who has it</AppButton>
      </div>
    </footer>
  </section>
</template>
