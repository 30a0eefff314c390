<script setup lang="ts">
import { isIn, mayCombine } from '#core/heat/meeting'
import { jugOf } from '#core/bench/plan/plan'
import { openJugPeak } from '#core/heat/dissolving'
import { normalAt } from '#core/bench/plan/stepKinds'
import { forecastC } from '#core/bench/run/heatState'

/** Steps that a temperature decides: lye dissolves, a vessel cools, both meet, milk is stirred in. */
const bench = useBench()
const { step, celsius, plan, heat, minutes, ctx, done, devices, run, state, clock } = bench
const say = computed(() => ctx.value.say)
const kind = computed(() => step.value!.kind)
const watch = computed(() => step.value!.watch)
const since = ref(minutes.value)
const asked = ref(false)

const big = computed(() => {
  if (kind.value === 'meet') return null
  return celsius.value[watch.value?.vessel ?? 'lye']
})
const byHand = computed(() => !run.setup.thermometer)
const tooWarm = computed(() => !!watch.value && big.value !== null && big.value > watch.value.most)
const ready = computed(() => {
  if (byHand.value) return true
  if (kind.value === 'cool') return big.value !== null && !tooWarm.value
  if (kind.value === 'meet') {
    const { lye, oils } = celsius.value
    return (
      ctx.value.meltsByLye ||
      (lye !== null && oils !== null && mayCombine(plan.value.window, lye, oils))
    )
  }
  return true
})
/** Of the jug that the thermometer is in. */
const peak = computed(() => openJugPeak(jugOf(plan.value, bench.jugPot.value)))
const normal = computed(() => normalAt(step.value!))
/** When a cooling vessel will be there. */
const there = computed(() => {
  const { value: own } = watch
  if (kind.value !== 'cool' || !own || !tooWarm.value) return null
  for (let ahead = 0; ahead < 600; ahead += 1) {
    const at = forecastC(heat.value, own.vessel, minutes.value + ahead)
    if (at !== null && at <= own.most) return minutes.value + ahead
  }
  return null
})
function next() {
  if (done.value || bench.locked.value) return
  if (!ready.value && !asked.value) {
    asked.value = true
    return
  }
  if (kind.value !== 'dissolve')
    for (const vessel of ['lye', 'oils'] as const) bench.keepReading(vessel)
  if (kind.value === 'dissolve') bench.keepReading('lye')
  bench.finish()
}
const iced = computed(() => ({
  lye: state.value.treated.lye.how === 'ice',
  oils: state.value.treated.oils.how === 'ice',
}))
function ice(vessel: 'lye' | 'oils') {
  const on = !iced.value[vessel]
  bench.tell({ kind: 'treated', vessel, how: on ? 'ice' : 'air' })
  if (devices.sources.value[vessel].kind === 'stand-in')
    void devices.act({ act: 'ice', vessel, on })
}
function heatAgain(vessel: 'lye' | 'oils') {
  bench.tell({ kind: 'treated', vessel, how: 'heat' })
}
/** Milk that browned, a jug that tipped: only the lye is lost while no fat has met it. */
const anew = computed(() => bench.canMakeLyeAnew.value && kind.value !== 'meet')
const milky = computed(() => watch.value?.vessel === 'lye' && ctx.value.scorches)
const makeAnew = () =>
  anew.value && bench.lyeAnew(milky.value ? 'scorched' : heat.value.weakLye ? 'weak' : 'other')
useBenchKeys({ r: makeAnew })
useBenchKeys({ ' ': next, Enter: next, i: () => ice('lye'), o: () => ice('oils') })
const mainWords = computed(() => {
  if (done.value) return { says: 'Done', hint: '→ goes on' }
  if (kind.value === 'dissolve') return { says: 'Dissolved and clear', hint: 'Space' }
  if (kind.value === 'stir-in') return { says: 'All of it is in', hint: 'Space' }
  if (ready.value)
    return { says: kind.value === 'meet' ? 'They meet: combine' : 'Cool enough', hint: 'Space' }
  if (asked.value)
    return { says: 'Go on all the same?', hint: 'Space again; it is kept in the record' }
  return {
    says: kind.value === 'meet' ? 'Not yet' : 'Still too warm',
    hint: 'Space, to go on all the same',
  }
})
const vessels = [
  { kind: 'lye', says: 'Lye', colour: '#ff8d75' },
  { kind: 'oils', says: 'Oils', colour: '#e8c25d' },
] as const
const degrees = (value: number | null) => degreesText(value, say.value)
</script>

