<script setup lang="ts">
import { potsBegin } from '#core/bench/plan/fold'
import type { Plan } from '#core/bench/plan/plan'

/** The whole plan as one bar of time, by the clock from now on; pots that are made one after another stand out in their colours. */
const { plan, now } = defineProps<{
  plan: Plan
  /** When it would begin, ms. */
  now: number
}>()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const at = (minutes: number) => workshop.timeOf(new Date(now + minutes * 60_000).toISOString())
const whole = computed(() => plan.minutes || 1)
const percent = (minutes: number) => (minutes / whole.value) * 100
const first = computed(() => potsBegin(plan) ?? plan.steps.length)
const segments = computed(() => {
  const timeOf = new Map(plan.times.map((time) => [time.id, time]))
  return plan.steps.map((step, index) => {
    const { from, to, waits } = timeOf.get(step.id)!
    const pot = index >= first.value && step.pot !== undefined ? plan.pots[step.pot]! : null
    return {
      id: step.id,
      short: step.short,
      wait: percent(waits),
      work: percent(to - from - waits),
      pot: pot !== null,
      colour:
        pot?.colour ??
        (step.lye
          ? 'var(--color-lye)'
          : step.kind === 'weigh'
            ? 'var(--color-water)'
            : 'var(--color-extra)'),
    }
  })
})
/** What stands under the bar: the longest wait, where there is room for it, and the pots. */
const labels = computed(() => {
  const longest = plan.times.reduce((most, time) => (time.waits > most.waits ? time : most))
  const pots = plan.times[first.value]
  const list = []
  if (percent(longest.waits) > 12 && percent(longest.from) > 14)
    list.push({ at: longest.from, says: `${minutesText(longest.waits)} free`, bold: false })
  if (pots)
    list.push({
      at: pots.from,
      says: `${at(pots.from)} ${say.value.count(plan.pots.length, 'pot', 'pots')}, one after another`,
      bold: true,
    })
  return list
})
</script>

<template>
  <div>
    <div
      class="flex h-9 w-full items-end"
      role="img"
      :aria-label="`Time bar: ${minutesText(plan.minutes)} in ${plan.steps.length} steps`"
    >
      <template v-for="segment in segments" :key="segment.id">
        <i
          v-if="segment.wait > 0"
          class="h-6"
          :title="`waiting for: ${segment.short}`"
          :style="{
            width: `${segment.wait}%`,
            background: 'repeating-linear-gradient(45deg,#e6eae7 0 5px,#c9d1cd 5px 10px)',
          }"
        />
        <i
          class="border-r border-white/60"
          :class="segment.pot ? 'h-9' : 'h-6'"
          :title="segment.short"
          :style="{ width: `${segment.work}%`, background: segment.colour }"
        />
      </template>
    </div>
    <p class="figure relative mt-1 flex h-5 justify-between text-sm text-ink-2 max-sm:h-auto">
      <span>{{ at(0) }}, if begun now</span>
      <span
        v-for="label in labels"
        :key="label.says"
        class="absolute whitespace-nowrap max-sm:hidden"
        :class="label.bold ? 'font-semibold text-ink' : ''"
        :style="{ left: `${percent(label.at)}%` }"
        >{{ label.says }}</span
      >
      <span>rinsed {{ at(plan.minutes) }}</span>
    </p>
    <p class="mt-1 flex flex-wrap gap-x-4 text-sm text-ink-2">
      <span><i class="mr-1 inline-block size-2.5 bg-lye" />lye about</span>
      <span><i class="mr-1 inline-block size-2.5 bg-water" />weighing</span>
      <span><i class="mr-1 inline-block size-2.5 bg-extra" />other work</span>
      <span
        ><i class="mr-1 inline-block size-2.5 bg-[#c9d1cd]" />waiting, free for what comes
        next</span
      >
    </p>
  </div>
</template>
