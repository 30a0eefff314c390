<script setup lang="ts">
import { frozenStates } from '#contracts/words'
import { frozenStateOf, lyeJugsOf } from '#core/bench/plan/jug'
import { readingsOf } from '#core/bench/run/batter'
import { lyeForMilk, lyeInCup } from '#core/bench/run/spooned'
import { afterSpoon, courseOf, spoons, waitUntil } from '#core/heat/spoons'

/** Lye onto frozen milk, a spoon at a time: where the next one lands against the guard, and when to wait. */
const bench = useBench()
const { step, ctx, plan, state, celsius, run, done, devices, minutes } = bench
const say = computed(() => ctx.value.say)
const guard = computed(() => step.value!.watch!.most)
const pot = computed(() => step.value!.pot ?? null)
const frozen = computed(() => frozenStateOf(ctx.value.document, run.setup, state.value.frozen))
const jug = computed(() => lyeJugsOf(ctx.value, frozen.value)[pot.value ?? 0]!)

/** g of lye that were weighed for this jug, and what is left in its cup after so many spoons. */
const whole = computed(() => lyeForMilk(plan.value, state.value, step.value!))
const told = computed(() => state.value.spooned[step.value!.id] ?? [])
const leftAfter = (count?: number) => lyeInCup(plan.value, state.value, step.value!, count)
const left = computed(() => leftAfter())
const share = computed(() => (whole.value > 0 ? 1 - left.value / whole.value : 1))
const allIn = computed(() => left.value <= Math.max(run.scale, whole.value * 0.005))
const spoonful = computed(() => Math.min(left.value, whole.value / spoons))
const now = computed(() => (run.setup.thermometer ? celsius.value.lye : null))
const next = computed(() =>
  now.value === null || allIn.value
    ? null
    : afterSpoon(jug.value, now.value, share.value, spoonful.value / whole.value),
)
const waits = computed(() => next.value !== null && next.value > guard.value)
const waitTo = computed(() => waitUntil(jug.value, share.value, guard.value))
const course = computed(() => courseOf(jug.value, guard.value))
const points = computed(() => {
  const from = (told.value[0]?.minutes ?? minutes.value) - 1
  return readingsOf(state.value, 'lye', pot.value)
    .filter((one) => one.minutes >= from)
    .map((one) => ({
      celsius: one.celsius,
      share:
        1 -
        leftAfter(told.value.filter((spoon) => spoon.minutes <= one.minutes).length) / whole.value,
    }))
})

/** What the cup weighs by now: typed, or on a scale that sends and shows something that can be it. */
const typed = ref('')
const onScale = computed(() => {
  const shown = devices.now.value.scale
  return shown !== null && shown >= 0 && shown < left.value - run.scale ? shown : null
})
const weighedLeft = computed(() => {
  const value = Number(typed.value.replace(',', '.'))
  if (typed.value.trim() && Number.isFinite(value))
    return Math.min(left.value, Math.max(0, say.value.gramsOf(value)))
  return onScale.value
})
function spoon() {
  bench.keepReading('lye')
  bench.tell({ kind: 'spooned', step: step.value!.id, left: weighedLeft.value })
  typed.value = ''
}
function main() {
  if (done.value || bench.locked.value || bench.missing.value.length) return
  if (allIn.value) {
    bench.keepReading('lye')
    return bench.finish()
  }
  if (!waits.value) spoon()
}
const iced = computed(() => state.value.treated.lye.how === 'ice')
function ice() {
  bench.tell({ kind: 'treated', vessel: 'lye', how: iced.value ? 'air' : 'ice' })
  if (devices.sources.value.lye.kind === 'stand-in')
    void devices.act({ act: 'ice', vessel: 'lye', on: iced.value })
}
const stopped = ref(false)
const stop = () => (stopped.value = !stopped.value)
const makeAnew = () => bench.canMakeLyeAnew.value && bench.lyeAnew('scorched')
useBenchKeys(
  {
    ' ': main,
    Enter: main,
    i: ice,
    x: stop,
    r: makeAnew,
    Backspace: () => (typed.value = typed.value.slice(0, -1)),
  },
  (key) => {
    if (!/^[0-9.,]$/.test(key)) return false
    typed.value += key
    return true
  },
)
const sounds = useBenchSounds()
watch(waits, (is, was) => {
  if (was && !is && sounds.value) soundOf('look')
})
const number = computed(() => told.value.length + 1)
const mainWords = computed(() => {
  if (done.value) return { says: 'Done', hint: '→ goes on' }
  if (allIn.value) return { says: 'All of it is in', hint: 'Space' }
  if (waits.value)
    return {
      says: `Spoon ${number.value} at ${say.value.temperature(waitTo.value)}`,
      hint: 'lights up by itself',
    }
  return {
    says: `Spoon ${number.value} is in`,
    hint:
      next.value === null
        ? `Space · about ${say.value.mass(spoonful.value)}; the jug no warmer than your hand`
        : `Space · about ${say.value.mass(spoonful.value)}, lifts it to ${say.value.temperature(next.value)}`,
  }
})
const degrees = (value: number | null) => degreesText(value, say.value)
const colours = [
  { fill: '#efe6cf', says: 'pale', looks: 'text-ink-2' },
  { fill: '#ecd88e', says: 'yellow, normal', looks: 'font-bold' },
  { fill: '#e2bd4f', says: 'deep yellow', looks: 'text-ink-2' },
  { fill: '#d98324', says: 'orange, stop', looks: 'font-bold text-[#ff8d75]' },
] as const
</script>

