<script setup lang="ts">
import type { Clash, WayOut } from '#core/day/fits'
import type { DayPlan } from '#core/day/plan'
import { problemOf } from '#core/day/tasks'
import { closing } from '#core/day/problem'
import type { MakingDayHere } from '~/composables/useMakingDay'

/** A day that does not fit: one picture of what is wanted twice at once, and the ways out as whole small days. */
const { here, plan, clash, ways } = defineProps<{
  here: MakingDayHere
  plan: DayPlan
  clash: Clash
  ways: WayOut[]
}>()
const emit = defineEmits<{ take: [way: WayOut] }>()
const { made, people, things, batches, say } = here
const problemFor = (one: DayPlan) => problemOf(made.value, people.value, things.value, one.together)
const nameOf = (id: string) => {
  const batch = batches.value.get(id)
  return batch ? `${batch.name} ${batch.number}` : ''
}
const title = computed(() => {
  const names = say.value.list(clash.batches.map(nameOf), 'and')
  switch (clash.of) {
    case 'thing':
      return `${names} need the ${thingWords(clash.thing)}`
    case 'hands':
      return 'There are too few hands for the hours'
    case 'hours':
      return 'The hours are too short'
  }
})
/** The holds of the thing, one line a batch, where they lie over each other. */
const holds = computed(() => {
  if (clash.of !== 'thing') return []
  const problem = problemFor(clash.wanted)
  const at = new Map(clash.wanted.placed.map((one) => [one.task, one]))
  return problem.holds
    .filter(({ thing }) => thing === clash.thing)
    .map(({ from, to, more }) => ({
      batch: made.value.find(
        ({ id }) => id === problem.tasks.find((task) => task.id === from)!.batches[0],
      )!,
      from: at.get(from)!.at,
      to: at.get(to)!.to + more,
    }))
    .sort((a, b) => a.from - b.from)
})
const over = computed(() =>
  holds.value.slice(1).flatMap((one, nth) => {
    const before = holds.value.slice(0, nth + 1)
    const to = Math.max(...before.map((other) => other.to))
    return one.from < to ? [{ from: one.from, to: Math.min(to, one.to) }] : []
  }),
)
const span = computed(() => ({
  from: 0,
  to: Math.max(clash.wanted.end, plan.end) + closing,
}))
const x = (minute: number) => 150 + (minute / Math.max(1, span.value.to)) * 1050
const hours = computed(() => {
  const list: number[] = []
  for (let at = 0; at < span.value.to; at += 30) list.push(at)
  return list
})
const wayWords = (way: WayOut) =>
  way.of === 'earlier'
    ? `Begin at ${here.timeAt(-way.earlier)}`
    : `Leave ${nameOf(way.without!)} for another day`
/** A way's own day: begun earlier, or of fewer batches. */
const wayDay = (way: WayOut) => {
  const of = made.value.filter(({ id }) => id !== way.without)
  return {
    of,
    problem: problemOf(
      of,
      // Minutes count from the beginning: begun earlier, everybody leaves so much later by them.
      people.value.map((one) => ({
        ...one,
        until: one.until === null ? null : one.until + way.earlier,
      })),
      things.value,
      way.plan.together,
    ),
    timeAt: (minute: number) => here.timeAt(minute - way.earlier),
  }
}
const barsOfWay = (way: WayOut) =>
  made.value
    .filter(({ id }) => id !== way.without)
    .reduce((sum, { id }) => sum + (batches.value.get(id)?.bars ?? 0), 0)
</script>

