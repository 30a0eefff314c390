<script setup lang="ts">
import { isDone } from '#core/bench/run/run'
import { sumOf } from '#core/statistics/sum'

/** How much of each colour stayed in its cup: the record keeps what really went in, its oil included. */
const bench = useBench()
const { plan, state, ctx, keeper } = bench
const say = computed(() => ctx.value.say)
const cups = computed(() =>
  plan.value.steps.flatMap((step) => {
    const { weigh, vessel, id } = step
    const colour = weigh?.kind === 'additive' && ctx.value.library.additives.get(weigh.id)
    if (!colour || colour.group !== 'colour' || !vessel || !isDone(state.value, id)) return []
    const inCup = plan.value.steps.filter((one) => one.vessel === vessel)
    const all = inCup.flatMap((one) => state.value.steps.get(one.id)?.scoops ?? [])
    const grams = sumOf(all, (scoop) => scoop.grams)
    return grams > 0 ? [{ vessel, grams, name: weigh.name, short: step.short }] : []
  }),
)
const left = reactive<Record<string, number | null>>({})
function keep(vessel: string, most: number, grams: number | null) {
  left[vessel] = grams
  if (grams !== null && grams >= 0 && grams <= most) bench.tell({ kind: 'leftover', vessel, grams })
}
</script>

<template>
  <section v-if="cups.length && keeper.leading.value && !state.finished">
    <h2 class="text-[20px] font-bold !text-ink">Colour left in its cup?</h2>
    <p class="text-[16px] text-ink-2">
      The record keeps what went in, the oil it was rubbed into included. Empty cups need nothing.
    </p>
    <ul class="mt-2 grid max-w-xl gap-2">
      <li
        v-for="cup in cups"
        :key="cup.vessel"
        class="figure flex flex-wrap items-center justify-between gap-3 text-[17px]"
      >
        <span>{{ cup.name }}, {{ say.mass(cup.grams) }} mixed</span>
        <NumberField
          :model-value="left[cup.vessel] ?? null"
          kind="mass"
          class="w-36"
          :label="`Left of ${cup.name}`"
          :min="0"
          :max="cup.grams"
          @update:model-value="keep(cup.vessel, cup.grams, $event)"
        />
      </li>
    </ul>
  </section>
</template>
