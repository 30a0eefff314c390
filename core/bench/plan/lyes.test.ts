import { describe, expect, it } from 'vitest'
import { blankFormula } from '../../formula/blank'
import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { mayCombine } from '../../heat/meeting'
import { plannedFrom } from '../../../tests/support/bench'
import { runOf } from '../run/run'
import { heatState } from '../run/heatState'
import { celsiusAtCombine } from '../run/batter'
import { randomSource } from '../../statistics/randomSource'
import { jugOf, lyeMadeBy } from './plan'

const plain = blankFormula('Slip')
const made = (changes: Partial<FormulaDocument>, setup: Partial<RunSetup> = {}) =>
  plannedFrom(
    {
      ...plain,
      fats: [
        { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
        { id: 'tallow', share: 0.3, moment: 'pot', inLye: true },
      ],
      ...changes,
    },
    setup,
    1,
  )
const ready = (strength: number, ratio: number): Partial<FormulaDocument> => ({
  alkali: { ...plain.alkali, solutionStrength: strength },
  water: { held: 'ratio', value: ratio },
})
const milk: Partial<FormulaDocument> = {
  liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
  method: { ...plain.method, lyeC: 30, oilsC: 38 },
}
const step = ({ plan }: ReturnType<typeof made>, id: string) =>
  plan.steps.find((one) => one.id === id)

describe('ready-mixed lye', () => {
  // 36 % is 64 : 36, 1.778 to one: at 1.778 nothing thins it.
  const asItIs = made(ready(0.36, 64 / 36))

  it('at its own strength is weighed into the jug and not poured into water that is not there', () => {
    expect(step(asItIs, 'dissolve')).toBeUndefined()
    expect(step(asItIs, 'weigh:solution')).toMatchObject({ vessel: 'lye-jug', lye: true })
    expect(asItIs.plan.vessels.some(({ id }) => id === 'lye-cup')).toBe(false)
    expect(lyeMadeBy(asItIs.plan, null)?.id).toBe('weigh:solution')
    const { grams } = step(asItIs, 'weigh:solution')!.weigh!
    // By hand: 700 × 190 + 300 × 198 mg KOH, less 5 %, as soda, at 36 %.
    const byHand = (((0.95 * (700 * 190 + 300 * 198)) / 1000) * (39.997 / 56.1056)) / 0.36
    expect(grams).toBeCloseTo(byHand, -1)
    expect(Math.abs(grams - byHand)).toBeLessThan(1.5)
  })

  it('stays as warm as the room: the oils are brought to it, and nobody waits', () => {
    const { window } = asItIs.plan
    expect(window.asItIs).toBe('room')
    expect(mayCombine(window, 20, 36)).toBe(true)
    expect(mayCombine(window, 20, 55)).toBe(false)
    expect(step(asItIs, 'meet')!.how).toContain('only the oils are brought to it')
    const waits = (id: string) => asItIs.plan.times.find((one) => one.id === id)!.waits
    // The oils cool from 60 °C; the lye is there all the while.
    expect(waits('meet')).toBeGreaterThan(10)
    expect(asItIs.plan.peak).toMatchObject({ low: 20, high: 20 })
  })

  it('thinned it warms, has a step of its own, and is waited for', () => {
    const thinned = made(ready(0.5, 2.2))
    expect(step(thinned, 'dissolve')!.says).toBe('Lye solution into the water')
    expect(thinned.plan.window.asItIs).toBeNull()
    expect(thinned.plan.peak.high).toBeGreaterThan(35)
    expect(thinned.plan.vessels.some(({ id }) => id === 'lye-cup')).toBe(true)
  })

  it('with potash beside it is stirred, not only weighed', () => {
    const both = made({
      alkali: { ...plain.alkali, solutionStrength: 0.36, kohShare: 0.1 },
      water: { held: 'ratio', value: 2 },
    })
    expect(step(both, 'dissolve')!.says).toContain('Potash into the')
  })
})

describe('strong lye', () => {
  it('at 1 : 1 has a caution of its own, at 2.2 : 1 the usual one', () => {
    const strong = step(made({ water: { held: 'ratio', value: 1 } }), 'dissolve')!
    expect(strong.how).toContain('In four or five parts')
    expect(strong.why).toContain('only just dissolves')
    const usual = step(made({}), 'dissolve')!
    expect(usual.how).toContain('Never water onto lye')
    expect(usual.why).toBeUndefined()
    expect(step(made({ water: { held: 'ratio', value: 1.1 } }), 'dissolve')!.why).toBeUndefined()
  })
})

describe('frozen milk', () => {
  it('goes in at once: the window is one that it can reach', () => {
    const { window } = made(milk).plan
    expect(window.asItIs).toBe('milk')
    expect(mayCombine(window, 16, 38)).toBe(true)
    expect(mayCombine(window, 39, 38)).toBe(false)
    expect(mayCombine(window, 16, 30)).toBe(false)
    expect(step(made(milk), 'meet')!.how).toContain('as soon as it is smooth')
  })

  it('is as cold as it is said to be', () => {
    const jug = (frozen: RunSetup['frozen']) => made(milk, { frozen }).plan.jug
    const hard = jug('hard')
    expect(hard.ice).toBeGreaterThan(200)
    expect(hard).toMatchObject({ water: 0, iceC: -18, bySpoon: true })
    const slush = jug('slush')
    expect(slush.ice).toBeCloseTo(hard.ice / 2, 6)
    expect(slush.water).toBeCloseTo(hard.ice / 2, 6)
    expect(slush).toMatchObject({ iceC: 0, liquidC: 0 })
    expect(jug('cold')).toMatchObject({ ice: 0, liquidC: 5 })
    expect(jug('cold').water).toBeCloseTo(hard.ice, 6)
  })

  it('left as it comes is kept cool all the same, and looked at when it is cut', () => {
    const cover = step(made(milk), 'cover')!
    expect(cover.says).toBe('Cover it, keep it cool')
    expect(cover.how).toContain('no wrapping')
    expect(cover.how).toContain('half-gelled ring')
    expect(step(made({}), 'cover')!.says).toBe('Cover it and leave it')
    expect(step(made({ ...milk, method: { ...plain.method, gel: 'force' } }), 'cover')!.says).toBe(
      'Cover it, wrap it warm',
    )
  })
})

describe('a lye jug of every pot', () => {
  const three = made({
    parts: [1.3, 1.9, 2.6].map((value, index) => ({
      name: ['pale', 'mid', 'dark'][index]!,
      share: 1 / 3,
      scent: true,
      additives: [],
      water: { held: 'ratio' as const, value },
    })),
  })

  it('has its own forecast: the less water, the hotter', () => {
    const [pale, mid, dark] = [0, 1, 2].map((pot) => jugOf(three.plan, pot))
    expect(pale!.water).toBeLessThan(mid!.water)
    expect(mid!.water).toBeLessThan(dark!.water)
    expect(pale!.naoh).toBe(dark!.naoh)
    expect(lyeMadeBy(three.plan, 1)?.id).toBe('dissolve@1')
  })

  it('has its own readings: what cools in one is not said of another', () => {
    const at = (minutes: number) =>
      new Date(Date.parse('2026-03-01T09:00:00Z') + minutes * 60_000).toISOString()
    const read = (minutes: number, pot: number, celsius: number) => ({
      id: `r${minutes}-${pot}`,
      at: at(minutes),
      kind: 'read' as const,
      vessel: 'lye' as const,
      pot,
      celsius,
      typed: true,
    })
    const done = (minutes: number, id: string) => ({
      id: `d-${id}`,
      at: at(minutes),
      kind: 'done' as const,
      step: id,
    })
    const state = runOf(three.plan, '2026-03-01T09:00:00Z', [
      done(5, 'dissolve@0'),
      read(6, 0, 84),
      done(8, 'dissolve@1'),
      read(9, 1, 40),
      read(20, 0, 52),
    ])
    const heat = (pot: number) => heatState(three.ctx, three.plan, state, 21, randomSource(1), pot)
    expect([heat(0).lye, heat(1).lye, heat(2).lye]).toEqual([52, 40, null])
    expect([heat(0).peak, heat(1).peak]).toEqual([84, 40])
    // 40 °C is far too little for the second jug; the first, that was hot, is not accused with it.
    expect([heat(0).weakLye, heat(1).weakLye]).toEqual([false, true])
    const combined = [0, 1, 2].map((pot) => ({ pot, minutes: 30 }))
    expect([0, 1, 2].map((pot) => celsiusAtCombine({ ...state, combined }, 'lye', pot))).toEqual([
      52,
      40,
      null,
    ])
  })
})

describe('what is at hand today', () => {
  it('decides the times, the tools and the words, not the formula', () => {
    const blended = made({})
    const whisked = made({}, { tool: 'whisk' })
    expect(whisked.plan.tools).toContain('A whisk')
    expect(blended.plan.tools).not.toContain('A whisk')
    expect(step(whisked, 'batter:emulsion')!.says).toBe('Stir to emulsion')
    expect(whisked.plan.minutes).toBeGreaterThan(blended.plan.minutes + 20)
    expect(whisked.plan.working).toBeGreaterThan(blended.plan.working)
  })
})
