<script setup lang="ts">
import { lyeJugsOf } from '#core/bench/plan/jug'
import { jugOf } from '#core/bench/plan/plan'
import { reallyThere } from '#core/bench/run/asWeighed'
import { weightsOf } from '#core/bench/run/run'
import { jugWith } from '#core/bench/run/slips'
import { lyeForMilk, lyeInCup } from '#core/bench/run/spooned'
import { spoons } from '#core/heat/spoons'

/** The stand-ins' own little world: pour, spoon, stove and ice, so that the bench has something to listen to. */
const bench = useBench()
const { devices, step, plan, state, target, speed, practising, stepState, run } = bench
/** The jug of the step, with its milk as it turned out to be. */
const milkJug = computed(
  () =>
    lyeJugsOf(bench.ctx.value, state.value.frozen ?? run.setup.frozen)[step.value?.pot ?? 0] ??
    plan.value.jug,
)
/** What really is in the jug: weights that were typed move the stand-ins too. */
const weights = computed(() => weightsOf(plan.value, state.value))
const jugNow = computed(() =>
  plan.value.jugs.length > 1
    ? jugOf(plan.value, bench.jugPot.value)
    : jugWith(bench.ctx.value, plan.value, weights.value),
)
const oilsNow = computed(() => reallyThere(plan.value, 'oils', weights.value))
const weak = ref(false)
const silent = ref({ scale: false, lye: false, oils: false })
const toGo = computed(() => Math.max(0, target.value - (stepState.value?.grams ?? 0)))
const weighing = computed(() => !!step.value?.weigh && !bench.done.value)
/** g per second: a steady hand takes some six seconds. */
const rateOf = (grams: number) => Math.min(400, Math.max(4, grams / 6))
/** What has gone on the scale since this step's scoops, as far as this panel poured it. */
const poured = ref(0)
watch(
  () => [step.value?.id, stepState.value?.scoops.length],
  () => (poured.value = 0),
)
function pour(share: number) {
  const grams = toGo.value * share - poured.value
  if (grams <= 0) return
  poured.value += grams
  void devices.act({ act: 'pour', grams, perSecond: rateOf(target.value) })
}
function dash(grams: number) {
  if (grams <= 0) return
  poured.value += grams
  void devices.act({ act: 'pour', grams, perSecond: Math.min(400, Math.max(4, grams)) })
}
function spoon(grams: number) {
  poured.value -= grams
  void devices.act({ act: 'take', grams })
}
const over = computed(() => Math.max(run.scale * 5, target.value * 0.04))
const act = devices.act
const keys = computed(() => {
  if (weighing.value)
    return [
      { key: 'p', says: 'Pour to just short', act: () => pour(0.97) },
      { key: 'd', says: 'The last drops', act: () => dash(Math.max(0, toGo.value - poured.value)) },
      {
        key: 'x',
        says: 'Too much',
        act: () => dash(Math.max(0, toGo.value - poured.value) + over.value),
      },
      { key: 'u', says: 'Spoon some out', act: () => spoon(over.value) },
      { key: 'v', says: 'Empty vessel on', act: () => act({ act: 'place', grams: 180 }) },
      { key: 'l', says: 'Vessel off', act: () => act({ act: 'lift' }) },
    ]
  if (step.value?.kind === 'dissolve' && step.value.watch)
    return [
      {
        key: 'p',
        says: 'A spoon of lye in',
        act: () => {
          const whole = lyeForMilk(plan.value, state.value, step.value!)
          const share = whole > 0 ? 1 - lyeInCup(plan.value, state.value, step.value!) / whole : 0
          return act({ act: 'spoon', jug: milkJug.value, share, spoon: 1 / spoons })
        },
      },
    ]
  if (step.value?.kind === 'dissolve')
    return [
      {
        key: 'p',
        says: 'Pour the lye in',
        act: () => act({ act: 'dissolve', jug: jugNow.value, weak: weak.value }),
      },
      {
        key: 'm',
        says: weak.value ? 'Lye: old and weak' : 'Lye: fresh',
        act: () => (weak.value = !weak.value),
      },
    ]
  if (step.value?.kind === 'melt')
    return [
      {
        key: 'p',
        says: 'Melt on the stove',
        act: () => act({ act: 'warm', vessel: 'oils', toC: 58, grams: oilsNow.value }),
      },
    ]
  if (step.value?.kind === 'meet')
    return [
      {
        key: 'p',
        says: 'Warm the oils a little',
        act: () =>
          act({
            act: 'warm',
            vessel: 'oils',
            toC: plan.value.window.oils.high - 1,
            grams: oilsNow.value,
          }),
      },
      {
        key: 'j',
        says: 'Warm the lye jug',
        act: () =>
          act({ act: 'warm', vessel: 'lye', toC: plan.value.window.lye.high - 1, grams: 0 }),
      },
    ]
  if (step.value?.kind === 'stir-in' && step.value.watch)
    return [
      {
        key: 'p',
        says: 'A little cold milk in',
        act: () => act({ act: 'add', vessel: 'lye', grams: 60, celsius: -1 }),
      },
    ]
  return []
})
/** Time passes for the vessels, and in a rehearsal for the bench: what they showed meanwhile is kept, the peak too. */
async function skip(minutes: number) {
  const passed = await act({ act: 'skip', minutes })
  bench.keepPassed(passed, practising ? 'clock-moves' : 'clock-stands')
  if (practising) bench.clock.skip(minutes)
}
function setSpeed(times: number) {
  speed.value = times
  void act({ act: 'speed', times })
}
function silence(role: 'scale' | 'lye' | 'oils') {
  silent.value[role] = !silent.value[role]
  void act({ act: 'silence', device: role, on: silent.value[role] })
}
useBenchKeys({
  ...Object.fromEntries(
    ['p', 'd', 'x', 'u', 'v', 'l', 'm', 'j'].map((key) => [
      key,
      () => void keys.value.find((one) => one.key === key)?.act(),
    ]),
  ),
  f: () => void skip(10),
})
// What is typed lies on the stand-in scale too.
watch(
  () => stepState.value?.scoops.at(-1),
  (scoop) => {
    if (scoop?.typed && scoop.grams > 0 && devices.sources.value.scale.kind === 'stand-in')
      void act({ act: 'pour', grams: scoop.grams, perSecond: 500 })
  },
)
// The world follows what the maker says is in: milk cools the oils it goes into.
watch(
  () => state.value.order.length,
  () => {
    const done = plan.value.steps.find(({ id }) => id === state.value.order.at(-1))
    if (done?.weigh?.kind === 'liquid' && done.vessel === 'pan')
      void act({ act: 'add', vessel: 'oils', grams: done.weigh.grams, celsius: 8 })
  },
)
const names = { scale: 'scale', lye: 'lye probe', oils: 'oil probe' } as const
</script>

