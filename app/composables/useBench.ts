import { byBlender } from '#core/formula/method'
import type { LyeFault, VesselKind } from '#contracts/benchWords'
import type { SkippedReading } from '#contracts/device'
import type { FormulaLesson } from '#contracts/batch'
import type { Frozen } from '#contracts/result'
import type { Thumbnail } from '#contracts/thumbnail'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { usualMinutes } from '#core/bench/run/batter'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { heatState } from '#core/bench/run/heatState'
import { frozenAs, usualValues, valuesOfLots, type OwnValues } from '#core/bench/run/lots'
import { usualTimes } from '#core/bench/run/ownTimes'
import { contextOf, lyeMadeBy, planFor } from '#core/bench/plan/plan'
import {
  safetyCheckPassed,
  isDone,
  lastTold,
  lyeIsAbout,
  lyeIsInFats,
  nextStep,
  runOf,
  targetOf,
  waitsFor,
  weighedSoFar,
} from '#core/bench/run/run'
import type { Step } from '#core/bench/plan/step'
import { randomSource } from '#core/statistics/randomSource'
import { roundTo } from '#core/statistics/roundTo'
import { useIntervalFn } from '@vueuse/core'
import type { InjectionKey } from 'vue'
import type { RunKeeper } from './useRunKeeper'

/** s of the bench's clock between two readings of a thermometer that are kept, and while lye dissolves. */
const readEvery = { usually: 30, dissolving: 10 }

/** ms in which all is told that one press tells. */
const onePress = 5

export interface BenchSubject {
  frozen: Frozen
  name: string
  number: number | null
  thumbnail: Thumbnail
  keeper: RunKeeper
  practising: boolean
  guided: boolean
  /** What the batters of this formula did before. */
  earlier: readonly (readonly RunEvent[])[]
  /** What earlier batches of it taught. */
  lessons: readonly FormulaLesson[]
  /** What is weighed for several batches at once, as a multiple of this batch's own part; 1 where it is this one's alone. */
  times?: (step: Step) => number
  /** Hears everything that is told, to tell it of other batches too where it is theirs as well. */
  beside?: (event: RunEvent) => void
}

