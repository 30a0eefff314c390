<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { eventKinds, markOf } from '#core/events/index'
import { checksAfter } from '#core/rack/facts'
import { standingEvents } from '#core/units/standingEvents'
import { standingOf } from '#core/rack/standing'
import { addDays, daysBetween, type Day } from '#core/units/days'

/**
 * The whole life of a batch: its first three days by the hour with the time to unmould, then by the week, on planks that climb to
 * the mantle. What happened stands over it, what is foretold under it, today is flagged.
 */
const { batch, due } = defineProps<{ batch: Batch; due: string }>()
const workshop = useWorkshop()
const { today, say, settings } = storeToRefs(workshop)
const standing = computed(() => standingOf(batch, today.value))
const pouredOn = computed(() => standing.value.pouredOn!)
const told = computed(() => standingEvents(batch.events))
const dayOf = (on: Day) => daysBetween(pouredOn.value, on)
/** Days since the midnight before the pour; of what was written down on its own day to the hour. */
const atInstant = (instant: string) =>
  dayOf(workshop.dayOf(instant)) + partOfDay(instant, settings.value.timeZone)
const timeOf = ({ day, at }: { day: Day; at: string }) =>
  workshop.dayOf(at) === day ? atInstant(at) : dayOf(day) + 0.5

interface Mark {
  t: number
  says: string
  kind: 'plain' | 'good' | 'bad' | 'ahead'
}
const pouredT = computed(() => (batch.facts.pouredAt ? atInstant(batch.facts.pouredAt) : 0.4))
const marks = computed((): Mark[] => {
  const words = { say: say.value, places: settings.value.rack.places }
  const events = told.value.flatMap((event): Mark[] => {
    const mark = markOf(event, words)
    if (!mark) return []
    const t = event.kind === 'poured' ? pouredT.value : timeOf(event)
    const hour =
      event.kind === 'poured' && batch.facts.pouredAt
        ? ` ${timeText(batch.facts.pouredAt, settings.value.timeZone)}`
        : ''
    return [{ t, says: mark.says + hour, kind: mark.looks }]
  })
  const { curedOn, stage } = standing.value
  const cured = stage === 'left' || !curedOn ? [] : [curedOn]
  return [
    ...events,
    ...cured.map((day): Mark => ({
      t: dayOf(day) + 0.5,
      says: `cured ${shortDay(day)}`,
      kind: 'ahead',
    })),
  ].sort((a, b) => a.t - b.t)
})
const weighings = computed(() =>
  told.value.flatMap((event) =>
    eventKinds[event.kind].often?.tick
      ? [{ t: timeOf(event), long: event.kind === 'weighed' }]
      : [],
  ),
)
const shortDay = (day: Day) => dayText(day, { today: today.value })
const now = computed(() => Math.max(0, atInstant(new Date(workshop.clock()).toISOString())))

/* Two scales on one line. */
const width = 1200
const near = 3
const nearWidth = 352
const last = computed(() => {
  const { readyOn, stage } = standing.value
  const left = stage === 'left' ? 0 : now.value
  const ready = readyOn ? dayOf(readyOn) : 0
  return Math.max(14, left, ready, ...marks.value.map(({ t }) => t)) * 1.06 + 1
})
const x = (t: number) =>
  t <= near
    ? 8 + (Math.max(0, t) / near) * nearWidth
    : 8 + nearWidth + ((t - near) / (last.value - near)) * (width - nearWidth - 24)

const step = 13
const ground = computed(() => 40 + rows.value * 15 + 52)
interface Plank {
  from: number
  to: number
  says: string
  level: number
}
const planks = computed((): Plank[] => {
  const { readyOn, pouredOn: on } = standing.value
  const ready = Math.max(near + 1, readyOn ? dayOf(readyOn) : last.value)
  const whole = readyOn && on ? daysBetween(on, readyOn) : 0
  const lastWeeks = Math.max(near, ready - Math.min(14, whole / 3))
  return [
    { from: 0, to: near, says: '', level: 0 },
    { from: near, to: lastWeeks, says: 'drying', level: 1 },
    { from: lastWeeks, to: ready, says: 'last weeks', level: 2 },
    { from: ready, to: last.value, says: 'mantle', level: 3 },
  ].filter(({ from, to }) => to > from)
})
const yAt = (t: number) =>
  ground.value - (planks.value.findLast(({ from }) => from <= t)?.level ?? 0) * step

const todaySays = computed(() => {
  const { stage, day } = standing.value
  return stage === 'left' ? '' : `today, day ${day}`
})
/** The flag of today stands to the left where there is no room to its right. */
const flagged = computed(() => Math.min(x(now.value), width - 112))

