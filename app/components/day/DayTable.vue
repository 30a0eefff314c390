<script setup lang="ts">
import type { DayBatch } from '#core/day/batchOfDay'
import type { DayProblem, Placed } from '#core/day/problem'

/** A day as a table: when, who, what; and of what is weighed together how much for whom. */
const { problem, placed, made, timeAt } = defineProps<{
  problem: DayProblem
  placed: readonly Placed[]
  made: readonly DayBatch[]
  timeAt: (minute: number) => string
}>()
const { say } = storeToRefs(useWorkshop())
const rows = computed(() =>
  placed.flatMap((one) => {
    const task = problem.tasks.find(({ id }) => id === one.task)
    if (!task) return []
    const own = made.filter(({ id }) => task.batches.includes(id))
    return [
      {
        ...one,
        says: workTitle(task, own, say.value),
        lines: task.kind === 'weigh' || task.kind === 'lye' ? workLines(task, made, say.value) : [],
        who: problem.people[one.person]?.name ?? '',
      },
    ]
  }),
)
</script>

<template>
  <table class="figure w-full text-[14px]">
    <thead>
      <tr class="border-b border-ink text-left">
        <th scope="col" class="py-1 pr-3">From</th>
        <th scope="col" class="py-1 pr-3">To</th>
        <th scope="col" class="py-1 pr-3">Who</th>
        <th scope="col" class="py-1">What</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="row in rows"
        :key="row.task"
        class="break-inside-avoid border-b border-line-2 align-top"
      >
        <td class="py-1 pr-3 font-semibold">{{ timeAt(row.at) }}</td>
        <td class="py-1 pr-3">{{ timeAt(row.to) }}</td>
        <td class="py-1 pr-3">{{ row.who }}</td>
        <td class="py-1">
          <b class="font-semibold">{{ row.says }}</b>
          <span v-for="line in row.lines" :key="line" class="block text-[13px] text-ink-2">{{
            line
          }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
