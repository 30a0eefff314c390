<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { weighInsOf } from '#core/rack/facts'
import { isWithin, type LookedFor } from '#core/rack/oddWeight'
import { daysBetween } from '#core/units/days'

/** How one bar dried so far, and where it is looked for today: a picture beside the reading. */
const { batch, bar, day, grams, looked } = defineProps<{
  batch: BatchSummary
  bar: number
  /** The day that is weighed on. */
  day: string
  /** What is read now; null as long as nothing is. */
  grams: number | null
  looked: LookedFor
}>()
const { say } = storeToRefs(useWorkshop())
const strays = computed(() => grams !== null && !isWithin(looked, grams))
const whole = useWholeBatch(() => batch)
const curve = computed(() => {
  const { facts, id } = batch
  const since = facts.remeltedOn ?? facts.pouredOn
  if (whole.value?.id !== id || !since) return null
  const points = weighInsOf(whole.value.events, since).filter((weighIn) => weighIn.bar === bar)
  if (!points.length) return null
  const now = daysBetween(since, day)
  const weights = [...points.map((point) => point.grams), looked.low, looked.high]
  const [low, high] = [Math.min(...weights) - 0.5, Math.max(...weights) + 0.5]
  const first = points[0]!.day
  const x = (on: number) => 44 + (260 * (on - first)) / Math.max(1, now - first)
  const y = (value: number) => 8 + (70 * (high - value)) / (high - low)
  const last = points.at(-1)!
  return {
    line: points.map((point) => `${x(point.day)},${y(point.grams)}`).join(' '),
    dots: points.map((point) => ({ x: x(point.day), y: y(point.grams) })),
    wedge: `${x(last.day)},${y(last.grams)} ${x(now)},${y(looked.high)} ${x(now)},${y(looked.low)}`,
    now: x(now),
    at: grams === null ? null : Math.max(4, Math.min(82, y(grams))),
    top: say.value.mass(high),
    bottom: say.value.mass(low),
    says: `${say.value.count(points.length, 'weigh-in', 'weigh-ins')} of this bar so far, from ${say.value.mass(points[0]!.grams)} to ${say.value.mass(last.grams)}.`,
  }
})
</script>

<template>
  <figure v-if="curve">
    <svg viewBox="0 0 350 92" class="w-full overflow-visible" role="img" :aria-label="curve.says">
      <path d="M40 4V86H346" class="fill-none stroke-line-3" />
      <text x="36" y="13" text-anchor="end" class="fill-ink-2 text-[11px]">
        {{ curve.top }}
      </text>
      <text x="36" y="84" text-anchor="end" class="fill-ink-2 text-[11px]">
        {{ curve.bottom }}
      </text>
      <polygon :points="curve.wedge" class="fill-ok/20" />
      <polyline :points="curve.line" class="fill-none stroke-ok stroke-2" />
      <circle
        v-for="(dot, place) in curve.dots"
        :key="place"
        :cx="dot.x"
        :cy="dot.y"
        r="4"
        class="fill-ink"
      />
      <circle
        v-if="curve.at !== null"
        :cx="curve.now"
        :cy="curve.at"
        r="5"
        :class="strays ? 'fill-warn' : 'fill-ok'"
      />
      <text :x="curve.now + 9" y="20" class="fill-ink-2 text-[11px]">today</text>
    </svg>
  </figure>
</template>
