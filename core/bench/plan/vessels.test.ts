import type { VesselStuff } from '#contracts/benchWords'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { windowOf } from '../../heat/meeting'
import { jugHeatOf } from './jug'
import { lyeJugStuffs, ownVessels } from './vessels'
import { planWindow } from './window'

const { ctx, plan } = plannedFrom({
  ...blankFormula('Vessels'),
  size: { by: 'oils', grams: 1000 },
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
  scents: [{ id: 'fir', name: 'Fir', rate: 0.03, of: 'oils', moment: 'trace' }],
})
const own = (name: string, millilitres: number, stuff: VesselStuff | null) => ({
  id: name,
  name,
  grams: 100,
  millilitres,
  stuff,
})

describe('the workshop’s own vessels for a plan', () => {
  const chosen = (...vessels: ReturnType<typeof own>[]) =>
    Object.fromEntries(ownVessels(plan.vessels, vessels))
  const sizes = Object.fromEntries(plan.vessels.map(({ id, size }) => [id, size]))

  it('are offered once, the largest need first, the smallest that does', () => {
    expect(sizes).toEqual({ 'lye-cup': 250, 'lye-jug': 750, pan: 2000, 'scent-cup': 50 })
    expect(
      chosen(own('bucket', 9000, 'steel'), own('pan', 2500, 'steel'), own('jug', 800, 'pp')),
    ).toEqual({ pan: 'pan', 'lye-jug': 'jug', 'lye-cup': 'bucket' })
    expect(chosen(own('only', 2500, 'steel'))).toEqual({ pan: 'only' })
  })

  it('may be a quarter smaller than advised, no more', () => {
    expect(chosen(own('pan', 1500, 'steel')).pan).toBe('pan')
    expect(chosen(own('pan', 1499, 'steel')).pan).toBeUndefined()
  })

  it('only of what bears it: no plastic on the stove, no glass for lye, nothing hot where nobody said', () => {
    for (const stuff of ['pp', 'hdpe', 'glass', 'silicone', 'plastic'] as const)
      expect(chosen(own('it', 2000, stuff)).pan, stuff).toBeUndefined()
    expect(lyeJugStuffs).not.toContain('glass')
    const lye = (stuff: VesselStuff | null) => chosen(own('it', 750, stuff))['lye-jug']
    expect([lye('steel'), lye('pp'), lye('hdpe'), lye('glass'), lye('plastic'), lye(null)]).toEqual(
      ['it', 'it', 'it', undefined, undefined, undefined],
    )
    expect(chosen(own('it', 60, null))).toEqual({ 'scent-cup': 'it' })
    expect(chosen(own('it', 60, 'glass'))).toEqual({ 'scent-cup': 'it' })
  })
})

describe('when lye and oils may meet', () => {
  const { document, setup, onScale } = ctx
  const jug = jugHeatOf(document, onScale.result, setup)
  const usual = windowOf(document.method.lyeC, document.method.oilsC, null)
  const liquid = (moment: 'lye' | 'oils', way: 'frozen' | 'poured' | 'into-cooled-lye') => ({
    ...document,
    liquids: [{ id: 'goat-milk', share: 0.5, moment, way }],
  })

  it('as usual, unless milk takes the lye', () => {
    expect(planWindow(document, [jug], null)).toEqual({ ...usual, asItIs: null })
    expect(planWindow(liquid('lye', 'poured'), [jug], null).asItIs).toBeNull()
    expect(planWindow(liquid('oils', 'frozen'), [jug], null).asItIs).toBeNull()
    for (const way of ['frozen', 'into-cooled-lye'] as const)
      expect(planWindow(liquid('lye', way), [jug], 38)).toEqual({
        ...windowOf(document.method.lyeC, document.method.oilsC, 38),
        lye: { low: 10, high: 38 },
        apart: 28,
        asItIs: 'milk',
      })
    expect(planWindow(liquid('lye', 'frozen'), [jug], null).lye.high).toBe(usual.lye.high)
  })

  it('lye from a can that nothing heats is taken as it is, four degrees to either side of the room', () => {
    const can = { ...jug, naoh: 0, koh: 0, readyNaoh: 130, readyWater: 230, water: 0, roomC: 18 }
    expect(planWindow(document, [can], null)).toEqual({
      ...usual,
      lye: { low: 14, high: usual.lye.high },
      apart: Math.max(usual.apart, usual.oils.high - 14),
      asItIs: 'room',
    })
    // One jug of several with dry lye in it, or a can that is thinned hot: waited for.
    expect(planWindow(document, [can, jug], null).asItIs).toBeNull()
    expect(planWindow(document, [jug, can], null).asItIs).toBeNull()
    expect(planWindow(document, [{ ...can, koh: 40 }], null).asItIs).toBeNull()
    expect(planWindow(document, [{ ...can, roomC: 34 }], null).asItIs).toBeNull()
    expect(planWindow(document, [], null).asItIs).toBeNull()
  })
})
