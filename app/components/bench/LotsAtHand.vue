<script setup lang="ts">
import { frozenAs } from '#core/bench/run/lots'
import { valuesOf } from '#core/stores/stock'
import type { AtHand } from '~/utils/lotsAtHand'

/** Which lot of everything is taken, chosen while nothing is weighed yet: its own values change the lye. */
const { lots } = defineProps<{ lots: AtHand[] }>()
const emit = defineEmits<{ stand: [thing: string, lot: AtHand['lot']] }>()
const bench = useBench()
const { say } = storeToRefs(useWorkshop())
const lyeOf = (own: { lye: { naoh: number; koh: number; solution: number | null } }) =>
  own.lye.naoh + own.lye.koh + (own.lye.solution ?? 0)
/** g of lye by which the lots that stand there differ from what was planned. */
const change = computed(() => {
  const values = new Map(lots.map(({ thing, lot }) => [thing, valuesOf(lot.document)]))
  const own = [...values].filter(([, { sap, purity }]) => sap !== null || purity !== null)
  if (!own.length) return 0
  return lyeOf(frozenAs(bench.frozen, new Map(own)).result) - lyeOf(bench.frozen.result)
})
function choose(one: AtHand, event: Event) {
  const id = (event.target as HTMLSelectElement).value
  const lot = one.lots.find((other) => other.id === id)
  if (lot) emit('stand', one.thing, lot)
}
</script>

<template>
  <section v-if="lots.length" class="mt-5" aria-label="Lots">
    <h3 class="mb-1 text-[16px] font-semibold text-ink-2">Out of which lot</h3>
    <ul class="grid gap-x-8 text-[16px] md:grid-cols-2">
      <li
        v-for="one in lots"
        :key="one.thing"
        class="flex min-h-11 items-center gap-3 border-b border-line py-1"
      >
        <span class="min-w-0 flex-1 truncate">{{ one.name }}</span>
        <span v-if="one.lot.stock < one.grams" class="text-[14px] font-semibold text-[#f3c24b]"
          >{{ say.amount(one.grams - one.lot.stock) }} short</span
        >
        <span v-else-if="one.lot.document.certificate?.sap" class="figure text-[14px] text-ink-2">{{
          one.lot.document.certificate.sap
        }}</span>
        <select
          v-if="one.lots.length > 1"
          class="min-h-10 max-w-44 border border-line-3 bg-transparent px-2 font-semibold text-ink"
          :aria-label="`Lot of ${one.name}`"
          :value="one.lot.id"
          @change="choose(one, $event)"
        >
          <option v-for="lot in one.lots" :key="lot.id" class="text-[#182022]" :value="lot.id">
            {{ lot.document.code }}, {{ say.amount(lot.stock) }}
          </option>
        </select>
        <b v-else class="figure">{{ one.lot.document.code }}</b>
      </li>
    </ul>
    <p v-if="Math.abs(change) >= 0.05" class="mt-2 text-[17px] font-semibold text-chalk">
      By their papers it takes {{ say.mass(Math.abs(change)) }} {{ change > 0 ? 'more' : 'less' }}
      lye.
    </p>
  </section>
</template>