/** A run at the bench: its plan, where it stands, its clock, its devices, and the one way to write down what happens. */
export function createBench(subject: BenchSubject) {
  const { keeper } = subject
  const workshop = useWorkshop()
  const { run } = keeper
  const planned = (own: Frozen) => {
    const context = contextOf(own, run.setup, run.scale, workshop.say)
    return { ctx: context, plan: planFor(context) }
  }
  const asPlanned = computed(() => planned(subject.frozen))
  /** What the lots say that stand at the scale: as text, so that the plan is made anew only when it says something else. */
  const ofLots = computed(() =>
    JSON.stringify([
      ...valuesOfLots(asPlanned.value.plan, keeper.events.value, usualValues(subject.frozen)),
    ]),
  )
  const made = computed(() => {
    const values = new Map(JSON.parse(ofLots.value) as [string, OwnValues][])
    return values.size ? planned(frozenAs(subject.frozen, values)) : asPlanned.value
  })
  const ctx = computed(() => made.value.ctx)
  const plan = computed(() => made.value.plan)
  const state = computed(() => runOf(plan.value, run.startedAt, keeper.events.value))

  const speed = ref(1)
  const clock = useBenchClock(run.startedAt, () => keeper.events.value, speed)
  const minutes = computed(() => (clock.now.value - Date.parse(run.startedAt)) / 60_000)

  /** What one press tells has one instant and is taken back together; the next press has a later one, though the clock ticks slowly. */
  const press = { since: 0, at: 0, open: false }
  function instant(): string {
    const since = performance.now()
    if (!press.open && since - press.since > onePress)
      press.at = Math.max(clock.now.value, press.at + 1)
    press.since = since
    // However long a slow tablet works on what was told first: until it has done with the press, it is one.
    press.open = true
    queueMicrotask(() => (press.open = false))
    return new Date(press.at).toISOString()
  }
  function tell<Event extends NewRunEvent>(event: Event): string {
    const id = newId()
    const whole = { ...event, id, at: instant() } as unknown as RunEvent
    // What was weighed for several is kept as each one's own part.
    const own =
      whole.kind === 'scooped' && whole.step === step.value?.id && times.value !== 1
        ? { ...whole, grams: roundTo(whole.grams / times.value, 4) }
        : whole
    keeper.keep(own)
    subject.beside?.(own)
    return id
  }

  /** What thermometers showed while a stand-in let time pass: the bench's clock may have stood still meanwhile. */
  function keepPassed(passed: SkippedReading[], by: 'clock-moves' | 'clock-stands') {
    const from = clock.now.value
    for (const { minutes: at, ...read } of passed)
      for (const vessel of ['lye', 'oils'] as const)
        if (read[vessel] !== null && watching.value[vessel] && keeper.leading.value)
          keeper.keep({
            id: newId(),
            at: new Date(from + (by === 'clock-moves' ? at * 60_000 : 0)).toISOString(),
            kind: 'read',
            vessel,
            ...inJug(vessel),
            celsius: read[vessel],
            typed: false,
          } as RunEvent)
  }

  /** Takes back the latest thing that was written down, and shows its step again. */
  function takeBack() {
    if (!keeper.leading.value) return
    const last = lastTold(keeper.events.value)
    for (const { id } of last) tell({ kind: 'undone', event: id })
    looking.value = null
  }
  /** What `takeBack` would take back; empty when nothing can be. */
  const takesBack = computed(() => {
    const last = lastTold(keeper.events.value).at(-1)
    return last && !state.value.finished ? toldWords(last, plan.value.steps) : ''
  })

  const devices = useDevices(
    run.id,
    () => ({
      at: new Date(clock.now.value).toISOString(),
      speed: speed.value,
      roomC: run.setup.roomC,
      resolution: run.scale,
      most: run.setup.scaleMax,
      seed: subject.practising ? 11 : 5,
    }),
    subject.practising,
  )

  /** The step on screen: the next one that is open, unless the maker looks at another. */
  const looking = ref<string | null>(null)
  const next = computed(() => nextStep(plan.value, state.value))
  const ownStep = computed<Step | null>(
    () => plan.value.steps.find(({ id }) => id === looking.value) ?? next.value,
  )
  const times = computed(() => (ownStep.value ? (subject.times?.(ownStep.value) ?? 1) : 1))
  const step = computed<Step | null>(() => {
    const own = ownStep.value
    if (!own?.weigh || times.value === 1) return own
    const { grams, tolerance } = own.weigh
    return {
      ...own,
      weigh: { ...own.weigh, grams: grams * times.value, tolerance: tolerance * times.value },
    }
  })
  watch(
    () => next.value?.id,
    (id, before) => {
      if (looking.value === before || looking.value === id) looking.value = null
    },
  )
  const index = computed(() => plan.value.steps.findIndex(({ id }) => id === step.value?.id))
  function look(by: number) {
    const other = plan.value.steps[index.value + by]
    if (other) looking.value = other.id === next.value?.id ? null : other.id
  }
  const open = (id: string | null) => {
    looking.value = id === next.value?.id ? null : id
  }

  const stepState = computed(() => {
    const own = step.value ? state.value.steps.get(step.value.id) : undefined
    return own && times.value !== 1
      ? {
          ...own,
          grams: own.grams * times.value,
          scoops: own.scoops.map((scoop) => ({ ...scoop, grams: scoop.grams * times.value })),
        }
      : own
  })
  const done = computed(() => !!step.value && isDone(state.value, step.value.id))
  const missing = computed(() =>
    step.value && !done.value ? waitsFor(plan.value, state.value, step.value) : [],
  )
  const target = computed(() =>
    ownStep.value ? targetOf(plan.value, state.value, ownStep.value) * times.value : 0,
  )
  /** Lye shows no number before the safety check is passed, nor when the two ways of working it out differ. */
  const locked = computed(
    () => !!step.value?.lye && !(safetyCheckPassed(ctx.value, state.value) && plan.value.agrees),
  )
  const finish = (id = step.value?.id) => {
    if (!id || !keeper.leading.value) return
    tell({ kind: 'done', step: id })
    looking.value = null
  }

  /** Whose lye jug the thermometer is in, where every pot has one: of the step on screen, else of the lye made last, else as chosen. */
  const jugChosen = ref<number | null>(null)
  const jugPot = computed<number | null>(() => {
    if (plan.value.jugs.length < 2) return null
    const own = step.value?.lye ? (step.value.weigh?.pot ?? step.value.pot ?? null) : null
    const made = plan.value.steps.findLast(
      ({ id, kind }) => kind === 'dissolve' && isDone(state.value, id),
    )
    return own ?? jugChosen.value ?? made?.pot ?? 0
  })
  const heatSince = ref(0)
  const heatAt = (at: number) =>
    heatState(ctx.value, plan.value, state.value, at, randomSource(1), jugPot.value)
  const heat = shallowRef(heatAt(0))
  function refit() {
    heat.value = heatAt(minutes.value)
    heatSince.value = minutes.value
  }
  watch(
    () => [state.value.readings, state.value.treated, state.value.order.length, jugPot.value],
    refit,
    {
      immediate: true,
    },
  )

  /** °C of a vessel: its thermometer, or the last reading that was kept. */
  const celsius = computed<Record<VesselKind, number | null>>(() => ({
    lye: devices.now.value.lye ?? heat.value.lye,
    oils: devices.now.value.oils ?? heat.value.oils,
  }))
  /** What the lye thermometer says is of the jug that it is in. */
  const inJug = (vessel: VesselKind) =>
    vessel === 'lye' && jugPot.value !== null ? { pot: jugPot.value } : {}
  function keepReading(vessel: VesselKind) {
    const value = devices.now.value[vessel]
    if (value !== null && keeper.leading.value)
      tell({ kind: 'read', vessel, ...inJug(vessel), celsius: value, typed: false })
  }
  const keepTyped = (vessel: VesselKind, celsius: number) =>
    tell({ kind: 'read', vessel, ...inJug(vessel), celsius, typed: true })
  const lastKept: Record<VesselKind, number> = { lye: -Infinity, oils: -Infinity }
  const lyeMade = computed(() => isDone(state.value, lyeMadeBy(plan.value, jugPot.value)?.id ?? ''))
  /** Thermometers are worth keeping from the lye to the pour. */
  const watching = computed(() => {
    const has = (kind: string) =>
      plan.value.steps.some((one) => one.kind === kind && isDone(state.value, one.id))
    return {
      lye: (step.value?.kind === 'dissolve' || lyeMade.value) && !has('combine'),
      oils: (step.value?.kind === 'melt' || has('melt') || lyeMade.value) && !has('combine'),
    }
  })
  useIntervalFn(() => {
    const every = step.value?.kind === 'dissolve' ? readEvery.dissolving : readEvery.usually
    for (const vessel of ['lye', 'oils'] as const) {
      if (!watching.value[vessel] || (minutes.value - lastKept[vessel]) * 60 < every) continue
      lastKept[vessel] = minutes.value
      keepReading(vessel)
    }
    if (minutes.value - heatSince.value > 0.5) refit()
  }, 500)

  const models = computed(() => {
    const blender = byBlender(ctx.value.document)
    // Before a batter is divided it is one: then no pot has a pace of its own.
    const whole = usualMinutes(plan.value.working, blender)
    return plan.value.pots.map(({ working }) =>
      plan.value.dividing === 'none' ? whole : usualMinutes(working, blender),
    )
  })
  /** Worked out when something was told, not with every tick of the clock. */
  const usual = computed(() =>
    models.value.map((_, pot) =>
      usualTimes(models.value, pot, keeper.events.value, subject.earlier),
    ),
  )
  const usualOf = (pot: number) => usual.value[pot]!
  const soFar = computed(() => weighedSoFar(ctx.value, plan.value, state.value))
  /** Minutes since the lye went into the oils of a pot. */
  function sinceCombined(pot: number): number | null {
    const { combined } = state.value
    const at = combined.find((one) => one.pot === pot) ?? combined.find((one) => one.pot === null)
    return at ? minutes.value - at.minutes : null
  }

  return {
    ...subject,
    run,
    ctx,
    plan,
    state,
    clock,
    minutes,
    speed,
    tell,
    devices,
    step,
    index,
    next,
    look,
    open,
    stepState,
    times,
    done,
    missing,
    target,
    locked,
    finish,
    takeBack,
    takesBack,
    canMakeLyeAnew: computed(
      () =>
        keeper.leading.value &&
        lyeIsAbout(plan.value, state.value) &&
        !lyeIsInFats(plan.value, state.value),
    ),
    /** Throws the lye away: its steps begin again. */
    lyeAnew: (because: LyeFault) => {
      tell({ kind: 'restarted', because })
      looking.value = null
    },
    heat,
    celsius,
    keepReading,
    keepTyped,
    keepPassed,
    jugPot,
    jugChosen,
    lyeMade,
    usualOf,
    soFar,
    sinceCombined,
    safetyCheck: computed(() => safetyCheckOf(ctx.value.document)),
    lyeIsAbout: computed(() => lyeIsAbout(plan.value, state.value)),
  }
}
export type Bench = ReturnType<typeof createBench>
const benchKey: InjectionKey<Bench> = Symbol('bench')

export function provideBench(subject: BenchSubject): Bench {
  const bench = createBench(subject)
  provide(benchKey, bench)
  return bench
}
/** The bench this component stands at. */
export function useBench(): Bench {
  const bench = inject(benchKey)
  if (!bench) throw new Error('No bench on this page.')
  return bench
}
