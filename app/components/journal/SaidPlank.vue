<script setup lang="ts">
import { cameAsSaid, type ScoreLine } from '#core/learning/scorecard'

/** What came of one kind of forecast, a bar each: the green stretch of the plank was promised. */
const { line } = defineProps<{ line: ScoreLine }>()
const { say } = storeToRefs(useWorkshop())
const wide = 280
const tall = 58
const plank = 50
const bar = { w: 12, h: 8 }
/** From the end of the plank to where the promised stretch begins. */
const x = (place: number) => wide / 2 + place * 66
const rowsOf = (h: number) => Math.floor((plank - 4) / h)
const size = computed(() => {
  const places = line.list.map((one) => x(placeOf(one)))
  const small = [bar, { w: 8, h: 5.5 }, { w: 5, h: 3.5 }]
  return (
    small.find(({ w, h }) => {
      const stood = piled(places, w, rowsOf(h))
      return stood.every(({ at }) => at > 0 && at < wide) && pilesFit(places, w, rowsOf(h))
    }) ?? small.at(-1)!
  )
})
const bars = computed(() => {
  const { w, h } = size.value
  const stood = piled(
    line.list.map((one) => Math.max(w / 2, Math.min(wide - w / 2, x(placeOf(one))))),
    w,
    rowsOf(h),
  )
  return line.list.map((one, nth) => ({
    one,
    inside: cameAsSaid(one),
    x: stood[nth]!.at - w / 2,
    y: plank - (stood[nth]!.level + 1) * h,
  }))
})
const middle = computed(() => {
  const places = line.list.map(placeOf).sort((a, b) => a - b)
  return x(places[Math.floor((places.length - 1) / 2)] ?? 0)
})
const says = computed(
  () =>
    `${say.value.number(line.inside)} of ${say.value.number(line.list.length)} came within what was promised.`,
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${wide} ${tall + 8}`"
    :width="wide"
    :height="tall + 8"
    class="block max-w-full"
    role="img"
    :aria-label="says"
  >
    <path :d="`M${x(-1)} 0V${plank}M${x(1)} 0V${plank}`" class="stroke-ok" stroke-dasharray="2 3" />
    <rect x="0" :y="plank" :width="wide" height="5" fill="#b9c3c0" />
    <rect :x="x(-1)" :y="plank" :width="x(1) - x(-1)" height="5" class="fill-ok" />
    <template v-for="{ one, inside, x: at, y } in bars" :key="`${one.batchId} ${one.of}`">
      <image
        v-if="inside"
        :href="thumbnailUrl(one.thumbnail, 12, 8)"
        :x="at"
        :y="y"
        :width="size.w"
        :height="size.h"
        preserveAspectRatio="none"
      />
      <rect
        v-else
        :x="at + 0.75"
        :y="y + 0.75"
        :width="size.w - 1.5"
        :height="size.h - 1.5"
        rx="1"
        fill="none"
        class="stroke-warn"
        stroke-width="1.5"
      />
    </template>
    <path :d="`M${middle - 5} ${plank + 13}h10l-5 -7z`" class="fill-ink" />
  </svg>
</template>
