import type { NewRunEvent, RunEvent } from '#contracts/run'
import { isDone, nextStep, runOf, targetOf } from '#core/bench/run/run'
import type { ScaleReading } from '#core/bench/run/weighing'
import { blankFormula } from '#core/formula/blank'
import { formatter } from '#core/units/formatter'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, nextTick, ref, shallowRef } from 'vue'
import { plannedFrom } from '../../tests/support/bench'
import { inPage } from '../../tests/support/page'
import { newId } from '../utils/ids'
import type { Bench } from './useBench'
import { useWeighing } from './useWeighing'

const startedAt = '2026-03-01T09:00:00.000Z'
let leave = () => {}
beforeEach(() => void vi.useFakeTimers({ now: Date.parse(startedAt) }))
afterEach(() => {
  leave()
  vi.useRealTimers()
})

/** A bench at its first weighing, with a scale of 1 g that weighs 3 kg. */
function atTheScale({ scale = 1, scaleMax = 3000, oils = 500, say = formatter({ scale }) } = {}) {
  const { ctx: planned, plan } = plannedFrom(
    {
      ...blankFormula('Slab'),
      size: { by: 'oils', grams: oils },
      fats: [
        { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
        { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
      ],
    },
    { scaleMax },
    scale,
  )
  const ctx = { ...planned, say }
  const events = shallowRef<RunEvent[]>([])
  const told: NewRunEvent[] = []
  const tell = (event: NewRunEvent) => {
    told.push(event)
    events.value = [...events.value, { ...event, id: newId(), at: startedAt } as RunEvent]
  }
  const state = computed(() => runOf(plan, startedAt, events.value))
  const on = ref('')
  const step = computed(
    () => plan.steps.find(({ id }) => id === on.value) ?? nextStep(plan, state.value),
  )
  const readings = shallowRef<ScaleReading[]>([])
  const now = ref<{ scale: number | null }>({ scale: null })
  const leading = ref(true)
  const locked = ref(false)
  const bench = {
    ctx: ref(ctx),
    plan: ref(plan),
    state,
    step,
    stepState: computed(() => step.value && state.value.steps.get(step.value.id)),
    target: computed(() => (step.value ? targetOf(plan, state.value, step.value) : 0)),
    done: computed(() => !!step.value && isDone(state.value, step.value.id)),
    locked,
    keeper: { leading },
    run: { scale, setup: { scaleMax } },
    devices: { now, scaleReadings: readings },
    tell,
    finish: () => tell({ kind: 'done', step: step.value!.id }),
    times: ref(1),
  } as unknown as Bench
  // Past everything that is not weighed.
  const water = plan.steps.find(({ weigh }) => weigh?.kind === 'water')!
  on.value = water.id
  const page = inPage(() => useWeighing(bench))
  leave = page.leave
  /** So much stands on the scale, at rest unless it trembles. */
  async function puts(grams: number, trembles = 0) {
    now.value = { scale: grams }
    readings.value = Array.from({ length: 12 }, (_, index) => ({
      at: index * 100,
      grams: grams + (index % 2 ? trembles : 0),
    }))
    await nextTick()
  }
  const wanted = bench.target.value
  return { ...page.of, bench, plan, told, on, puts, wanted, water, leading, locked, readings }
}

describe('a weighing', () => {
  it('starts from the vessel that stands there, and takes what is in the band', async () => {
    const { puts, shown, take, told, wanted, water, load, on } = atTheScale()
    await puts(412)
    expect(shown.value).toMatchObject({ grams: 0, standing: 'empty' })
    take()
    expect(told).toEqual([])
    await puts(412 + wanted - 40)
    expect(shown.value.standing).toBe('short')
    expect(shown.value.toGo).toBeCloseTo(40, 6)
    take()
    expect(told).toEqual([])
    await puts(412 + wanted)
    expect([shown.value.standing, load.value.target]).toEqual(['in', wanted])
    take()
    expect(told).toEqual([
      { kind: 'scooped', step: water.id, grams: wanted, typed: false },
      { kind: 'done', step: water.id },
    ])
    // The same jug for the next thing: it counts from what stands there now.
    on.value = ''
    await nextTick()
    expect(shown.value.grams).toBe(0)
  })

  it('waits until the scale is at rest', async () => {
    const { puts, take, told, steady, wanted } = atTheScale()
    await puts(100)
    await puts(100 + wanted, 5)
    expect(steady.value).toBe(false)
    take()
    expect(told).toEqual([])
    await puts(100 + wanted, 1)
    take()
    expect(told).toHaveLength(2)
  })

  it('by hand: a figure with a comma, tared anew after each scoop', async () => {
    const { typed, typedGrams, shown, takePart, take, told, wanted, water, tare } = atTheScale()
    typed.value = '12,5'
    expect(typedGrams.value).toBe(12.5)
    takePart()
    expect(told).toEqual([{ kind: 'scooped', step: water.id, grams: 12.5, typed: true }])
    expect([typed.value, typedGrams.value]).toEqual(['', null])
    typed.value = 'a lot'
    expect(typedGrams.value).toBeNull()
    typed.value = String(wanted - 12.5)
    expect(shown.value).toMatchObject({ standing: 'in' })
    take()
    expect(told.at(-1)).toEqual({ kind: 'done', step: water.id })
    typed.value = '5'
    tare()
    expect(typed.value).toBe('')
  })

  it('a vessel that is lifted weighs nothing, not less than nothing', async () => {
    const { puts, lifted, shown, base } = atTheScale()
    await puts(412)
    await puts(0)
    expect(lifted.value).toBe(true)
    expect(shown.value.grams).toBe(0)
    await puts(405)
    expect(lifted.value).toBe(false)
    expect(base.value).toBe(412)
  })

  it('a known vessel is subtracted, what stands there is tared away', async () => {
    const { puts, subtract, shown, tare } = atTheScale()
    await puts(0)
    await puts(300)
    subtract(250)
    expect(shown.value.grams).toBe(50)
    tare()
    expect(shown.value.grams).toBe(0)
  })

  it('less than planned can be enough, if somebody says so', async () => {
    const { puts, takeShort, told, water } = atTheScale()
    await puts(0)
    await puts(20)
    takeShort()
    expect(told).toEqual([
      { kind: 'scooped', step: water.id, grams: 20, typed: false },
      { kind: 'done', step: water.id },
    ])
    takeShort()
    expect(told).toHaveLength(2)
  })

  it('is nobody’s who does not lead, nor of a lye that is locked', async () => {
    const { puts, take, takePart, takeShort, told, wanted, leading, locked } = atTheScale()
    await puts(0)
    await puts(wanted)
    leading.value = false
    take()
    leading.value = true
    locked.value = true
    take()
    takePart()
    takeShort()
    expect(told).toEqual([])
  })

  it('too heavy for the scale it goes in loads', async () => {
    const { puts, loads, load, take, takePart, told, wanted, shown, whole, lifted, tare } =
      atTheScale({
        oils: 4000,
        scaleMax: 600,
      })
    await puts(0)
    expect(loads.value.length).toBeGreaterThan(1)
    const first = loads.value[0]!
    expect(load.value).toEqual({ number: 1, target: first })
    await puts(first)
    expect([shown.value.standing, whole.value.standing]).toEqual(['in', 'short'])
    take()
    expect(told).toHaveLength(1)
    expect(load.value.number).toBe(2)
    // Nothing has come on since: there is no part to take.
    takePart()
    expect(told).toHaveLength(1)
    // The jug is emptied and comes back: the loads are what they were.
    await puts(0)
    expect(lifted.value).toBe(true)
    tare()
    await puts(loads.value[1]!)
    expect(shown.value.standing).toBe('in')
    expect(loads.value.reduce((sum, one) => sum + one, 0)).toBeCloseTo(wanted, 6)
  })
})

describe('too much', () => {
  const over = async () => {
    const bench = atTheScale()
    await bench.puts(0)
    await bench.puts(bench.wanted + 30)
    bench.take()
    return bench
  }

  it('is asked about, not taken as done', async () => {
    const { choosing, choices, told, take, water } = await over()
    expect(choosing.value).toBe(true)
    expect(told.map(({ kind }) => kind)).toEqual(['scooped'])
    expect(choices.value.map(({ choice }) => choice)).toContain('take-out')
    expect(choices.value[0]!.out).toBeCloseTo(30, 6)
    // The key once more decides nothing.
    take()
    expect(told).toHaveLength(1)
    expect(water.id).toBe(told[0]!.kind === 'scooped' ? told[0]!.step : '')
  })

  it('spooned out: the last scoop is weighed again from where it began', async () => {
    const { choices, choose, told, shown, puts, take, wanted, bench } = await over()
    choose(choices.value.find(({ choice }) => choice === 'take-out')!)
    expect(told.at(-1)!.kind).toBe('undone')
    expect(bench.stepState.value?.scoops ?? []).toEqual([])
    await puts(wanted)
    expect(shown.value.standing).toBe('in')
    take()
    expect(told.slice(-2).map(({ kind }) => kind)).toEqual(['scooped', 'done'])
  })

  it('accepted: what follows from it is written down, and it goes on', async () => {
    const { choices, choose, told, water } = await over()
    const choice = choices.value.find((one) => one.choice === 'accept')!
    choose(choice)
    expect(told.slice(-2)).toEqual([
      { kind: 'chose', step: water.id, choice: 'accept', targets: choice.targets },
      { kind: 'done', step: water.id },
    ])
  })

  it('said to be enough, it is asked about all the same', async () => {
    const { puts, takeShort, choosing, wanted, told } = atTheScale()
    await puts(0)
    await puts(wanted + 30)
    takeShort()
    expect([choosing.value, told.length]).toEqual([true, 1])
  })

  it('all scoops of a step go back to nothing', async () => {
    const { bench, again, puts, choosing, shown } = await over()
    again()
    expect([bench.stepState.value?.scoops ?? [], choosing.value]).toEqual([[], false])
    await puts(bench.devices.now.value.scale!)
    expect(shown.value.grams).toBe(0)
  })
})

describe('a press while the last digit moves', () => {
  it('takes what lay still in the band a moment ago, not what lay there before', async () => {
    for (const [late, events] of [
      [300, ['scooped', 'done']],
      [500, []],
    ] as const) {
      const { puts, take, told, wanted } = atTheScale()
      await puts(0)
      await puts(wanted)
      await puts(wanted - 20)
      vi.advanceTimersByTime(late)
      take()
      expect(
        told.map(({ kind }) => kind),
        `${late} ms`,
      ).toEqual(events)
      if (events.length) expect(told[0]).toMatchObject({ grams: wanted })
      leave()
    }
  })

  it('waits for what has yet to settle in the band, three seconds at most', async () => {
    for (const [late, count] of [
      [2900, 2],
      [3100, 0],
    ] as const) {
      const { puts, take, asked, told, wanted } = atTheScale()
      await puts(0)
      await puts(wanted, 4)
      take()
      expect(asked.value).toBe(true)
      expect(told).toEqual([])
      vi.advanceTimersByTime(late)
      await puts(wanted)
      expect(told, `${late} ms`).toHaveLength(count)
      leave()
    }
  })

  it('is forgotten when more goes in: too much is never taken unseen', async () => {
    const { puts, take, asked, choosing, told, wanted } = atTheScale()
    await puts(0)
    await puts(wanted, 4)
    take()
    await puts(wanted + 80, 4)
    expect(asked.value).toBe(false)
    await puts(wanted + 80)
    expect(told).toEqual([])
    expect(choosing.value).toBe(false)
  })

  it('never takes what stood on the scale for a figure that is being typed', async () => {
    const { puts, take, typed, told, wanted } = atTheScale()
    await puts(0)
    await puts(wanted)
    typed.value = '1'
    take()
    expect(told).toEqual([])
  })
})

describe('taking by itself', () => {
  it('after two and a half seconds at rest in the band, and not twice', async () => {
    const { puts, byItself, told, wanted } = atTheScale()
    byItself.value = true
    await puts(0)
    await puts(wanted)
    vi.advanceTimersByTime(2000)
    await puts(wanted - 0.5)
    expect(told).toEqual([])
    vi.advanceTimersByTime(600)
    expect(told.map(({ kind }) => kind)).toEqual(['scooped', 'done'])
  })

  it('not while it trembles, is typed, or nobody asked for it', async () => {
    for (const off of ['trembles', 'typed', 'unasked']) {
      const { puts, byItself, typed, told, wanted } = atTheScale()
      byItself.value = off !== 'unasked'
      await puts(0)
      for (let step = 0; step < 5; step++) {
        if (off === 'typed') typed.value = String(wanted)
        await puts(wanted - (step % 2) * 0.2, off === 'trembles' ? 5 : 0)
        vi.advanceTimersByTime(1000)
      }
      expect(told, off).toEqual([])
      leave()
    }
  })

  it('what is typed in an ounce workshop is ounces: 10 oz are 283.5 g, never 10 g', () => {
    const { typed, typedGrams, takeShort, told, water } = atTheScale({
      scale: 0.1,
      say: formatter({ system: 'imperial', scale: 0.1 }),
    })
    typed.value = '10'
    expect(typedGrams.value).toBeCloseTo(283.495, 3)
    takeShort()
    expect(told[0]).toMatchObject({ kind: 'scooped', step: water.id, typed: true })
    expect((told[0] as { grams: number }).grams).toBeCloseTo(283.495, 3)
  })
})
