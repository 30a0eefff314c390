<script setup lang="ts">
import type { VesselKind } from '#contracts/benchWords'
import { jugOf } from '#core/bench/plan/plan'
import { openJugPeak } from '#core/heat/dissolving'

/** Both thermometers, their curves and what follows from them. */
const bench = useBench()
const { celsius, heat, devices, plan, clock, minutes, ctx, state, step } = bench
const say = computed(() => ctx.value.say)
const degrees = (value: number | null) => degreesText(value, say.value)
const vessels: { kind: VesselKind; says: string; colour: string }[] = [
  { kind: 'lye', says: 'Lye jug', colour: '#ff8d75' },
  { kind: 'oils', says: 'Oils', colour: '#e8c25d' },
]
const dissolved = bench.lyeMade
const jug = computed(() => jugOf(plan.value, bench.jugPot.value))
const hasReadings = computed(
  () => state.value.readings.lye.length + state.value.readings.oils.length > 1,
)
const combined = computed(() => state.value.combined.length > 0)
const peakWords = computed(() => {
  const { low, high } = openJugPeak(jug.value)
  return `${say.value.temperature(low)} to ${say.value.temperature(high)}`
})
/** The number is only shown once it is allowed to be about lye. */
const relevant = computed(() => step.value?.kind !== 'safety-check')
const weak = computed(
  () => heat.value.weakLye && !state.value.laundry && bench.canMakeLyeAnew.value,
)
const laundry = () => bench.tell({ kind: 'laundry' })
useBenchKeys({
  r: () => weak.value && bench.lyeAnew('weak'),
  y: () => weak.value && laundry(),
})
const typedFor = ref<VesselKind | null>(null)
const typed = ref('')
function keepTyped() {
  const value = Number(typed.value.replace(',', '.'))
  if (typed.value.trim() && !Number.isNaN(value) && typedFor.value)
    bench.keepTyped(typedFor.value, say.value.celsiusOf(value))
  typed.value = ''
  typedFor.value = null
}
</script>

<template>
  <section aria-label="Temperatures">
    <label
      v-if="plan.jugs.length > 1 && !combined"
      class="mb-1 flex items-center gap-2 text-[15px]"
    >
      The lye thermometer is in
      <select
        class="min-h-11 flex-1 border border-line-3 bg-transparent px-2 text-ink"
        :value="bench.jugPot.value"
        @change="bench.jugChosen.value = Number(($event.target as HTMLSelectElement).value)"
      >
        <option
          v-for="(pot, index) in plan.pots"
          :key="index"
          class="text-[#182022]"
          :value="index"
        >
          {{ pot.name }}
        </option>
      </select>
    </label>
    <div class="max-lg:grid max-lg:grid-cols-2 max-lg:gap-x-6">
      <div
        v-for="vessel in vessels"
        :key="vessel.kind"
        class="flex items-center justify-between gap-2"
      >
        <div>
          <span class="text-[16px]">{{ vessel.says }}</span>
          <small
            v-if="devices.silent.value[vessel.kind]"
            role="status"
            class="block text-[14px] font-semibold text-[#f3c24b]"
            >thermometer silent</small
          >
          <small
            v-if="state.treated[vessel.kind].how === 'ice'"
            class="block text-[14px] text-[#9fc8e0]"
            >in ice water</small
          >
        </div>
        <button
          v-if="typedFor !== vessel.kind"
          type="button"
          class="figure min-h-11 text-[34px] leading-tight font-bold lg:text-[46px]"
          :style="{ color: vessel.colour }"
          :aria-label="`${vessel.says} ${degrees(celsius[vessel.kind])}, type a reading`"
          @click="typedFor = vessel.kind"
        >
          {{ degrees(celsius[vessel.kind]) }}
        </button>
        <form v-else class="flex gap-2" @submit.prevent="keepTyped">
          <input
            v-model="typed"
            class="field h-12 w-20 text-right text-[20px]"
            inputmode="decimal"
            :aria-label="`Temperature of ${vessel.says}`"
            autofocus
            @blur="keepTyped"
          />
          <button type="submit" class="min-h-12 bg-[#2d393b] px-3 font-bold">Keep</button>
        </form>
      </div>
    </div>
    <LazyHeatChart v-if="hasReadings && !combined" class="mt-2 h-[200px] max-lg:h-[170px]" />
    <p v-if="heat.meeting && !combined" class="figure mt-1 text-[16px] font-semibold text-chalk">
      {{ meetingText(heat.meeting, minutes, clock.timeOf) }}
    </p>
    <p v-if="heat.advice && !combined" class="figure mt-1 text-[16px] text-[#f3c24b]">
      {{ adviceText(heat.advice, say) }}
    </p>
    <p
      v-if="relevant && !dissolved"
      class="figure mt-3 border-t border-line pt-3 text-[15px] leading-normal text-ink-2"
    >
      {{ jugText(jug, say) }}
    </p>
    <div
      v-if="heat.weakLye && !state.laundry"
      role="alert"
      class="mt-3 bg-[#7d2218] px-3 py-2.5 text-[15px] leading-snug text-white"
    >
      <b class="block text-[17px]">Weak lye suspected</b>
      It peaked at {{ say.temperature(heat.peak ?? 0) }}; {{ peakWords }} was to be expected. Lye
      that lay open has taken up water and air. Stop and make fresh lye, or keep this batch for
      laundry. Never add lye by guess: no weight is raised.
      <div v-if="bench.canMakeLyeAnew.value" class="mt-2 grid grid-cols-2 gap-2">
        <BenchKey says="Fresh lye" hint="R, lye steps again" @click="bench.lyeAnew('weak')" />
        <BenchKey says="For laundry" hint="Y, the batch" @click="laundry" />
      </div>
    </div>
    <p v-if="state.laundry" class="mt-3 text-[15px] font-semibold text-[#f3c24b]">
      This batch is kept for laundry: not for skin.
    </p>
    <p v-if="state.restarted.length && !dissolved" class="mt-3 text-[15px] text-[#f3c24b]">
      The lye is made anew. The spoiled one: cold and much diluted, away where your local rules
      allow it, never into a drain that has aluminium.
    </p>
  </section>
</template>
