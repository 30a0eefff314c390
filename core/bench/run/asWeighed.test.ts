import type { Pattern } from '#contracts/words'
import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { sumOf } from '../../statistics/sum'
import type { Step } from '../plan/step'
import { asWeighed, joins, potsAsWeighed, reallyThere } from './asWeighed'

const fat = (id: string, share: number, moment: 'pot' | 'trace' = 'pot') => ({
  id,
  share,
  moment,
  inLye: true,
})
const scent = { id: 'fir', name: 'Fir', rate: 0.03, of: 'oils' as const, moment: 'trace' as const }
const white = {
  id: 'titanium-dioxide',
  rate: 0.01,
  of: 'oils' as const,
  carrier: { id: 'olive', ratio: 2, from: 'formula' as const },
}
const pots = (patterns: Pattern[], more: Partial<FormulaDocument> = {}) =>
  plannedFrom({
    ...blankFormula('Shares'),
    size: { by: 'oils', grams: 1000 },
    fats: [fat('olive', 0.6), fat('coconut', 0.3), fat('shea', 0.1, 'trace')],
    scents: [scent],
    parts: [
      { name: 'pale', share: 0.5, scent: true, additives: [] },
      { name: 'mid', share: 0.3, scent: true, additives: [] },
      { name: 'dark', share: 0.2, scent: true, additives: [] },
    ],
    method: { ...blankFormula('').method, patterns },
    ...more,
  })
const planned = (step: Step) => step.weigh!.grams
/** As planned, but for the cups of one thing: the last pot got twice its share. */
const twice = (what: string) => (step: Step) =>
  step.id === `weigh:share:${what}@2` ? 2 * planned(step) : planned(step)

describe('what each pot got, by hand', () => {
  it('of oils, lye, late fat and scent by the weights of its own cups', () => {
    const { ctx, plan } = pots(['layers'])
    const usual = potsAsWeighed(ctx, plan, planned)
    expect(usual.map(({ oils }) => Math.round(oils))).toEqual([500, 300, 200])
    // 900 g in the pan and 100 g of shea; five, three and twice two of twelve parts.
    const late = potsAsWeighed(ctx, plan, twice('late'))
    expect(late[0]!.oils).toBeCloseTo(450 + (100 * 5) / 12, 1)
    expect(late[2]!.oils).toBeCloseTo(180 + (100 * 4) / 12, 1)
    const oils = potsAsWeighed(ctx, plan, twice('oils'))
    expect(oils[2]!.oils).toBeCloseTo((900 * 4) / 12 + 20, 1)
    expect(oils[2]!.pure).toBeCloseTo(usual[2]!.pure, 6)
    const lye = potsAsWeighed(ctx, plan, twice('lye'))
    expect(lye[1]!.pure / usual[1]!.pure).toBeCloseTo(10 / 12, 2)
    expect(lye[1]!.water / usual[1]!.water).toBeCloseTo(10 / 12, 2)
    expect(lye[1]!.oils).toBeCloseTo(usual[1]!.oils, 6)
    const scented = potsAsWeighed(ctx, plan, twice('scent'))
    expect(scented[0]!.scent * scented[0]!.oils).toBeCloseTo((30 * 5) / 12, 1)
    expect(scented[2]!.scent * scented[2]!.oils).toBeCloseTo((30 * 4) / 12, 1)
    // All of it is in one of them.
    for (const of of [usual, late, oils, lye, scented]) {
      expect(sumOf(of, (pot) => pot.oils)).toBeCloseTo(1000, 0)
      expect(sumOf(of, (pot) => pot.batter)).toBeCloseTo(ctx.onScale.result.batter, 0)
    }
  })

  it('of a colour that all take by its cups where it is divided, by its oils where it is not', () => {
    const divided = pots(['layers'], { additives: [white] })
    const cups = divided.plan.steps.filter(({ weigh }) => weigh?.id === 'extra')
    expect(cups).toHaveLength(3)
    const batter = (grams: (step: Step) => number) =>
      potsAsWeighed(divided.ctx, divided.plan, grams).map((pot) => pot.batter)
    const [usual, more] = [batter(planned), batter(twice('extra'))]
    // 10 g of white in 20 g of olive oil.
    expect(more[2]! - usual[2]!).toBeCloseTo(30 * (4 / 12 - 2 / 10), 1)
    const apart = pots(['layers'], {
      additives: [white, { ...white, id: 'kaolin', carrier: null }],
    })
    expect(apart.plan.steps.some(({ weigh }) => weigh?.id === 'extra')).toBe(false)
    const all = potsAsWeighed(apart.ctx, apart.plan, planned)
    expect(sumOf(all, (pot) => pot.oils)).toBeCloseTo(1000, 0)
  })

  it('of a batter that is divided at emulsion by the batter that was poured off', () => {
    const { ctx, plan } = pots(['in-pot-swirl'])
    expect(plan.dividing).toBe('batter')
    const usual = potsAsWeighed(ctx, plan, planned)
    const more = potsAsWeighed(ctx, plan, twice('batter'))
    expect(more[2]!.pure / usual[2]!.pure).toBeCloseTo(4 / 12 / (2 / 10), 2)
    expect(more[2]!.water / usual[2]!.water).toBeCloseTo(4 / 12 / (2 / 10), 2)
    // Late fat comes from its own cup, whatever was poured off.
    expect(more[2]!.oils).toBeCloseTo((900 * 4) / 12 + 20, 1)
    expect(reallyThere(plan, 'batter', planned)).toBeCloseTo(
      reallyThere(plan, 'lye', planned) + reallyThere(plan, 'oils', planned),
      9,
    )
  })

  it('before anything is poured off, its planned share of everything', () => {
    const { ctx, plan } = pots(['layers'])
    const nothing = (step: Step) => (step.weigh!.kind === 'share' ? 0 : planned(step))
    const shares = potsAsWeighed(ctx, plan, nothing)
    expect(shares.map(({ oils }) => Math.round(oils))).toEqual([500, 300, 200])
    const added = potsAsWeighed(ctx, plan, planned, { 1: 7 })
    expect(added[1]!.water - shares[1]!.water).toBeCloseTo(7, 0)
    expect(added[0]!.water).toBeCloseTo(shares[0]!.water, 0)
  })
})

