<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { DayBatch } from '#core/day/batchOfDay'
import { paceOf } from '#core/day/batchOfDay'
import type { DayProblem, DayTask, Placed } from '#core/day/problem'
import { breakTakes, gapsOf, slackBefore, type Tight } from '#core/day/watch'

/**
 * A day as it is laid out: things as planks drawn by their own warmth, people below with what they have in hand. Lye and fats drop into
 * the hands that take them, poured batter into its mould. Tall blocks cannot be left.
 */
const { problem, placed, made, batches, timeAt, from, to, tight, slide, now } = defineProps<{
  problem: DayProblem
  placed: Placed[]
  made: DayBatch[]
  batches: ReadonlyMap<string, Batch>
  timeAt: (minute: number) => string
  /** Minutes shown: when it begins, and when everybody is home. */
  from: number
  to: number
  tight?: Tight | null
  /** Where the chosen piece of work may begin. */
  slide?: { from: number; to: number } | null
  /** The minute it is; none while the day has not begun. */
  now?: number | null
}>()
const chosen = defineModel<string | null>({ default: null })
const emit = defineEmits<{ move: [by: number]; give: [by: number] }>()
const { say } = storeToRefs(useWorkshop())

const left = 136
const right = 1214
const x = (minute: number) => left + ((minute - from) / Math.max(1, to - from)) * (right - left)
const width = (a: number, b: number) => Math.max(2, x(b) - x(a))
const heats = computed(() => heatsOf(problem, placed, made))
const onIce = computed(() => heats.value.lyes.filter(({ byIce }) => byIce))
const inAir = computed(() => heats.value.lyes.filter(({ byIce }) => !byIce))

/** Lanes from the top: their ground lines. */
const lanes = computed(() => {
  let y = 30
  const lane = (height: number) => (y += height)
  const plates = heats.value.fats.length ? lane(56) : null
  const sill = inAir.value.length ? lane(54) : null
  const ice = onIce.value.length ? lane(50) : null
  const people = problem.people.map(() => lane(86))
  const moulds = lane(36)
  return { plates, sill, ice, people, moulds, height: y + 12 }
})
const hottest = 92
const heatY = (ground: number, celsius: number) =>
  ground - 3 - Math.max(0, Math.min(1, (celsius - 10) / (hottest - 10))) * 44
const area = (way: HeatWay, ground: number) =>
  way.map(([at, celsius]) => `${x(at)},${heatY(ground, celsius)}`).join(' ')
const closed = (way: HeatWay, ground: number) =>
  `${x(way[0]![0])},${ground - 3} ${area(way, ground)} ${x(way.at(-1)![0])},${ground - 3}`

const taskOf = (id: string): DayTask => problem.tasks.find((task) => task.id === id)!
const madeOf = (task: DayTask) =>
  task.batches.flatMap((id) => made.filter((batch) => batch.id === id))
const low = 30
const tall = 58
interface Block extends Placed {
  of: DayTask
  own: DayBatch[]
  y: number
  height: number
}
const blocks = computed((): Block[] =>
  placed.map((one) => {
    const of = taskOf(one.task)
    const height = of.kind === 'batter' ? tall : low
    return {
      ...one,
      of,
      own: madeOf(of),
      height,
      y: lanes.value.people[one.person]! - height - 4,
    }
  }),
)
const fillOf = ({ of, own }: Block) =>
  of.kind === 'batter' ? `url(#face-${own[0]!.number})` : workColours[of.kind]
