import { refAutoReset, useTimeoutFn } from '@vueuse/core'
import { overPour } from '#core/bench/run/overPour'
import { isSteady, loadsOf, loadTarget, standingAt } from '#core/bench/run/weighing'
import type { Bench } from './useBench'
import { roundTo } from '#core/statistics/roundTo'

/** ms for which a weight must hold still in its band to be taken by itself, and in which a key after that does nothing. */
const takesItself = 2500
const quietAfter = 1200
/** ms for which a weight that could be taken still can when the last digit flickers: no hand is faster. */
const flickers = 400
/** ms for which a press on what has not settled waits for it. */
const waits = 3000

/**
 * The weighing of the step on screen: what the scale says less the vessel, earlier scoops, the band, the loads of what is too
 * heavy, a figure that is being typed, and what to do about too much.
 */
export function useWeighing(bench: Bench) {
  const { devices, run } = bench
  /** g that stood on the scale when it was last tared; null before. */
  const base = ref<number | null>(null)
  /** g of the vessel alone, as it was tared: what was weighed into it since is not part of it. */
  const vessel = ref(0)
  const typed = ref('')
  const byItself = ref(false)
  const choosing = ref(false)
  /** What the scale was tared to before the scoop that is being judged. */
  let baseBefore: number | null = null
  const quietUntil = ref(0)
  /** g of this scoop as they last lay still in the band, and until when they can be taken so. */
  let takeable: { grams: number; until: number } | null = null
  /** Whether a weight in its band was asked to be taken that has yet to settle. */
  const asked = refAutoReset(false, waits)

  /** Counts from what stands on the scale: a vessel with nothing of this step in it. */
  function stands(grams: number | null) {
    base.value = grams
    vessel.value = grams ?? 0
    takeable = null
    asked.value = false
  }
  const step = computed(() => (bench.step.value?.weigh ? bench.step.value : null))
  watch(
    () => step.value?.id,
    () => {
      typed.value = ''
      choosing.value = false
      // What stands on the scale stays there: the next thing often goes into the same vessel.
      stands(devices.now.value.scale)
    },
    { immediate: true },
  )
  const scoops = computed(() => bench.stepState.value?.grams ?? 0)
  const gross = computed(() => devices.now.value.scale)
  watch(gross, (grams) => {
    if (base.value === null && grams !== null) stands(grams)
  })
  /** g that came on since the tare; null without a scale that speaks. */
  const net = computed(() =>
    gross.value === null ? null : roundTo(gross.value - (base.value ?? 0), 4),
  )
  /** g of the figure that is being typed, in the workshop's unit; null while none is. */
  const typedGrams = computed(() => {
    const value = Number(typed.value.replace(',', '.'))
    return typed.value.trim() === '' || Number.isNaN(value)
      ? null
      : bench.ctx.value.say.gramsOf(value)
  })
  /** The vessel was lifted: far less on the scale than when it was tared. */
  const lifted = computed(() => net.value !== null && net.value < -10 * run.scale - 2)
  /** g of this scoop: typed, or what lies on the scale. */
  const scoop = computed(() => typedGrams.value ?? (lifted.value ? 0 : (net.value ?? 0)))
  const steady = computed(
    () => typedGrams.value !== null || isSteady(devices.scaleReadings.value, run.scale),
  )
  const loads = computed(() =>
    loadsOf(bench.target.value, run.setup.scaleMax, vessel.value, run.scale),
  )
  const load = computed(() => loadTarget(loads.value, scoops.value))
  const tolerance = computed(() => step.value?.weigh?.tolerance ?? run.scale)
  /** Typed is the whole when nothing is in yet, else the next scoop. */
  const shown = computed(() =>
    standingAt(scoops.value + scoop.value, load.value.target, tolerance.value),
  )
  const whole = computed(() =>
    standingAt(scoops.value + scoop.value, bench.target.value, tolerance.value),
  )
  const choices = computed(() =>
    choosing.value && step.value
      ? overPour(
          bench.ctx.value,
          bench.plan.value,
          bench.state.value,
          step.value,
          scoops.value / bench.times.value,
        )
          // What several share is not scaled to one of them: it is spooned out, or taken as it is.
          .filter(({ targets }) => bench.times.value === 1 || !Object.keys(targets).length)
          .map((choice) => ({ ...choice, out: choice.out * bench.times.value }))
      : [],
  )

  function tare() {
    if (gross.value !== null) stands(gross.value)
    typed.value = ''
  }
  /** Subtracts a vessel that is known by its weight. */
  const subtract = stands
  function takeScoop(weighed = scoop.value) {
    if (!step.value) return
    const grams = roundTo(weighed, 4)
    if (grams !== 0)
      bench.tell({
        kind: 'scooped',
        step: step.value.id,
        grams,
        typed: typedGrams.value !== null,
      })
    typed.value = ''
    baseBefore = base.value
    base.value = gross.value
    takeable = null
    asked.value = false
  }

  /**
   * The main key: takes what is in the band, asks what to do about too much. What lay still in the band a moment ago is taken
   * as it lay; what has yet to settle in it is taken once it has.
   */
  function take() {
    if (!step.value || bench.done.value || bench.locked.value || !bench.keeper.leading.value) return
    if (performance.now() < quietUntil.value || choosing.value) return
    if (!typed.value && takeable && performance.now() <= takeable.until)
      return takeAs(takeable.grams)
    if (!steady.value && whole.value.standing !== 'over') {
      asked.value = shown.value.standing === 'in'
      return
    }
    if (shown.value.standing !== 'empty' && shown.value.standing !== 'short') takeAs(scoop.value)
  }
  function takeAs(grams: number) {
    const { standing } = standingAt(scoops.value + grams, bench.target.value, tolerance.value)
    takeScoop(grams)
    if (standing === 'over') choosing.value = true
    else if (standing === 'in') bench.finish()
  }
  /** A scoop that is not all of it. */
  function takePart() {
    if (!step.value || scoop.value <= 0 || !steady.value || bench.locked.value) return
    takeScoop()
  }
  /** What is there is to be enough. */
  function takeShort() {
    if (whole.value.standing === 'over') return take()
    if (!step.value || bench.done.value || bench.locked.value || !steady.value) return
    takeScoop()
    bench.finish()
  }
  function choose(choice: (typeof choices.value)[number]) {
    if (!step.value) return
    choosing.value = false
    if (choice.choice === 'take-out') {
      // The last scoop is weighed again while it is spooned down.
      const last = bench.stepState.value?.scoops.at(-1)
      if (last) bench.tell({ kind: 'undone', event: last.id })
      base.value = baseBefore
      return
    }
    bench.tell({
      kind: 'chose',
      step: step.value.id,
      choice: choice.choice,
      targets: choice.targets,
    })
    bench.finish()
  }
  /** Scoops that were taken at this step go back to nothing. */
  function again() {
    for (const { id } of bench.stepState.value?.scoops ?? [])
      bench.tell({ kind: 'undone', event: id })
    choosing.value = false
    base.value = gross.value
  }

  const still = computed(
    () => shown.value.standing === 'in' && steady.value && typedGrams.value === null,
  )
  watch([still, scoop], () => {
    if (still.value) takeable = { grams: scoop.value, until: Infinity }
    else if (takeable?.until === Infinity) takeable.until = performance.now() + flickers
  })
  watch([still, () => shown.value.standing], () => {
    if (asked.value && still.value) take()
    else if (shown.value.standing !== 'in') asked.value = false
  })
  const itself = useTimeoutFn(
    () => {
      take()
      quietUntil.value = performance.now() + quietAfter
    },
    takesItself,
    { immediate: false },
  )
  watch(
    () =>
      byItself.value &&
      still.value &&
      !bench.done.value &&
      !bench.locked.value &&
      bench.keeper.leading.value,
    (may) => (may ? itself.start() : itself.stop()),
  )

  return {
    step,
    typed,
    typedGrams,
    byItself,
    lifted,
    gross,
    base,
    steady,
    asked,
    scoops,
    shown,
    whole,
    load,
    loads,
    tolerance,
    choosing,
    choices,
    tare,
    subtract,
    take,
    takePart,
    takeShort,
    choose,
    again,
  }
}
export type WeighingNow = ReturnType<typeof useWeighing>