describe('the whole, by hand', () => {
  const { ctx, plan } = plannedFrom({
    ...blankFormula('Whole'),
    size: { by: 'oils', grams: 1000 },
    fats: [fat('olive', 1)],
    water: { held: 'ratio', value: 2 },
    iceShare: 0.5,
    scents: [scent],
    additives: [{ ...white, carrier: { ...white.carrier, from: 'extra' } }],
  })

  it('ice is water, oil that came on top is no part of the oils, what was added later counts', () => {
    const of = (id: string) => plan.steps.find((step) => step.id === id)!.weigh!.grams
    const made = asWeighed(ctx, plan, planned, 12)
    expect(made.oils).toBe(1000)
    expect(made.water).toBeCloseTo(of('weigh:water') + of('weigh:ice') + 12, 9)
    expect(made.ratio).toBeCloseTo(made.water / of('weigh:naoh'), 9)
    expect(made.strength).toBeCloseTo(1 / (1 + made.ratio), 9)
    expect(made.scent).toBeCloseTo(0.03, 9)
    // 1000 of olive, 20 of it on top, 10 of white, 30 of scent, lye and water.
    expect(made.batter).toBeCloseTo(1060 + of('weigh:naoh') + made.water, 9)
    // The oil on top takes lye as any oil does: less is left over than was planned for the formula alone.
    const without = asWeighed(ctx, plan, (step) =>
      step.weigh!.kind === 'carrier' ? 0 : planned(step),
    )
    expect(made.superfat).toBeGreaterThan(without.superfat)
  })

  it('nothing weighed is nothing, not a number that is none', () => {
    const made = asWeighed(ctx, plan, () => 0)
    expect([made.ratio, made.strength, made.scent, made.pure]).toEqual([0, 0, 0, 0])
  })

  it('a vessel tells where a weighing joins, by its whole name', () => {
    const of = (vessel: string) => joins({ vessel } as Step)
    expect(of('my-lye-jug')).toBe('later')
    expect(of('cup:x')).toBe('extra')
    expect(of('teacup:x')).toBe('later')
    expect(of('trace-cup')).toBe('late')
  })
})