<template>
  <section
    class="mt-4 border border-dashed border-line-3 p-3 text-[14px]"
    aria-label="Stand-in devices"
  >
    <h2 class="text-[14px] font-semibold !text-ink-2">Stand-in scale and thermometers</h2>
    <div class="mt-2 grid grid-cols-2 gap-2">
      <button
        v-for="key in keys"
        :key="key.key"
        type="button"
        class="min-h-14 bg-[#26323f] px-2 py-1.5 text-left font-semibold"
        @click="key.act()"
      >
        {{ key.says }} <kbd class="float-right border-line-3">{{ key.key.toUpperCase() }}</kbd>
      </button>
      <button
        type="button"
        class="min-h-14 bg-[#26323f] px-2 py-1.5 text-left font-semibold"
        @click="skip(10)"
      >
        Ten minutes pass <kbd class="float-right border-line-3">F</kbd>
      </button>
    </div>
    <div v-if="practising" class="mt-2 flex gap-2" role="group" aria-label="Speed">
      <button
        v-for="times in [1, 10, 60]"
        :key="times"
        type="button"
        class="min-h-11 flex-1 font-semibold"
        :class="speed === times ? 'bg-chalk text-[#182022]' : 'bg-[#26323f]'"
        :aria-pressed="speed === times"
        @click="setSpeed(times)"
      >
        {{ times }}×
      </button>
    </div>
    <div class="mt-2 flex flex-wrap gap-x-3">
      <label v-for="(label, role) in names" :key="role" class="flex min-h-11 items-center gap-1.5">
        <input type="checkbox" class="size-5" :checked="silent[role]" @change="silence(role)" />
        {{ label }} silent
      </label>
    </div>
  </section>
</template>