<template>
  <div class="grid grid-cols-1 gap-4">
    <section class="sheet px-5 py-4" aria-labelledby="clash">
      <h2 id="clash" class="text-[22px] font-bold">
        {{ title }},
        <span class="text-warn">{{
          clash.of === 'thing'
            ? `${minutesText(clash.minutes)} at once`
            : `${minutesText(clash.minutes)} too long`
        }}</span>
      </h2>
      <div class="overflow-x-auto">
        <svg
          v-if="holds.length"
          :viewBox="`0 0 1232 ${60 + holds.length * 44}`"
          class="figure mt-2 block w-full min-w-[760px] text-ink"
          role="img"
          :aria-label="`${title}, ${minutesText(clash.minutes)}`"
        >
          <defs>
            <pattern
              id="clash-stripes"
              width="10"
              height="10"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="10" height="10" class="fill-warn-ground" />
              <rect width="5" height="10" class="fill-warn" />
            </pattern>
          </defs>
          <g font-size="13" class="fill-ink-2">
            <template v-for="at in hours" :key="at">
              <line
                :x1="x(at)"
                :x2="x(at)"
                y1="22"
                :y2="40 + holds.length * 44"
                class="stroke-line"
              />
              <text :x="x(at)" y="15" text-anchor="middle">{{ here.timeAt(at) }}</text>
            </template>
          </g>
          <rect
            v-for="one in over"
            :key="one.from"
            :x="x(one.from)"
            y="26"
            :width="Math.max(3, x(one.to) - x(one.from))"
            :height="holds.length * 44 + 12"
            fill="url(#clash-stripes)"
            class="stroke-warn"
          />
          <g v-for="(one, nth) in holds" :key="one.batch.id">
            <text x="0" :y="54 + nth * 44" font-size="14" font-weight="700" class="fill-ink">
              {{ one.batch.number }} {{ one.batch.name.slice(0, 14) }}
            </text>
            <rect
              :x="x(one.from)"
              :y="36 + nth * 44"
              :width="Math.max(3, x(one.to) - x(one.from))"
              height="28"
              :fill="faceColours(batches.get(one.batch.id)!.thumbnail)[0]"
              class="stroke-ink"
              stroke-width="1.5"
            />
            <text :x="x(one.to) + 8" :y="55 + nth * 44" font-size="13" class="fill-ink">
              {{ here.timeAt(one.from) }} to {{ here.timeAt(one.to) }}
            </text>
          </g>
          <rect x="148" :y="44 + holds.length * 44" width="1060" height="5" fill="#8d9a95" />
        </svg>
        <SmallDay
          v-else
          class="mt-3 max-w-3xl"
          :problem="problemFor(clash.wanted)"
          :placed="clash.wanted.placed"
          :made="made"
          :batches="batches"
          :time-at="here.timeAt"
          :from="0"
          :to="clash.wanted.end + closing"
        />
      </div>
    </section>
    <div class="grid gap-4 md:grid-cols-2">
      <section
        v-for="(way, nth) in ways"
        :key="way.of"
        class="sheet flex flex-col px-5 py-4"
        :aria-label="wayWords(way)"
      >
        <div class="flex items-center justify-between gap-3">
          <h3 class="flex min-w-0 items-center gap-3 text-[18px] font-bold">
            <span
              class="figure grid size-8 shrink-0 place-items-center rounded-sm bg-slate text-chalk"
              aria-hidden="true"
              >{{ nth + 1 }}</span
            >
            {{ wayWords(way) }}
          </h3>
          <AppButton @click="emit('take', way)">Do that</AppButton>
        </div>
        <SmallDay
          class="my-3"
          v-bind="{
            problem: wayDay(way).problem,
            made: wayDay(way).of,
            timeAt: wayDay(way).timeAt,
          }"
          :placed="way.plan.placed"
          :batches="batches"
          :from="0"
          :to="way.plan.end + closing"
        />
        <p class="figure mt-auto text-ink-2">
          {{ say.count(wayDay(way).of.length, 'batch', 'batches') }},
          {{ say.count(barsOfWay(way), 'bar', 'bars') }}. Home at
          {{ wayDay(way).timeAt(way.plan.end + closing) }}.
        </p>
      </section>
      <section v-if="!ways.length" class="sheet px-5 py-4">
        <p>
          Neither beginning two hours earlier nor leaving one batch is enough. Take more than one
          batch off the day, or ask for longer hours or another pair of hands.
        </p>
      </section>
    </div>
  </div>
</template>
