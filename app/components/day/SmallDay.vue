<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { DayBatch } from '#core/day/batchOfDay'
import { closing, type DayProblem, type Placed } from '#core/day/problem'

/** A whole day, small: who has what in hand, and when everybody is home. */
const { problem, placed, made, batches, timeAt, from, to } = defineProps<{
  problem: DayProblem
  placed: readonly Placed[]
  made: readonly DayBatch[]
  batches: ReadonlyMap<string, Batch>
  timeAt: (minute: number) => string
  from: number
  to: number
}>()
const left = 78
const right = 540
const x = (minute: number) => left + ((minute - from) / Math.max(1, to - from)) * (right - left)
const lane = (person: number) => 46 + person * 52
const of = (id: string) => problem.tasks.find((task) => task.id === id)!
const own = (id: string) => made.find((batch) => batch.id === of(id).batches[0])!
const hours = computed(() => {
  const list: number[] = []
  for (let at = Math.ceil((from + 20) / 60) * 60; at < to - 20; at += 60) list.push(at)
  return list
})
const height = computed(() => lane(problem.people.length - 1) + 24)
</script>

<template>
  <svg :viewBox="`0 0 560 ${height}`" class="figure w-full text-ink" aria-hidden="true">
    <g v-for="(person, nth) in problem.people" :key="person.name">
      <text x="0" :y="lane(nth) - 6" font-size="15" font-weight="700" class="fill-ink">
        {{ person.name }}
      </text>
      <rect :x="left" :y="lane(nth)" :width="right - left" height="4" fill="#8d9a95" />
    </g>
    <g v-for="one in placed" :key="one.task">
      <rect
        :x="x(one.at)"
        :y="lane(one.person) - (of(one.task).kind === 'batter' ? 38 : 15)"
        :width="Math.max(2, x(one.to) - x(one.at))"
        :height="of(one.task).kind === 'batter' ? 38 : 15"
        :fill="
          of(one.task).kind === 'batter'
            ? faceColours(batches.get(own(one.task).id)!.thumbnail)[0]
            : workColours[of(one.task).kind]
        "
        :class="of(one.task).kind === 'batter' ? 'stroke-ink' : 'stroke-ink-3'"
      />
      <template v-if="of(one.task).kind === 'batter'">
        <rect
          :x="x((one.at + one.to) / 2) - 12"
          :y="lane(one.person) - 28"
          width="24"
          height="17"
          fill="#20292b"
        />
        <text
          :x="x((one.at + one.to) / 2)"
          :y="lane(one.person) - 15"
          text-anchor="middle"
          font-size="12.5"
          font-weight="700"
          fill="#fff"
        >
          {{ own(one.task).number }}
        </text>
      </template>
    </g>
    <template v-for="(person, nth) in problem.people" :key="`leaves ${person.name}`">
      <rect
        v-if="person.until !== null && person.until + closing < to"
        :x="x(person.until + closing)"
        :y="lane(nth) - 42"
        width="3"
        height="46"
        class="fill-stop"
      >
        <title>{{ person.name }} leaves</title>
      </rect>
    </template>
    <g font-size="13" class="fill-ink-2">
      <text :x="left" :y="height - 2" font-weight="700" class="fill-ink">{{ timeAt(from) }}</text>
      <text v-for="at in hours" :key="at" :x="x(at)" :y="height - 2" text-anchor="middle">
        {{ timeAt(at) }}
      </text>
      <text :x="right" :y="height - 2" text-anchor="end">{{ timeAt(to) }}</text>
    </g>
  </svg>
</template>
