<script setup lang="ts">
import type { WaterHeld } from '#contracts/formula'
import { workingTime } from '#core/batter/workingTime'
import { holdWater } from '#core/formula/edit'
import { waysFrom } from '#core/water/ways'
import { roundTo } from '#core/statistics/roundTo'

/** Water said in three ways: one is held, the others follow. The dial moves all of them. */
const { library } = storeToRefs(useMaterials())
const { document, result, change, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())

const ways: { held: WaterHeld; says: string; kind: 'ratio' | 'percent' | 'mass'; step: number }[] =
  [
    { held: 'ratio', says: 'to lye', kind: 'ratio', step: 0.1 },
    { held: 'strength', says: 'strength', kind: 'percent', step: 0.01 },
    { held: 'shareOfOils', says: 'of oils', kind: 'percent', step: 0.01 },
    { held: 'grams', says: 'by weight', kind: 'mass', step: 1 },
  ]
/** How long the batter stays workable, as makers count: in whole minutes, from twenty on in fives. */
const minutes = computed(() => {
  // Pots have each their own.
  if (!(lye.value > 0 && result.value.oils > 0) || document.value.parts.length > 1) return 0
  const { minutes: about } = workingTime(document.value, result.value, library.value)
  return about < 20 ? Math.max(1, Math.round(about)) : Math.round(about / 5) * 5
})
const discounting = ref(false)
const lowest = 1
const highest = 4
const lye = computed(() => result.value.lye.pureNaoh + result.value.lye.pureKoh)
const ratio = computed(() =>
  lye.value > 0
    ? result.value.water.ratio
    : document.value.water.held === 'ratio'
      ? (document.value.water.value ?? 0)
      : 0,
)
const valueOf = (held: WaterHeld) => {
  if (held === document.value.water.held) return document.value.water.value
  const { water } = result.value
  const value = held === 'grams' ? water.weighed : water[held]
  return value > 0 ? value : null
}

/** Typing into a way holds it; the water is what was typed. */
function type(held: WaterHeld, value: number | null) {
  change({ ...document.value, water: { held, value } }, `water.${held}`)
}
function hold(held: WaterHeld) {
  if (held !== document.value.water.held) change(holdWater(document.value, held, library.value))
}
function turn(to: number) {
  const { held } = document.value.water
  if (held === 'grams')
    return change({ ...document.value, water: { held: 'ratio', value: to } }, 'water.value')
  const value = lye.value > 0 ? waysFrom(to, lye.value, result.value.oils)[held] : to
  if (held === 'ratio' || lye.value > 0) put(['water', 'value'], roundTo(value))
}
const limits = {
  ratio: [0.1, 20],
  strength: [0.05, 0.9],
  shareOfOils: [0.01, 3],
  grams: [1, 1_000_000],
} as const
const safe = computed(() => Math.min(highest, Math.max(lowest, ratio.value || lowest)))
const spoken = computed(() => `${say.value.ratio(ratio.value)} water to lye`)
defineExpose({
  focus: () =>
    globalThis.document.querySelector<HTMLInputElement>('[data-water] [data-held] input')?.focus(),
})
</script>

<template>
  <section class="border-t border-line-2 px-4 py-2.5" aria-label="Water to lye" data-water>
    <div class="flex items-center justify-between">
      <h2>Water to lye</h2>
      <span v-if="minutes" class="figure ml-auto pr-3 text-sm"
        >about <b>{{ minutes }} min</b> to pour</span
      >
      <button type="button" class="link text-sm font-medium" @click="discounting = true">
        as a discount
      </button>
    </div>
    <input
      type="range"
      class="dial mt-2 w-full"
      :min="lowest"
      :max="highest"
      step="0.05"
      :value="safe"
      aria-label="Water to lye"
      :aria-valuetext="spoken"
      @input="turn(Number(($event.target as HTMLInputElement).value))"
    />
    <div class="mb-1.5 flex justify-between text-xs text-ink-3">
      <span>quick, hot, dry</span><span>slow, cool, wet</span>
    </div>
    <div class="grid grid-cols-2 gap-1.5 sm:grid-cols-4">
      <div
        v-for="way in ways"
        :key="way.held"
        class="rounded-sm bg-field px-1.5 pt-0.5 pb-1 text-xs text-ink-2"
        :class="
          document.water.held === way.held ? 'outline-2 outline-ink' : 'outline-1 outline-line-3'
        "
        :data-held="document.water.held === way.held ? '' : undefined"
      >
        <button
          type="button"
          class="block w-full text-left"
          :aria-pressed="document.water.held === way.held"
          :title="
            document.water.held === way.held
              ? 'This one is held when anything else changes'
              : 'Hold this one'
          "
          @click="hold(way.held)"
        >
          {{ way.says }}{{ document.water.held === way.held ? ', held' : '' }}
        </button>
        <NumberField
          big
          quiet
          class="w-full"
          :label="`Water ${way.says}`"
          :kind="way.kind"
          :decimals="2"
          :step="way.step"
          :min="limits[way.held][0]"
          :max="limits[way.held][1]"
          :model-value="valueOf(way.held)"
          @update:model-value="type(way.held, $event)"
        />
      </div>
    </div>
    <LazyWaterDiscountDialog v-if="discounting" v-model="discounting" />
  </section>
</template>

<style scoped>
.dial {
  appearance: none;
  height: 22px;
  background: transparent;
}
.dial::-webkit-slider-runnable-track {
  height: 8px;
  border-radius: 4px;
  background: linear-gradient(90deg, #c9d8e2, var(--color-water));
}
.dial::-moz-range-track {
  height: 8px;
  border-radius: 4px;
  background: linear-gradient(90deg, #c9d8e2, var(--color-water));
}
.dial::-webkit-slider-thumb {
  appearance: none;
  margin-top: -7px;
  width: 12px;
  height: 22px;
  background: #fff;
  border: 2px solid var(--color-ink);
  border-radius: 3px;
}
.dial::-moz-range-thumb {
  width: 9px;
  height: 18px;
  background: #fff;
  border: 2px solid var(--color-ink);
  border-radius: 3px;
}
</style>
