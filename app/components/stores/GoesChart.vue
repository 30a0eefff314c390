<script setup lang="ts">
import type { GoesCourse } from '#core/heat/goes'

/** A solution that is made in several goes: how warm it gets, when it is cool again, and where a can would soften. */
const { course } = defineProps<{ course: GoesCourse }>()
const { say } = storeToRefs(useWorkshop())
/** °C from which a can of HDPE or PP softens under load. */
const softens = 80
const [wide, high, left, foot] = [420, 124, 40, 18]
const lowest = computed(() => Math.min(0, ...course.points.map(({ celsius }) => celsius)))
const top = computed(() => Math.max(softens + 10, course.peakC + 8))
/** The goes take as much room as the long way down. */
const middle = computed(() => course.goes.at(-1)! + 4)
const x = (minutes: number) =>
  minutes <= middle.value
    ? left + (minutes / middle.value) * 170
    : left +
      170 +
      ((minutes - middle.value) / Math.max(1, course.coolMinutes - middle.value)) *
        (wide - left - 176)
const y = (celsius: number) =>
  high - foot - ((celsius - lowest.value) / (top.value - lowest.value)) * (high - foot - 4)
const line = computed(() =>
  course.points.map(({ minutes, celsius }) => `${x(minutes)},${y(celsius)}`).join(' '),
)
const peak = computed(() => course.points.find(({ celsius }) => celsius === course.peakC)!)
const figure = (celsius: number) => say.value.number(say.value.degreesOf(celsius))
const says = computed(
  () =>
    `About ${say.value.temperature(course.peakC)} at its hottest, as cool as the room after ${minutesText(course.coolMinutes)}. A can softens at ${say.value.temperature(softens)}.`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${wide} ${high}`" class="figure w-full" role="img" :aria-label="says">
    <g v-for="celsius in [0, 40]" :key="celsius">
      <path :d="`M${left} ${y(celsius)}H${wide}`" stroke="currentColor" opacity="0.2" />
      <text :x="left - 6" :y="y(celsius) + 4" text-anchor="end" font-size="12" class="fill-ink-2">
        {{ figure(celsius) }}
      </text>
    </g>
    <path
      :d="`M${left} ${y(softens)}H${wide}`"
      stroke="#b3261e"
      stroke-width="1.5"
      stroke-dasharray="5 4"
    />
    <text
      :x="wide"
      :y="y(softens) + 14"
      text-anchor="end"
      font-size="12"
      class="fill-stop font-bold"
    >
      a can softens, {{ say.temperature(softens) }}
    </text>
    <path
      v-for="minutes in course.goes"
      :key="minutes"
      :d="`M${x(minutes)} ${high - foot - 8} l5 9 h-10 Z`"
      fill="#d9442c"
    />
    <polyline
      :points="line"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-linejoin="round"
    />
    <text
      :x="x(peak.minutes) - 8"
      :y="y(peak.celsius) - 4"
      text-anchor="end"
      font-size="13"
      font-weight="700"
      fill="currentColor"
    >
      about {{ say.temperature(course.peakC) }}
    </text>
    <text :x="wide" :y="high - 4" text-anchor="end" font-size="12" class="fill-ink-2">
      {{ say.temperature(course.points.at(-1)!.celsius) }} after
      {{ minutesText(course.coolMinutes) }}
    </text>
    <text :x="left" :y="high - 4" font-size="12" class="fill-ink-2">five goes</text>
  </svg>
</template>
