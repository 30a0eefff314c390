<script setup lang="ts">
import { isDone } from '#core/bench/run/run'
import { sum } from '#core/statistics/sum'
import { inSentence } from '#core/units/language'

/** The batch as weighed so far, and what is off. */
const { soFar, plan, state, ctx, safetyCheck } = useBench()
const say = computed(() => ctx.value.say)
const weighed = computed(() =>
  plan.value.steps.filter(({ id, weigh }) => weigh && isDone(state.value, id)),
)
const off = computed(() =>
  weighed.value
    .filter(({ weigh }) => weigh!.kind !== 'share')
    .map((step) => ({
      name:
        step.weigh!.pot !== null
          ? `${inSentence(step.weigh!.name)}, ${plan.value.pots[step.weigh!.pot]!.name}`
          : inSentence(step.weigh!.name),
      by: (state.value.steps.get(step.id)?.grams ?? 0) - step.weigh!.grams,
      tolerance: plan.value.scale,
    }))
    .filter(({ by, tolerance }) => Math.abs(by) >= tolerance - 1e-9)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by)),
)
const shown = computed(() => safetyCheck.value.every(({ id }) => state.value.confirmed.has(id)))
const watered = computed(() => sum(Object.values(state.value.watered)))
</script>

<template>
  <section
    v-if="shown && weighed.length"
    class="mt-3.5 border-t border-line pt-3.5 text-[15px]"
    aria-label="As weighed so far"
  >
    <h2 class="text-[15px] font-normal !text-ink-2">As weighed so far</h2>
    <p class="figure text-[20px] leading-snug font-bold">
      <span class="block whitespace-nowrap" :class="soFar.superfat < 0 ? 'text-[#ff8d75]' : ''"
        >superfat {{ say.percent(soFar.superfat, 1) }}</span
      >
      <span class="block whitespace-nowrap">water {{ say.ratio(soFar.ratio) }}</span>
    </p>
    <p v-if="soFar.superfat < 0" class="font-semibold text-[#ff8d75]">Free lye: not for skin.</p>
    <p class="figure text-ink-2">
      <template v-if="off.length">
        <span v-for="(one, place) in off.slice(0, 3)" :key="one.name"
          >{{ place ? '; ' : '' }}{{ one.name }} {{ one.by > 0 ? '+' : '−'
          }}{{ say.mass(Math.abs(one.by)) }}</span
        >
      </template>
      <template v-else>everything to the step of the scale</template>
      <template v-if="watered">, warm water +{{ say.mass(watered) }}</template>
    </p>
  </section>
</template>
