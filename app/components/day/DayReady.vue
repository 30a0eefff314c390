<script setup lang="ts">
import type { DayTask } from '#core/day/problem'
import type { DayBench } from '~/composables/useDayBench'

/** A piece of work before it is taken up: what it is, when it is wanted, what it needs at hand. */
const { bench, task } = defineProps<{ bench: DayBench; task: DayTask }>()
const { say } = storeToRefs(useWorkshop())
const needs = useDayNeeds()
const at = computed(() => bench.placed.value.find((one) => one.task === task.id))
const own = computed(() => bench.ownOf(task))
const early = computed(() => (at.value ? at.value.at - bench.minutes.value : 0))
const lines = computed(() => workLines(task, own.value, say.value))
const stays = computed(() => task.kind === 'batter')
/** What it still waits for: lye or fats that are not as they are wanted. */
const waits = computed(() =>
  bench.problem.value.lags.flatMap(({ from, to, least, of }) => {
    if (to !== task.id) return []
    const { endedAt } = bench.stateOf(from)
    const before = bench.problem.value.tasks.find(({ id }) => id === from)!
    if (endedAt === null) return [`First: ${workTitle(before, bench.ownOf(before), say.value)}.`]
    const rest = endedAt + least - bench.now.value
    return rest > 0.5 && of !== 'order'
      ? [`${of === 'fats' ? 'Fats' : 'Lye'} ready in about ${minutesText(rest)}.`]
      : []
  }),
)
const main = () => bench.begin(task)
useBenchKeys({ ' ': main, Enter: main })
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" :aria-label="workTitle(task, own, say)">
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-6 sm:px-9">
      <h1 class="text-[30px] leading-tight font-bold sm:text-[44px]">
        {{ workTitle(task, own, say) }}
      </h1>
      <p class="figure mt-4 text-[52px] leading-none font-bold sm:text-[92px]">
        <template v-if="early > 0.5">{{ clockText(early) }}</template>
        <template v-else>now</template>
      </p>
      <p class="figure mt-2 text-[19px] text-ink-2">
        <template v-if="at"
          >{{ early > 0.5 ? 'to go: wanted' : 'wanted' }} at {{ bench.here.timeAt(at.at) }}, about
          {{ minutesText(at.to - at.at) }}</template
        >
      </p>
      <p v-if="stays" class="mt-3 text-[20px] font-semibold text-[#f3c24b]">
        Once its lye is in, nobody leaves it before it is poured.
      </p>
      <ul v-if="lines.length" class="figure mt-4 grid gap-1 text-[18px]">
        <li v-for="line in lines" :key="line">{{ line }}</li>
      </ul>
      <ul v-if="waits.length" class="mt-4 grid gap-1 border-l-4 border-[#f3c24b] pl-3 text-[18px]">
        <li v-for="line in waits" :key="line">{{ line }}</li>
      </ul>
    </div>
    <div class="flex flex-wrap gap-2 border-t border-line px-3 py-3 sm:gap-3.5 sm:px-9 sm:py-5">
      <BenchKey v-if="needs" quiet says="Who needs me" :hint="needs.hint" @click="needs.go()" />
      <BenchKey
        main
        :says="task.kind === 'fats-on' ? 'It stands on the plate' : 'Take it up'"
        :hint="early > 3 ? 'Space: earlier than planned' : 'Space'"
        @click="main"
      />
    </div>
  </section>
</template>