const chip = (number: number) => String(number).length * 8 + 10
/** Chips of a block as far as they have room. */
function chipsOf({ of, own, at, to }: Block) {
  if (of.kind === 'rinse') return []
  const room = width(at, to)
  const widths = own.map(({ number }) => chip(number))
  const all = widths.reduce((sum, each) => sum + each + 2, 0)
  if (all > room + 4) return []
  let at0 = x(at) + (room - all) / 2
  return own.map(({ number }, nth) => {
    const left = at0
    at0 += widths[nth]! + 2
    return { number, left, width: widths[nth]! }
  })
}
/** Words above blocks, where the one before leaves room. */
const captions = computed(() => {
  const ends = problem.people.map(() => -Infinity)
  return [...blocks.value]
    .sort((a, b) => a.at - b.at)
    .flatMap((block) => {
      const says = workShort(block.of)
      // Right after a batter its spare minutes are written there.
      if (
        blocks.value.some(
          (one) =>
            one.of.kind === 'batter' &&
            one.person === block.person &&
            block.at >= one.to &&
            x(block.at) - x(one.to) < 80,
        )
      )
        return []
      // Under a batter that stands right beside it there is no room for words.
      const next = blocks.value.find(
        (one) => one.of.kind === 'batter' && one.person === block.person && one.at >= block.to,
      )
      if (next && x(next.at) < x(block.at) + says.length * 6.3) return []
      const at = x(block.at)
      if (['batter', 'rinse'].includes(block.of.kind) || at < ends[block.person]! + 6) return []
      ends[block.person] = at + says.length * 6.3
      return [{ id: block.task, says, x: at, y: block.y - 5 }]
    })
})
/** The spare minutes after each pour: the roof. */
const roofs = computed(() =>
  blocks.value.flatMap((block) => {
    if (block.of.kind !== 'batter') return []
    const pace = paceOf(block.own[0]!.plan)
    return [{ block, spare: Math.max(0, Math.round(pace.spare)), races: pace.races, pace }]
  }),
)
const hours = computed(() => {
  const list: number[] = []
  for (let at = Math.ceil((from + 1) / 30) * 30; at < to - 12; at += 30) list.push(at)
  return to - from > 330 ? list.filter((_, nth) => nth % 2 === 1) : list
})
const breaks = computed(() =>
  problem.people.flatMap((_, person) =>
    gapsOf(placed, person)
      .filter((gap) => gap.to - gap.at >= breakTakes)
      .map((gap) => ({ person, minutes: gap.to - gap.at, at: gap.at })),
  ),
)
const worked = (person: number) =>
  placed.filter((one) => one.person === person).reduce((sum, one) => sum + one.to - one.at, 0)
