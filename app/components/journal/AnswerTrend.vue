<script setup lang="ts">
import type { Answer } from '#core/learning/answer'
import { median } from '#core/statistics/quantile'
import { useElementSize } from '@vueuse/core'

/** One figure over another: batches as bars, the middle of all slopes through them, hatched where it may lie. */
const { answer } = defineProps<{ answer: Answer }>()
const { say } = storeToRefs(useWorkshop())
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box, { width: 720, height: 0 })
const narrow = computed(() => width.value < 560)
const edge = { left: 62, right: 30, top: 12, bottom: 48 }
const tall = computed(() => (narrow.value ? 280 : 360))
const points = computed(() => answer.sides.flatMap(({ points: some }) => some))
const rangeOf = (values: readonly number[]) => {
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const air = high > low ? (high - low) * 0.08 : Math.abs(high) * 0.1 || 1
  return { low: low - air, high: high + air }
}
const across = computed(() => rangeOf(points.value.map(({ beside }) => beside)))
const up = computed(() => rangeOf(points.value.map(({ value }) => value)))
const x = (value: number): number =>
  edge.left +
  ((value - across.value.low) / (across.value.high - across.value.low)) *
    (width.value - edge.left - edge.right)
const y = (value: number): number =>
  tall.value -
  edge.bottom -
  ((value - up.value.low) / (up.value.high - up.value.low)) * (tall.value - edge.top - edge.bottom)
const size = computed(() =>
  points.value.length > 60
    ? { w: 10, h: 7 }
    : points.value.length > 24 || narrow.value
      ? { w: 22, h: 15 }
      : { w: 34, h: 22 },
)
const line = computed(() => {
  const { trend } = answer
  if (!trend) return null
  const { low, high } = across.value
  const middle = median(points.value.map(({ beside }) => beside))
  const through = trend.from + trend.slope * middle
  const at = (slope: number, value: number) => through + slope * (value - middle)
  const band = trend.band
  return {
    path: `M${x(low)} ${y(at(trend.slope, low))}L${x(high)} ${y(at(trend.slope, high))}`,
    band: band
      ? `M${x(low)} ${y(at(band.low, low))}L${x(high)} ${y(at(band.low, high))}L${x(high)} ${y(at(band.high, high))}L${x(low)} ${y(at(band.high, low))}Z`
      : '',
  }
})
const dated = computed(() => answer.cause.id === 'when')
const ticksX = computed(() =>
  roundTicks(across.value.low, across.value.high, narrow.value ? 2 : 4).map((value) => ({
    at: x(value),
    says: answer.cause.text(value, say.value),
  })),
)
const ticksY = computed(() =>
  roundTicks(up.value.low, up.value.high, 4).map((value) => ({
    at: y(value),
    says: answer.outcome.text(value, say.value),
  })),
)
const uid = useId()
const says = computed(
  () =>
    `${answer.outcome.says} over ${answer.cause.says}: ${say.value.list(points.value.slice(0, 20).map(({ batch, beside, value }) => `${batch.name} ${batch.number}, ${answer.cause.text(beside, say.value)}, ${answer.outcome.text(value, say.value)}`))}.`,
)
</script>

<template>
  <div ref="box" class="w-full">
    <svg
      v-if="points.length && width > 0"
      :width="width"
      :height="tall"
      class="block"
      role="group"
      :aria-label="says"
    >
      <defs>
        <pattern :id="`hatch-${uid}`" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#f4ecd9" />
          <rect width="2" height="6" fill="#20292b" opacity=".3" />
        </pattern>
        <clipPath :id="`clip-${uid}`">
          <rect
            :x="edge.left"
            :y="edge.top"
            :width="Math.max(0, width - edge.left - edge.right)"
            :height="tall - edge.top - edge.bottom"
          />
        </clipPath>
      </defs>
      <g :clip-path="`url(#clip-${uid})`">
        <path v-if="line?.band" :d="line.band" :fill="`url(#hatch-${uid})`" opacity=".8" />
        <path v-if="line" :d="line.path" class="stroke-ink" stroke-width="2.5" />
      </g>
      <g v-for="tick in ticksY" :key="tick.at">
        <path :d="`M${edge.left} ${tick.at}H${width - edge.right}`" class="stroke-line-2" />
        <text :x="edge.left - 6" :y="tick.at + 4" text-anchor="end" class="fill-ink-2 text-[12px]">
          {{ tick.says }}
        </text>
      </g>
      <rect
        :x="edge.left"
        :y="tall - edge.bottom"
        :width="Math.max(0, width - edge.left - edge.right)"
        height="6"
        class="fill-plank"
      />
      <text
        v-for="tick in ticksX"
        :key="tick.at"
        :x="tick.at"
        :y="tall - edge.bottom + 22"
        text-anchor="middle"
        class="fill-ink-2 text-[12px]"
      >
        {{ tick.says }}
      </text>
      <text
        :x="width - edge.right"
        :y="tall - 6"
        text-anchor="end"
        class="fill-ink-2 text-[12.5px]"
      >
        {{ dated ? '' : answer.cause.says }}
      </text>
      <NuxtLink
        v-for="{ batch, beside, value } in points"
        :key="batch.id"
        :to="`/batches/${batch.id}`"
        :aria-label="`${batch.name} ${batch.number}`"
      >
        <image
          :href="thumbnailUrl(batch.thumbnail, size.w, size.h)"
          :x="x(beside) - size.w / 2"
          :y="y(value) - size.h / 2"
          :width="size.w"
          :height="size.h"
        >
          <title>
            {{ batch.name }} {{ batch.number }}, {{ answer.cause.text(beside, say) }},
            {{ answer.outcome.text(value, say) }}
          </title>
        </image>
      </NuxtLink>
    </svg>
    <p v-if="answer.band" class="figure mt-1 text-[13.5px]">
      <b>{{ answer.shortly }}</b> <span class="text-ink-2">{{ answer.band }}</span>
    </p>
  </div>
</template>
