<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import type { MarketWish } from '#contracts/market'
import { mean } from '#core/statistics/sum'

/** What usually goes on such a day, by the last ones of its name, against what is ready: packed in one press. */
interface Packable {
  batch: BatchSummary
  here: number
  /** Promised: they stay. */
  stays: number
  packed: number
}
const { marketId, packable } = defineProps<{ marketId: string; packable: readonly Packable[] }>()
const emit = defineEmits<{ pack: [batchId: string, bars: number] }>()
const { today } = storeToRefs(useWorkshop())
const wishes = shallowRef<MarketWish[]>([])
onMounted(async () => {
  wishes.value = await api.get<MarketWish[]>(`/api/markets/${marketId}/wishes`).catch(() => [])
})
const shelf = useShelfSoaps()
const usually = (sold: readonly number[]) => Math.round(mean(sold))
const wanted = computed(() =>
  wishes.value
    .map(({ formulaId, name, sold }) => {
      const soap = shelf.soaps.value.find((one) => one.formulaId === formulaId)
      const packed = packable
        .filter(({ batch }) => batch.formulaId === formulaId)
        .reduce((sum, one) => sum + one.packed, 0)
      return {
        formulaId,
        name,
        usually: usually(sold),
        ready: soap?.ready ?? 0,
        readyOn: soap?.readyOn ?? null,
        packed,
      }
    })
    .filter((one) => one.usually > 0)
    .sort((a, b) => a.ready - a.usually - (b.ready - b.usually)),
)
/** Packs what usually goes, as far as it is there and not promised; what is packed already stays. */
function packUsual() {
  for (const wish of wanted.value) {
    let bars = wish.usually - wish.packed
    for (const one of packable.filter(({ batch }) => batch.formulaId === wish.formulaId)) {
      const more = Math.min(bars, one.here - one.stays - one.packed)
      if (more > 0) emit('pack', one.batch.id, one.packed + more)
      bars -= Math.max(0, more)
    }
  }
}
</script>

<template>
  <section v-if="wanted.length" class="border-b border-line px-4 py-2" aria-labelledby="usually">
    <div class="flex items-center justify-between gap-3">
      <h2 id="usually" class="text-[14px] font-bold">What usually goes here</h2>
      <button type="button" class="link min-h-9 text-[13.5px]" @click="packUsual">Pack that</button>
    </div>
    <ul class="text-[13.5px]">
      <li v-for="one in wanted" :key="one.formulaId" class="flex flex-wrap gap-x-2 py-0.5">
        <b class="min-w-0 flex-1 truncate">{{ one.name }}</b>
        <span class="figure">{{ one.usually }} go, {{ one.ready }} ready</span>
        <span v-if="one.ready < one.usually" class="w-full text-right font-semibold text-warn"
          >{{ one.usually - one.ready }} short{{
            one.readyOn ? `, more on ${dayText(one.readyOn, { today })}` : ''
          }}</span
        >
      </li>
    </ul>
  </section>
</template>