/** Words over the line, each on the lowest row where it runs into no other. */
const most = 4
const placed = computed(() => {
  const flag = { from: flagged.value - 4, to: flagged.value + 112 }
  const taken = Array.from({ length: most }, (_, row) =>
    todaySays.value && row < (due ? 2 : 1) ? [flag] : [],
  )
  return marks.value.map((mark) => {
    const from = x(mark.t)
    const wide = mark.says.length * 6.6 + 12
    const at = Math.min(from, width - wide)
    const fits = taken.findIndex((row) => row.every((one) => at + wide <= one.from || at >= one.to))
    const row = fits < 0 ? most - 1 : fits
    taken[row]!.push({ from: at, to: at + wide + 4 })
    return { ...mark, from, at, row }
  })
})
const rows = computed(() => Math.max(1, ...placed.value.map(({ row }) => row + 1)))

const unmould = computed(() => {
  const check = checksAfter(batch.frozen, told.value).find(({ kind }) => kind === 'unmould')
  if (!check) return null
  const [from, to] = [atInstant(check.from), atInstant(check.to)]
  return {
    x: x(from),
    width: Math.max(3, x(to) - x(from)),
    says: `unmould ${roundWhenText(check, settings.value.timeZone)}`,
  }
})
const dry = computed(() => {
  const { drying } = batch.facts
  if (!drying || standing.value.stage === 'left') return null
  const [from, to] = [dayOf(drying.from), Math.min(last.value, dayOf(drying.to))]
  if (to <= near || from >= last.value) return null
  const sure = [x(dayOf(drying.dryOn) - (to - from) / 6), x(dayOf(drying.dryOn) + (to - from) / 6)]
  return {
    x: x(Math.max(near, from)),
    width: Math.max(4, x(to) - x(Math.max(near, from))),
    sure,
    says: `dry by weight: ${dryText(drying, today.value)}`,
  }
})
/** Dates under the second scale: seven at most. */
const dates = computed(() => {
  const steps = [7, 14, 28, 56, 91, 182]
  const every = steps.find((days) => (last.value - near) / days <= 7) ?? 365
  const ticks: number[] = []
  for (let day = every; day < last.value - 1; day += every) if (day > near) ticks.push(day)
  return ticks.map((day) => ({ x: x(day), says: shortDay(addDays(pouredOn.value, day)) }))
})
const firstDays = computed(() =>
  [0, 1, 2].map((day) => ({
    x: x(day),
    says: weekdayText(addDays(pouredOn.value, day)),
  })),
)
const cutT = computed(() => {
  const cut = told.value.find(({ kind }) => kind === 'cut')
  return cut ? timeOf(cut) : null
})
/** A few bars as they stand now, and empty places where they will. */
const bars = computed(() => {
  const { stage } = standing.value
  if (stage === 'left' || cutT.value === null) return null
  const at = now.value
  const plank = planks.value.findLast(({ from }) => from <= at)!
  const room = Math.max(
    1,
    Math.min(7, Math.floor((x(at) - x(Math.max(plank.from, cutT.value))) / 16)),
  )
  return { x: x(at) - room * 15 - 3, y: yAt(at), count: room, level: plank.level }
})
const ahead = computed(() =>
  planks.value
    .filter(({ level }) => bars.value && level > bars.value.level)
    .map(({ from, to, level }) => ({
      x: (x(from) + x(to)) / 2 - 40,
      y: ground.value - level * step,
      wide: x(to) - x(from) > 100,
    }))
    .filter(({ wide }) => wide),
)
const colours = {
  plain: 'var(--color-ink)',
  good: 'var(--color-ok)',
  bad: 'var(--color-stop)',
  ahead: 'var(--color-ink)',
}
const says = computed(() =>
  [
    ...marks.value.map(
      (mark) => `${mark.says} ${shortDay(addDays(pouredOn.value, Math.floor(mark.t)))}`,
    ),
    ...(unmould.value ? [unmould.value.says] : []),
    ...(dry.value ? [dry.value.says] : []),
  ].join('; '),
)
/** On a narrow screen today comes into view. */
const frame = ref<HTMLElement | null>(null)
onMounted(() => {
  const { value: box } = frame
  if (box) box.scrollLeft = (x(now.value) / width) * box.scrollWidth - box.clientWidth / 2
})
</script>

