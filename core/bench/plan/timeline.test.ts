import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { celsiusAt, usualPower, type Curve } from '../../heat/cooling'
import { openJugPeak } from '../../heat/dissolving'
import { lyeJugOf, lyeJugsOf, usualCooling } from './jug'
import type { StepKind } from './step'
import { normalAt, stepKinds, viewOf } from './stepKinds'

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
const milk = (way: 'into-cooled-lye' | 'poured', moment: 'lye' | 'oils' = 'lye') => ({
  liquids: [{ id: 'goat-milk', share: 0.4, moment, way }],
})
/** A plan's times, and both vessels at any minute of it as its own curves have them, worked out anew. */
function timed(more: Partial<FormulaDocument> = {}, setup: Partial<RunSetup> = {}) {
  const { ctx, plan } = plannedFrom(
    {
      ...blankFormula('Times'),
      size: { by: 'oils', grams: 1000 },
      fats: [fat('tallow', 0.5), fat('olive', 0.5)],
      ...more,
    },
    setup,
  )
  const at = (id: string) => plan.times.find((time) => time.id === id)!
  const jug = lyeJugOf(lyeJugsOf(ctx))
  const { low, high } = openJugPeak(jug)
  const k = usualCooling(jug, ctx.onScale.result)
  const { roomC } = ctx.setup
  const curve = (startC: number, from: string, perMinute: number): Curve => ({
    from: at(from)?.to ?? 0,
    startC,
    perMinute,
    roomC,
    power: usualPower,
  })
  const lyeAt = (minute: number) => celsiusAt(curve((low + high) / 2, 'dissolve', k.lye), minute)
  const oilsAt = (minute: number) =>
    at('melt') || at('warm')
      ? celsiusAt(curve(60, at('melt') ? 'melt' : 'warm', k.oils), minute)
      : roomC
  return { ctx, plan, at, lyeAt, oilsAt }
}

describe('when each step comes', () => {
  it('one after the other, each as long as it waits and works', () => {
    const { plan } = timed()
    let now = 0
    for (const [index, { from, to, waits }] of plan.times.entries()) {
      expect(from).toBeCloseTo(now, 9)
      expect(to - from).toBeCloseTo(waits + plan.steps[index]!.minutes, 9)
      now = to
    }
    expect(plan.minutes).toBeCloseTo(now, 9)
  })

  it('they meet when both are in their windows, and not a minute before', () => {
    for (const setup of [{}, { roomC: 24 }]) {
      const { ctx, at, lyeAt, oilsAt } = timed({}, setup)
      const { from, waits } = at('meet')
      expect(waits).toBeGreaterThan(5)
      const moment = from + waits
      const { lye, oils } = ctx.window
      expect(lyeAt(moment)).toBeLessThanOrEqual(lye.high + 0.3)
      expect(lyeAt(moment)).toBeGreaterThanOrEqual(lye.low - 0.3)
      expect(oilsAt(moment)).toBeLessThanOrEqual(oils.high + 0.3)
      const before = moment - 1.5
      expect(lyeAt(before) > lye.high || oilsAt(before) > oils.high).toBe(true)
    }
  })

  it('lye cools from when it was made, oils from when they were melted, to what is wanted', () => {
    const cooled = timed(milk('into-cooled-lye'), { roomC: 14 })
    const lye = cooled.at('cool:lye')
    expect(lye.waits).toBeGreaterThan(20)
    expect(lye.waits).toBeLessThan(180)
    expect(cooled.lyeAt(lye.from + lye.waits)).toBeCloseTo(24, 1)
    const poured = timed(milk('poured', 'oils'))
    const oils = poured.at('cool:oils')
    expect(oils.waits).toBeGreaterThan(10)
    expect(poured.oilsAt(oils.from + oils.waits)).toBeCloseTo(38, 1)
  })

  it('nobody waits longer than three hours, nor where the lye has melted the fats', () => {
    const huge = timed({ ...milk('into-cooled-lye'), size: { by: 'oils', grams: 60_000 } })
    expect(huge.at('cool:lye').waits).toBe(180)
    const { at } = timed({}, { meltBy: 'lye' })
    expect(at('meet').waits).toBe(0)
    expect(at('melt').waits).toBe(0)
  })

  it('oils that nobody warms are as warm as the room: only the lye is waited for', () => {
    const { ctx, at, lyeAt } = timed({
      fats: [fat('olive', 1)],
      method: { ...blankFormula('').method, lyeC: 30, oilsC: 20 },
    })
    const { from, waits } = at('meet')
    expect(at('warm')).toBeUndefined()
    expect(lyeAt(from + waits)).toBeLessThanOrEqual(ctx.window.lye.high + 0.3)
    expect(lyeAt(from + waits)).toBeGreaterThan(ctx.window.lye.high - 3)
  })
})

describe('kinds of steps', () => {
  it('each has what shows it, what is read, and what is normal', () => {
    const rows = (Object.keys(stepKinds) as StepKind[]).map((kind) => {
      const { view, reads = [], normal } = stepKinds[kind]
      return [kind, view, reads.join('+'), normal ? 'normal' : ''].join(' ').trim()
    })
    expect(rows).toEqual([
      'safety-check safety-check',
      'do do',
      'weigh weigh',
      'dissolve heat  normal',
      'cool heat',
      'melt do oils',
      'stir-in do  normal',
      'meet heat',
      'check check',
      'combine do lye+oils normal',
      'batter batter  normal',
      'pour pour  normal',
      'cover do',
      'rinse do',
    ])
    const { voice } = stepKinds.cool
    if (typeof voice === 'string') throw new Error('It depends on the heat.')
    expect(voice(true)).toContain('Waiting is part of it')
    expect(voice(false)).toContain('green')
  })

  it('what is watched is shown by its heat or its spoons, and milk has its own normal', () => {
    const step = (kind: StepKind, vessel?: 'lye' | 'oils') =>
      ({ kind, ...(vessel ? { watch: { vessel, most: 38 } } : {}) }) as Parameters<typeof viewOf>[0]
    expect(viewOf(step('stir-in'))).toBe('do')
    expect(viewOf(step('stir-in', 'lye'))).toBe('heat')
    expect(viewOf(step('dissolve'))).toBe('heat')
    expect(viewOf(step('dissolve', 'lye'))).toBe('spoons')
    expect(viewOf(step('weigh', 'oils'))).toBe('weigh')
    expect(normalAt(step('dissolve'))!.normal).toMatch(/^Cloudy/)
    expect(normalAt(step('dissolve', 'lye'))!.normal).toMatch(/^Yellow/)
    expect(normalAt(step('stir-in', 'lye'))!.not).toMatch(/^Orange/)
    expect(normalAt(step('stir-in', 'oils'))).toBeNull()
    expect(normalAt(step('stir-in'))!.normal).toMatch(/^Scent/)
    expect(normalAt(step('cover'))).toBeNull()
  })
})