<template>
  <BenchFrame>
    <div v-if="kind === 'meet'" class="mt-4 grid max-w-2xl grid-cols-2 gap-4">
      <div v-for="vessel in vessels" :key="vessel.kind">
        <p class="text-[18px] text-ink-2">{{ vessel.says }}</p>
        <p
          class="figure text-[76px] leading-none font-bold sm:text-[104px]"
          :style="{ color: vessel.colour }"
        >
          {{ degrees(celsius[vessel.kind]) }}
        </p>
        <p
          class="figure text-[17px]"
          :class="
            celsius[vessel.kind] !== null && isIn(plan.window[vessel.kind], celsius[vessel.kind]!)
              ? 'text-[#9fd1b8]'
              : 'text-ink-2'
          "
        >
          {{
            celsius[vessel.kind] !== null && isIn(plan.window[vessel.kind], celsius[vessel.kind]!)
              ? 'in its window'
              : 'wanted'
          }}
          {{ say.temperature(plan.window[vessel.kind].low) }} to
          {{ say.temperature(plan.window[vessel.kind].high) }}
        </p>
      </div>
    </div>
    <template v-else>
      <p
        class="figure mt-3 text-[88px] leading-none font-bold sm:text-[130px]"
        :class="tooWarm ? 'text-[#ff8d75]' : 'text-ink'"
      >
        {{ degrees(big) }}
      </p>
      <p class="figure text-[18px] text-ink-2 sm:text-[21px]">
        <template v-if="watch"
          ><b :class="tooWarm ? 'text-[#ff8d75]' : 'text-chalk'">{{
            tooWarm ? (kind === 'cool' ? 'wait' : 'Stop adding, let it cool') : 'under the guard'
          }}</b>
          of {{ say.temperature(watch.most) }}</template
        >
        <template v-else-if="kind === 'dissolve'">
          expected at its hottest: {{ say.temperature(peak.low) }} to
          {{ say.temperature(peak.high) }}
        </template>
        <template v-if="there !== null">, about {{ clock.timeOf(there) }}</template>
        <template v-if="kind === 'dissolve' || kind === 'stir-in'">
          · {{ clockText(minutes - since) }}</template
        >
      </p>
    </template>
    <p v-if="byHand" class="mt-3 text-[17px] text-[#f3c24b]">
      No thermometer: hold your hand to the vessel from outside. Warm, not hot, and alike.
    </p>
    <NormalLines v-if="normal" :lines="normal" class="mt-4 text-[17px]" />
    <div v-if="kind === 'meet' || kind === 'cool' || watch" class="mt-4 flex flex-wrap gap-2">
      <BenchKey
        quiet
        class="!flex-none"
        :says="iced.lye ? 'Lye out of the ice' : 'Lye into ice water'"
        hint="I"
        @click="ice('lye')"
      />
      <BenchKey
        v-if="kind === 'meet'"
        quiet
        class="!flex-none"
        :says="iced.oils ? 'Oils out of the ice' : 'Oils into ice water'"
        hint="O"
        @click="ice('oils')"
      />
      <BenchKey
        v-if="kind === 'meet'"
        quiet
        class="!flex-none"
        says="I warmed the oils"
        @click="heatAgain('oils')"
      />
    </div>
    <BenchKey
      v-if="anew"
      quiet
      class="mt-3 !flex-none"
      :says="milky ? 'Orange or brown: make the lye anew' : 'Spoiled: make the lye anew'"
      hint="R"
      @click="makeAnew"
    />
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="mainWords.says"
        :hint="mainWords.hint"
        :disabled="done || (!ready && !asked)"
        @click="next"
      />
      <BenchKey says="Meanwhile" hint="→ the next step" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