<template>
  <BenchFrame>
    <div class="mt-2 flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
      <div>
        <p
          class="figure text-[72px] leading-none font-bold sm:text-[110px]"
          :class="waits ? 'text-[#f3c24b]' : ''"
        >
          {{ degrees(now) }}
        </p>
        <p v-if="now !== null" class="figure text-[18px] sm:text-[21px]">
          <b :class="now > guard ? 'text-[#ff8d75]' : 'text-chalk'">
            {{ say.degreesApart(Math.abs(guard - now)) }} {{ now > guard ? 'over' : 'under' }} the
            guard</b
          >
          of {{ say.temperature(guard) }}
        </p>
        <p v-if="waits" class="figure text-[17px] text-[#f3c24b]">
          Now a spoon would take it to {{ say.temperature(next!) }}: stir in the ice bath until it
          is at {{ say.temperature(waitTo) }}.
        </p>
        <p v-else-if="now === null" class="text-[17px] text-[#f3c24b]">
          No reading: hold a hand to the jug. No warmer than your hand before the next spoon.
        </p>
      </div>
      <div class="figure">
        <p class="text-[16px] text-ink-2">Lye left in its cup</p>
        <p class="text-[34px] leading-tight font-bold text-[#ff8d75] sm:text-[44px]">
          {{ say.mass(weighedLeft ?? left) }}
          <small v-if="weighedLeft !== null" class="text-[15px] font-semibold text-[#f3c24b]">{{
            typed ? 'typed' : 'on the scale'
          }}</small>
        </p>
        <div class="mt-1 flex gap-1" role="img" :aria-label="`${told.length} spoons in`">
          <i
            v-for="place in spoons"
            :key="place"
            class="h-7 w-5"
            :class="
              place <= Math.round(share * spoons)
                ? 'bg-[#283335]'
                : place === Math.round(share * spoons) + 1
                  ? 'bg-[#d5432a] outline-3 outline-chalk'
                  : 'bg-[#d5432a]'
            "
          />
        </div>
        <p class="mt-1 text-[15px] text-ink-2">
          {{ say.count(told.length, 'spoon', 'spoons') }} in, of {{ say.mass(whole) }}; type what
          the cup weighs
        </p>
      </div>
    </div>
    <div v-if="stopped" role="alert" class="mt-3 bg-[#7d2218] px-4 py-3 text-[17px] text-white">
      <b class="block text-[19px]">Stop. No more lye.</b>
      Jug into ice water, stir until it is under {{ say.temperature(guard - 10) }}. Yellow and thick
      may go on. Brown, or a smell of burnt milk or ammonia that stays, is lye to be made anew (R).
      <button type="button" class="min-h-11 px-2 underline" @click="stopped = false">
        It is yellow, go on
      </button>
    </div>
    <SpoonChart
      class="mt-3 max-h-[34dvh]"
      :course="course"
      :points="points"
      :now="now"
      :next="next"
      :share="share"
      :guard="guard"
      :chill="frozenWords[frozen].named"
    />
    <ul
      class="mt-3 grid grid-cols-4 gap-1.5 text-[15px] sm:text-[17px]"
      aria-label="Colours of the milk"
    >
      <li v-for="colour in colours" :key="colour.says">
        <i class="block h-7" :style="{ background: colour.fill }" />
        <span :class="colour.looks">{{ colour.says }}</span>
      </li>
    </ul>
    <div class="mt-3 flex flex-wrap items-center gap-2">
      <span class="text-[16px] text-ink-2">The milk went in as</span>
      <div class="flex flex-1 border border-line-3" role="group" aria-label="The milk went in as">
        <button
          v-for="one in frozenStates"
          :key="one"
          type="button"
          class="min-h-14 flex-1 px-2 text-[16px] font-semibold"
          :class="one === frozen ? 'bg-[#dfe6e4] text-[#182022]' : ''"
          :aria-pressed="one === frozen"
          @click="bench.tell({ kind: 'chilled', how: one })"
        >
          {{ frozenWords[one].says }}
        </button>
      </div>
      <BenchKey
        quiet
        class="!flex-none"
        :says="iced ? 'Out of the ice' : 'Into ice water'"
        hint="I"
        @click="ice"
      />
      <BenchKey
        v-if="bench.canMakeLyeAnew.value"
        quiet
        class="!flex-none"
        says="Brown: make the lye anew"
        hint="R"
        @click="makeAnew"
      />
    </div>
    <template #keys>
      <HoldKey v-if="waits && !done" says="I add it" letter="a" @held="spoon" />
      <BenchKey v-else says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="mainWords.says"
        :hint="mainWords.hint"
        :disabled="done || waits || bench.missing.value.length > 0"
        @click="main"
      />
      <BenchKey danger says="Stop" hint="it turns orange, X" @click="stop" />
    </template>
  </BenchFrame>
</template>
