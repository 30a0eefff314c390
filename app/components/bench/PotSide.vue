<script setup lang="ts">
import { sumOf } from '#core/statistics/sum'

/** Beside the pot on the bench: the mould, when the layer below carries, and what the next pot is. */
const bench = useBench()
const { ctx, plan, state } = bench
const { rows, below, carriesIn, then } = useLayers(bench)
const say = computed(() => ctx.value.say)
const racers = computed(() => rows.value.filter(({ races, poured }) => races && !poured))
/** g of oils and lye that stand ready for a pot, where they were divided. */
const cups = computed(() => {
  const of = (what: string) =>
    sumOf(plan.value.steps, ({ id, weigh }) =>
      weigh?.kind === 'share' && weigh.id === what && weigh.pot === then.value?.index
        ? (state.value.steps.get(id)?.grams ?? weigh.grams)
        : 0,
    )
  return { oils: of('oils'), lye: of('lye') }
})
const setting = computed(() => (below.value === null ? null : rows.value[below.value]!))
const set = computed(() => {
  const one = setting.value
  return one ? 1 - one.setsIn / bench.usualOf(one.index).minutes.thick : 0
})
</script>

<template>
  <div>
    <FilledMould />
    <template v-if="setting && setting.poured">
      <div class="figure mt-3 flex items-baseline justify-between gap-3">
        <b class="text-[18px]">{{
          carriesIn > 0 ? `${setting.name} carries in` : `${setting.name} carries`
        }}</b>
        <b v-if="carriesIn > 0" class="text-[32px] leading-none">{{ clockText(carriesIn) }}</b>
      </div>
      <div class="mt-1.5 h-5 bg-[#283335]">
        <i
          class="block h-full"
          :style="{ width: `${Math.min(100, set * 100)}%`, background: setting.colour }"
        />
      </div>
      <p v-if="carriesIn > 0" class="mt-1 text-[15px] text-ink-2">
        Poured sooner, this layer breaks through.
      </p>
    </template>
    <div v-if="then" class="mt-4 border-t border-line pt-3">
      <p class="text-[18px] font-bold">Then pot {{ then.index + 1 }}, {{ then.name }}</p>
      <p class="figure text-[16px] text-ink-2">
        <template v-if="cups.oils">{{ say.mass(cups.oils) }} of oils</template>
        <template v-if="cups.lye">, its lye {{ say.mass(cups.lye) }}</template>
      </p>
    </div>
    <p v-for="racer in racers" :key="racer.index" class="mt-3 text-[16px]">
      <b class="text-[#f3c24b]">Pot {{ racer.index + 1 }} races</b>, workable for about
      {{ minutesText(racer.working) }}. By hand, its scent last.
    </p>
  </div>
</template>