<template>
  <div
    ref="frame"
    class="overflow-x-auto"
    tabindex="0"
    role="region"
    aria-label="The life of this batch"
  >
    <svg
      :viewBox="`0 0 ${width} ${ground + 62}`"
      class="figure block w-full min-w-[860px]"
      role="img"
      :aria-label="says"
      font-size="13"
    >
      <rect x="8" y="20" :width="nearWidth" :height="ground - 6" fill="var(--color-ground)" />
      <text x="12" y="13" fill="var(--color-ink-2)">First three days, by the hour</text>
      <text :x="nearWidth + 16" y="13" fill="var(--color-ink-2)">Then week by week</text>
      <g v-if="unmould">
        <rect
          :x="unmould.x"
          y="20"
          :width="unmould.width"
          :height="ground - 20"
          fill="var(--color-ok-ground)"
        />
        <rect :x="unmould.x" :y="ground + 32" :width="unmould.width" height="8" fill="#2a6d4e" />
        <text :x="unmould.x" :y="ground + 55" font-weight="650" fill="var(--color-ok)">
          {{ unmould.says }}
        </text>
      </g>
      <g v-if="dry">
        <rect
          :x="dry.x"
          :y="ground + 32"
          :width="dry.width"
          height="8"
          fill="var(--color-ok-ground)"
        />
        <rect
          :x="Math.max(dry.x, dry.sure[0]!)"
          :y="ground + 32"
          :width="
            Math.max(3, Math.min(dry.x + dry.width, dry.sure[1]!) - Math.max(dry.x, dry.sure[0]!))
          "
          height="8"
          fill="#2a6d4e"
        />
        <text
          :x="Math.min(width - 8, dry.x + dry.width)"
          :y="ground + 55"
          text-anchor="end"
          font-weight="650"
          fill="var(--color-ok)"
        >
          {{ dry.says }}
        </text>
      </g>
      <g v-for="plank in planks" :key="plank.level">
        <rect
          :x="x(plank.from)"
          :y="ground - plank.level * step"
          :width="x(plank.to) - x(plank.from)"
          height="8"
          fill="var(--color-plank)"
        />
        <text
          v-if="x(plank.to) - x(plank.from) > 70"
          :x="x(plank.from) + 6"
          :y="ground - plank.level * step + 21"
          fill="var(--color-ink-2)"
        >
          {{ plank.says }}
        </text>
      </g>
      <line
        v-for="(tick, place) in weighings"
        :key="`tick${place}`"
        :x1="x(tick.t)"
        :x2="x(tick.t)"
        :y1="yAt(tick.t) - (tick.long ? 9 : 5)"
        :y2="yAt(tick.t)"
        stroke="var(--color-ink)"
        :stroke-width="tick.long ? 1.6 : 1"
      />
      <image
        v-if="cutT === null || cutT > 0.2"
        :href="thumbnailUrl(batch.thumbnail, 78, 32)"
        :x="x(pouredT) + 2"
        :y="ground - 32"
        :width="Math.max(20, Math.min(78, x(cutT ?? near) - x(pouredT) - 6))"
        height="32"
        preserveAspectRatio="none"
      />
      <g v-if="bars">
        <image
          v-for="bar in bars.count"
          :key="bar"
          :href="thumbnailUrl(batch.thumbnail, 13, 28)"
          :x="bars.x + (bar - 1) * 15"
          :y="bars.y - 28"
          width="13"
          height="28"
        />
      </g>
      <g v-for="place in ahead" :key="place.x">
        <rect
          v-for="bar in 5"
          :key="bar"
          :x="place.x + bar * 15"
          :y="place.y - 26"
          width="12"
          height="25"
          rx="3"
          fill="none"
          stroke="var(--color-ink-3)"
          stroke-dasharray="2.5 2"
        />
      </g>
      <g v-for="(mark, place) in placed" :key="`mark${place}`">
        <path
          :d="`M${mark.from} ${yAt(mark.t)} V${30 + mark.row * 15} H${mark.at + 3}`"
          fill="none"
          :stroke="mark.kind === 'ahead' ? 'var(--color-ink)' : 'var(--color-line-3)'"
          :stroke-dasharray="mark.kind === 'ahead' ? '3 3' : undefined"
        />
        <text
          :x="mark.at + 5"
          :y="34 + mark.row * 15"
          font-weight="650"
          :fill="colours[mark.kind]"
          paint-order="stroke"
          stroke="var(--color-sheet)"
          stroke-width="3"
        >
          {{ mark.says }}
        </text>
      </g>
      <g v-if="todaySays">
        <line
          :x1="x(now)"
          :x2="x(now)"
          y1="18"
          :y2="ground + 28"
          stroke="var(--color-ink)"
          stroke-width="2"
        />
        <rect :x="flagged" y="16" width="108" height="21" fill="#20292b" />
        <text :x="flagged + 8" y="31" font-weight="650" fill="#fff">{{ todaySays }}</text>
        <text
          v-if="due"
          :x="flagged + 8"
          y="52"
          font-weight="650"
          fill="var(--color-ink)"
          paint-order="stroke"
          stroke="var(--color-sheet)"
          stroke-width="3"
        >
          {{ due }}
        </text>
      </g>
      <g fill="var(--color-ink-2)">
        <template v-for="day in firstDays" :key="day.x">
          <line
            :x1="day.x"
            :x2="day.x"
            :y1="ground + 10"
            :y2="ground + 28"
            stroke="var(--color-line-3)"
          />
          <text :x="day.x + 5" :y="ground + 24">{{ day.says }}</text>
        </template>
        <template v-for="day in dates" :key="day.x">
          <line
            :x1="day.x"
            :x2="day.x"
            :y1="ground + 9"
            :y2="ground + 13"
            stroke="var(--color-line-3)"
          />
          <text :x="day.x" :y="ground + 26" text-anchor="middle">{{ day.says }}</text>
        </template>
      </g>
    </svg>
  </div>
</template>