const slack = computed(() => slackBefore(problem, placed))
/** What a block is, aloud. */
function aloud({ of, own, at, to, person, task }: Block): string {
  const spare = slack.value.get(task)
  return `${workTitle(of, own, say.value)}, ${problem.people[person]!.name}, ${timeAt(at)} to ${timeAt(to)}${
    spare === undefined ? '' : `, ${minutesText(spare)} before it`
  }`
}
function press(event: KeyboardEvent, id: string) {
  const by = event.shiftKey ? 5 : 1
  const acts: Record<string, () => void> = {
    Enter: () => (chosen.value = id),
    ' ': () => (chosen.value = id),
    ArrowLeft: () => emit('move', -by),
    ArrowRight: () => emit('move', by),
    ArrowUp: () => emit('give', -1),
    ArrowDown: () => emit('give', 1),
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  if (event.key.startsWith('Arrow')) chosen.value = id
  void nextTick(act)
}
</script>

<template>
  <svg
    :viewBox="`0 0 1232 ${lanes.height}`"
    class="figure block w-full min-w-[920px] font-sans text-ink"
    role="group"
    aria-label="The day, laid out"
  >
    <defs>
      <pattern
        v-for="batch in made"
        :id="`face-${batch.number}`"
        :key="batch.id"
        width="14"
        height="14"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(18)"
      >
        <rect width="14" height="14" :fill="faceColours(batches.get(batch.id)!.thumbnail)[0]" />
        <rect width="5" height="14" :fill="faceColours(batches.get(batch.id)!.thumbnail)[1]" />
      </pattern>
    </defs>
    <g v-for="person in problem.people.keys()" :key="person">
      <rect
        x="0"
        :y="lanes.people[person]! - 84"
        width="1232"
        height="86"
        class="fill-ground"
        :fill-opacity="0.7"
      />
    </g>
    <g font-size="13" class="fill-ink-2">
      <template v-for="at in hours" :key="at">
        <line :x1="x(at)" y1="22" :x2="x(at)" :y2="lanes.height - 8" class="stroke-line-2" />
        <text :x="x(at)" y="16" text-anchor="middle" font-weight="600">{{ timeAt(at) }}</text>
      </template>
      <text :x="x(from)" y="16" font-weight="600">{{ timeAt(from) }}</text>
      <text :x="x(to)" y="16" text-anchor="end" font-weight="700" class="fill-ink">
        {{ timeAt(to) }}
      </text>
    </g>
    <line
      :x1="x(to)"
      y1="22"
      :x2="x(to)"
      :y2="lanes.height - 8"
      class="stroke-ink"
      stroke-width="2"
    />

    <!-- Things, by their warmth -->
    <g font-size="13" font-weight="600" class="fill-ink">
      <template v-if="lanes.plates">
        <text x="18" :y="lanes.plates - 26">
          {{ say.count(problem.things.plate ?? 1, 'hot plate', 'hot plates') }}
        </text>
        <text x="18" :y="lanes.plates - 10" font-weight="400" font-size="12" class="fill-ink-2">
          fats clear, wait
        </text>
      </template>
      <template v-if="lanes.sill">
        <text x="18" :y="lanes.sill - 26">Sill, door open</text>
        <text x="18" :y="lanes.sill - 10" font-weight="400" font-size="12" class="fill-ink-2">
          lye cools
        </text>
      </template>
      <template v-if="lanes.ice">
        <text x="18" :y="lanes.ice - 22">
          {{ say.count(problem.things.ice ?? 1, 'ice bath', 'ice baths') }}
        </text>
        <text x="18" :y="lanes.ice - 6" font-weight="400" font-size="12" class="fill-ink-2">
          lye onto milk
        </text>
      </template>
      <text x="18" :y="lanes.moulds - 10">Moulds</text>
    </g>
    <template v-if="lanes.plates">
      <g v-for="{ batch, way } in heats.fats" :key="batch.id">
        <polygon :points="closed(way, lanes.plates)" fill="#e3bd5a" fill-opacity="0.32" />
        <polyline
          :points="area(way, lanes.plates)"
          fill="none"
          stroke="#c2952b"
          stroke-width="2.5"
        />
      </g>
    </template>
    <template v-if="lanes.sill">
      <g v-for="{ batches: own, way } in inAir" :key="own[0]!.id">
        <polygon :points="closed(way, lanes.sill)" fill="#d5432a" fill-opacity="0.2" />
        <polyline :points="area(way, lanes.sill)" fill="none" stroke="#d5432a" stroke-width="2.5" />
      </g>
    </template>
    <template v-if="lanes.ice">
      <g v-for="{ batches: own, way } in onIce" :key="own[0]!.id">
        <polygon :points="closed(way, lanes.ice)" fill="#d9b33c" fill-opacity="0.5" />
        <polyline :points="area(way, lanes.ice)" fill="none" stroke="#a98314" stroke-width="2" />
        <rect
          :x="x(way[0]![0])"
          :y="lanes.ice - 9"
          :width="width(way[0]![0], way[1]![0])"
          height="6"
          fill="#9cc4dc"
        />
      </g>
    </template>
    <g class="fill-[#8d9a95]">
      <rect
        v-for="ground in [
          lanes.plates,
          lanes.sill,
          lanes.ice,
          ...lanes.people,
          lanes.moulds,
        ].filter((one) => one !== null)"
        :key="ground"
        :x="left - 2"
        :y="ground - 3"
        :width="right - left + 4"
        height="5"
      />
    </g>
    <!-- Lye and fats drop into the hands that take them -->
    <template v-for="block in blocks" :key="`drop ${block.task}`">
      <g v-if="block.of.kind === 'batter'">
        <template v-for="{ batches: own, byIce, meets } in heats.lyes" :key="own[0]!.id">
          <template v-for="[batch, at, celsius] in meets" :key="batch.id">
            <g v-if="batch.id === block.own[0]!.id">
              <line
                :x1="x(at) + 3"
                :x2="x(at) + 3"
                :y1="heatY(byIce ? lanes.ice! : lanes.sill!, celsius)"
                :y2="block.y"
                stroke="#d5432a"
                stroke-width="3"
              />
              <circle
                :cx="x(at) + 3"
                :cy="heatY(byIce ? lanes.ice! : lanes.sill!, celsius)"
                r="4.5"
                class="fill-sheet stroke-ink"
                stroke-width="2"
              />
              <text
                :x="x(at) + 11"
                :y="heatY(byIce ? lanes.ice! : lanes.sill!, celsius) - 5"
                font-size="12"
                font-weight="700"
                class="fill-ink"
              >
                {{ say.temperature(celsius) }}
              </text>
            </g>
          </template>
        </template>
        <line
          v-if="lanes.plates && heats.fats.some(({ batch }) => batch.id === block.own[0]!.id)"
          :x1="x(block.at) - 1"
          :x2="x(block.at) - 1"
          :y1="lanes.plates - 24"
          :y2="block.y"
          stroke="#c2952b"
          stroke-width="3"
        />
        <!-- Poured, as a pipe into its mould -->
        <rect
          :x="x(block.to) - 9"
          :y="block.y + block.height"
          width="6"
          :height="Math.max(0, lanes.moulds - 26 - block.y - block.height)"
          :fill="faceColours(batches.get(block.own[0]!.id)!.thumbnail)[0]"
          class="stroke-ink-3"
          stroke-width="0.7"
        />
        <rect
          :x="x(block.to) - 30"
          :y="lanes.moulds - 26"
          width="46"
          height="22"
          :fill="`url(#face-${block.own[0]!.number})`"
          class="stroke-ink"
          stroke-width="2"
        />
        <text :x="x(block.to) + 20" :y="lanes.moulds - 10" font-size="12" class="fill-ink-2">
          {{ block.own[0]!.mould ?? '' }}
        </text>
      </g>
    </template>
    <!-- People -->
    <g v-for="(person, nth) in problem.people" :key="person.name">
      <text x="18" :y="lanes.people[nth]! - 34" font-size="18" font-weight="700" class="fill-ink">
        {{ person.name }}
      </text>
      <text x="18" :y="lanes.people[nth]! - 16" font-size="12" class="fill-ink-2">
        {{ minutesText(worked(nth)) }} of work
      </text>
      <rect
        :x="x(from)"
        :y="lanes.people[nth]! - 34"
        :width="width(from, person.from)"
        :height="low"
        :fill="dressingColour"
        class="stroke-ink-3"
      >
        <title>Clear the room, dress</title>
      </rect>
    </g>
    <g v-for="one in breaks" :key="`break ${one.person} ${one.at}`" class="fill-ink-2">
      <rect
        :x="x(one.at) + 8"
        :y="lanes.people[one.person]! - 24"
        width="15"
        height="18"
        rx="2"
        fill="none"
        class="stroke-ink-2"
        stroke-width="2"
      />
      <path
        :d="`M${x(one.at) + 23} ${lanes.people[one.person]! - 20} h5 v9 h-5`"
        fill="none"
        class="stroke-ink-2"
        stroke-width="2"
      />
      <text
        v-if="width(one.at, one.at + one.minutes) > 74"
        :x="x(one.at) + 35"
        :y="lanes.people[one.person]! - 11"
        font-size="12"
      >
        {{ minutesText(one.minutes) }}
      </text>
    </g>
    <g v-for="{ block, spare, races, pace } in roofs" :key="`roof ${block.task}`">
      <path
        v-if="spare > 0"
        :d="`M${x(block.to)} ${block.y + 1} H${x(block.to + spare)} v10`"
        fill="none"
        :class="races ? 'stroke-warn' : 'stroke-ink'"
        stroke-width="2.5"
      />
      <text
        :x="x(block.to) + 6"
        :y="block.y + 18"
        font-size="12"
        :class="races ? 'fill-warn' : 'fill-ink-2'"
        :font-weight="races ? 700 : 400"
      >
        {{ races ? `thick in ${Math.round(pace.working)}` : `${spare} to spare` }}
      </text>
    </g>
    <g font-size="12" font-weight="600" class="fill-ink">
      <text v-for="one in captions" :key="one.id" :x="one.x" :y="one.y">{{ one.says }}</text>
    </g>
    <g
      v-for="block in blocks"
      :key="block.task"
      role="button"
      tabindex="0"
      class="cursor-pointer outline-offset-2"
      :aria-label="aloud(block)"
      :aria-pressed="chosen === block.task"
      @click="chosen = chosen === block.task ? null : block.task"
      @keydown="press($event, block.task)"
    >
      <title>{{ aloud(block) }}</title>
      <rect
        :x="x(block.at)"
        :y="block.y"
        :width="width(block.at, block.to)"
        :height="block.height"
        :fill="fillOf(block)"
        :class="
          chosen === block.task
            ? 'stroke-act'
            : block.of.kind === 'batter'
              ? 'stroke-ink'
              : 'stroke-ink-3'
        "
        :stroke-width="chosen === block.task ? 3.5 : block.of.kind === 'batter' ? 2 : 1"
      />
      <rect
        v-if="block.of.kind === 'batter'"
        :x="x(block.at)"
        :y="block.y"
        width="5"
        :height="block.height"
        fill="#d5432a"
      />
      <text
        v-if="block.of.kind === 'rinse'"
        :x="x(block.at) + 5"
        :y="block.y + 20"
        font-size="12"
        fill="#182022"
      >
        {{
          width(block.at, block.to) > 58
            ? `rinse ${block.own[0]!.number}`
            : width(block.at, block.to) > 34
              ? 'rinse'
              : ''
        }}
      </text>
      <g v-for="one in chipsOf(block)" :key="one.number">
        <rect
          :x="one.left"
          :y="block.y + block.height / 2 - 9"
          :width="one.width"
          height="18"
          fill="#20292b"
        />
        <text
          :x="one.left + one.width / 2"
          :y="block.y + block.height / 2 + 5"
          text-anchor="middle"
          font-size="13"
          font-weight="700"
          fill="#ffffff"
        >
          {{ one.number }}
        </text>
      </g>
    </g>
    <g v-if="slide && chosen">
      <template v-for="block in blocks" :key="`slide ${block.task}`">
        <rect
          v-if="block.task === chosen"
          :x="x(slide.from)"
          :y="lanes.people[block.person]! - 1"
          :width="width(slide.from, slide.to + block.to - block.at)"
          height="6"
          class="fill-act"
        />
      </template>
    </g>
    <g v-if="tight">
      <template v-for="block in blocks" :key="`tight ${block.task}`">
        <g v-if="block.task === tight.task">
          <rect :x="x(block.at) - 46" :y="block.y - 28" width="62" height="22" class="fill-warn" />
          <text
            :x="x(block.at) - 15"
            :y="block.y - 12"
            text-anchor="middle"
            font-size="13"
            font-weight="700"
            class="fill-sheet"
          >
            {{ Math.max(0, Math.round(tight.slack)) }} min
          </text>
        </g>
      </template>
    </g>
    <line
      v-if="now !== null && now !== undefined && now >= from && now <= to"
      :x1="x(now)"
      :x2="x(now)"
      y1="22"
      :y2="lanes.height - 8"
      class="stroke-act"
      stroke-width="2"
      stroke-dasharray="5 4"
    />
  </svg>
</template>
