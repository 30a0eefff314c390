<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { eventKinds, markOf } from '#core/events/index'
import { standingEvents, standingOf } from '#core/rack/standing'
import { addDays, daysBetween } from '#core/units/days'

/** The whole life of a batch on one line: pour, cut, tests, weigh-ins, troubles, ready, and where its bars went. */
const { batch } = defineProps<{ batch: Batch }>()
const { today, say } = storeToRefs(useWorkshop())
const standing = computed(() => standingOf(batch, today.value))
const pouredOn = computed(() => standing.value.pouredOn!)

interface Mark {
  day: number
  says: string
  kind: 'plain' | 'good' | 'bad' | 'ahead'
}
const told = computed(() => standingEvents(batch.events))
const dayOf = (on: string) => daysBetween(pouredOn.value, on)
const marks = computed((): Mark[] => {
  const at = (on: string, says: string, kind: Mark['kind'] = 'plain'): Mark => ({
    day: dayOf(on),
    says,
    kind,
  })
  const words = { say: say.value, places: [] }
  const events = told.value.flatMap((event): Mark[] => {
    const mark = markOf(event, words)
    return mark ? [at(event.day, mark.says, mark.looks)] : []
  })
  const { dryOn, curedOn, stage } = standing.value
  const ahead =
    stage === 'left'
      ? []
      : [
          ...(dryOn ? [at(dryOn, 'dry', 'ahead')] : []),
          ...(curedOn ? [at(curedOn, 'cured', 'ahead')] : []),
        ]
  return [...events, ...ahead].sort((a, b) => a.day - b.day)
})
const ticks = computed(() =>
  told.value.flatMap((event) => {
    const tick = eventKinds[event.kind].often?.tick
    return tick ? [{ day: dayOf(event.day), long: tick === 'long' }] : []
  }),
)
const now = computed(() => Math.max(0, daysBetween(pouredOn.value, today.value)))
const last = computed(() => {
  const left = standing.value.stage === 'left' ? 0 : now.value
  return Math.max(7, left, ...marks.value.map(({ day }) => day)) + 1
})

const width = 860
const side = 14
/** The first days are full, the rest is waiting: time is drawn by its root, and the weeks below say where one is. */
const x = (day: number) => side + Math.sqrt(Math.max(0, day) / last.value) * (width - 2 * side - 60)
const rowHeight = 15
const rows = 6
/** Each word on the lowest row where it does not run into another. */
const placed = computed(() => {
  const ends = Array.from({ length: rows }, () => -Infinity)
  return marks.value.map((mark) => {
    const from = x(mark.day)
    const free = ends.findIndex((end) => end < from - 6)
    const row = free < 0 ? ends.indexOf(Math.min(...ends)) : free
    const at = free < 0 ? ends[row]! + 6 : from
    ends[row] = at + mark.says.length * 6.1 + 8
    return { ...mark, from, at, row }
  })
})
const used = computed(() => Math.max(0, ...placed.value.map(({ row }) => row)) + 1)
const line = computed(() => used.value * rowHeight + 10)
const colours = { plain: '#182022', good: '#2a6d4e', bad: '#b3261e', ahead: '#4c595b' }
const scale = computed(() =>
  [0, 1, 3, 7, 14, 28, 42, 60, 90, 120, 180, 270, 365, 540]
    .filter((day) => day < last.value)
    .filter((day, place, all) => place === 0 || x(day) - x(all[place - 1]!) > 24),
)
const says = computed(() =>
  marks.value
    .map(
      (mark) =>
        `${mark.says} ${dayText(addDays(pouredOn.value, mark.day), { today: today.value })}`,
    )
    .join('; '),
)
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="The life of this batch">
    <svg
      :viewBox="`0 0 ${width} ${line + 40}`"
      class="block w-full min-w-[680px]"
      role="img"
      :aria-label="says"
    >
      <line :x1="side" :x2="width - side" :y1="line" :y2="line" stroke="#8a9794" stroke-width="1" />
      <line
        :x1="side"
        :x2="x(Math.min(now, last))"
        :y1="line"
        :y2="line"
        :stroke="batch.thumbnail.colours.at(-1)"
        stroke-width="7"
      />
      <g v-for="(tick, place) in ticks" :key="`tick${place}`">
        <line
          :x1="x(tick.day)"
          :x2="x(tick.day)"
          :y1="line + (tick.long ? 5 : 8)"
          :y2="line + 11"
          :stroke="tick.long ? '#182022' : '#8a9794'"
          stroke-width="1.2"
        />
      </g>
      <g v-for="(mark, place) in placed" :key="`mark${place}`">
        <path
          :d="`M${mark.from} ${line} V${line - 12 - mark.row * rowHeight + 4} H${mark.at}`"
          fill="none"
          stroke="#c5cdca"
        />
        <circle
          :cx="mark.from"
          :cy="line"
          r="4.2"
          :fill="mark.kind === 'ahead' ? '#fbfcfa' : colours[mark.kind]"
          :stroke="colours[mark.kind]"
          stroke-width="1.4"
        />
        <text
          :x="mark.at + 3"
          :y="line - 12 - mark.row * rowHeight"
          font-size="11.5"
          :font-weight="mark.kind === 'bad' ? 700 : 500"
          :fill="colours[mark.kind]"
        >
          {{ mark.says }}
        </text>
      </g>
      <g v-if="standing.stage !== 'left'">
        <line
          :x1="x(now)"
          :x2="x(now)"
          y1="2"
          :y2="line + 12"
          stroke="#0f4f5c"
          stroke-dasharray="2 3"
        />
      </g>
      <text
        v-for="day in scale"
        :key="`day${day}`"
        :x="x(day)"
        :y="line + 25"
        font-size="11"
        fill="#566263"
        text-anchor="middle"
        class="figure"
      >
        {{ day }}
      </text>
      <text :x="width - side" :y="line + 37" font-size="11" fill="#566263" text-anchor="end">
        days since the pour
      </text>
    </svg>
  </div>
</template>
