<script setup lang="ts">
import { spoons } from '#core/heat/spoons'

/** Lye into milk: what was read after each spoon, the course that is to be expected, the guard, and where the next spoon lands. */
const { course, points, now, next, share, guard, chill } = defineProps<{
  course: { low: number; high: number }[]
  /** °C as they were read, by the share of the lye that was in. */
  points: { share: number; celsius: number }[]
  now: number | null
  /** °C after the next spoon; null where nobody measures. */
  next: number | null
  share: number
  guard: number
  chill: string
}>()
const { say } = storeToRefs(useWorkshop())
const wide = 760
const high = 300
const left = 44
const coldest = computed(() => Math.min(-5, ...course.map(({ low }) => low)) - 2)
const x = (of: number) => left + of * (wide - left - 20)
const y = (celsius: number) =>
  high - 28 - ((celsius - coldest.value) / (guard + 12 - coldest.value)) * (high - 44)
const lines = computed(() =>
  [-20, -10, 0, 10, 20, 30, 40, 50].filter(
    (celsius) => celsius > coldest.value && celsius < guard - 3,
  ),
)
const band = computed(() => {
  const at = (index: number) => x(index / spoons)
  const over = course.map((one, index) => `${at(index)},${y(one.high)}`)
  const under = course.map((one, index) => `${at(index)},${y(one.low)}`).reverse()
  return [...over, ...under].join(' ')
})
const after = computed(() => Math.min(1, share + 1 / spoons))
const number = computed(() => Math.min(spoons, Math.round(share * spoons) + 1))
const figure = (celsius: number) => Math.round(say.value.degreesOf(celsius))
const over = computed(() => next !== null && next > guard)
</script>

<template>
  <svg
    :viewBox="`0 0 ${wide} ${high}`"
    class="figure h-auto w-full"
    role="img"
    :aria-label="`Temperature of the milk by the spoon. The guard is ${say.temperature(guard)}${next === null ? '' : `; the next spoon takes it to about ${say.temperature(next)}`}.`"
  >
    <g v-for="celsius in lines" :key="celsius">
      <path :d="`M${left} ${y(celsius)}H${wide}`" stroke="#2d393b" />
      <text :x="left - 8" :y="y(celsius) + 5" text-anchor="end" font-size="16" fill="#b9c5c3">
        {{ figure(celsius) }}
      </text>
    </g>
    <polygon :points="band" fill="#5b93b533" stroke="#5b93b5" stroke-dasharray="4 4" />
    <rect :x="left" y="4" :width="wide - left" :height="y(guard) - 4" fill="#d5432a30" />
    <path :d="`M${left} ${y(guard)}H${wide}`" stroke="#ff8d75" stroke-width="4" />
    <text :x="left + 12" :y="y(guard) - 10" font-size="18" font-weight="700" fill="#ff8d75">
      guard {{ say.temperature(guard) }}: above it the milk scorches
    </text>
    <polyline
      :points="points.map((one) => `${x(one.share)},${y(one.celsius)}`).join(' ')"
      fill="none"
      stroke="#e9dfca"
      stroke-width="4"
      stroke-linejoin="round"
    />
    <g v-if="now !== null && next !== null && share < 1">
      <path
        :d="`M${x(share)} ${y(now)}L${x(after)} ${y(Math.min(next, guard + 10))}`"
        :stroke="over ? '#ff8d75' : '#f2ead6'"
        stroke-width="3"
        stroke-dasharray="3 6"
      />
      <circle
        :cx="x(after)"
        :cy="y(Math.min(next, guard + 10))"
        r="9"
        fill="#161c1e"
        :stroke="over ? '#ff8d75' : '#f2ead6'"
        stroke-width="3"
      />
      <text
        :x="Math.min(x(after) + 16, wide - 190)"
        :y="y(Math.min(next, guard + 10)) + 22"
        font-size="18"
        font-weight="700"
        :fill="over ? '#ff8d75' : '#f2ead6'"
      >
        spoon {{ number }}: about {{ figure(next) }}°
      </text>
    </g>
    <circle v-if="now !== null" :cx="x(share)" :cy="y(now)" r="10" fill="#f2ead6" />
    <text :x="x(0.3)" :y="high - 40" font-size="17" fill="#9cc4dc">
      expected course for {{ chill }} in an ice bath
    </text>
    <path :d="`M${left} ${high - 28}H${wide}`" stroke="#6f7d7b" />
    <text
      v-for="(spoon, index) in spoons"
      :key="spoon"
      :x="x(spoon / spoons)"
      :y="high - 8"
      text-anchor="middle"
      font-size="16"
      :fill="spoon === number ? '#f2ead6' : '#b9c5c3'"
      :font-weight="spoon === number ? 700 : 400"
    >
      {{ index ? spoon : `spoon ${spoon}` }}
    </text>
  </svg>
</template>
