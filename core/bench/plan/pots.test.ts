import type { Pattern } from '#contracts/words'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { sumOf } from '../../statistics/sum'
import { potsAsWeighed, reallyThere } from '../run/asWeighed'
import { potsBegin, rowsOf } from './fold'
import { vesselGroups } from './vessels'
import type { Step } from './step'

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
/** Nine layers of 200 g of oils, every other one coloured, all scented. */
const nine: FormulaDocument = {
  ...blankFormula('Nine Tides'),
  size: { by: 'oils', grams: 1800 },
  fats: [fat('olive', 0.7), fat('coconut', 0.3)],
  scents: [
    { id: 'rain', name: 'Rain', rate: 0.02, of: 'oils', moment: 'trace' },
    { id: 'moss', name: 'Moss', rate: 0.01, of: 'oils', moment: 'trace' },
  ],
  parts: Array.from({ length: 9 }, (_, index) => ({
    name: `tide ${index + 1}`,
    share: 1 / 9,
    scent: true,
    additives: index % 2 ? [{ id: 'activated-charcoal', grams: 1, carrier: null }] : [],
  })),
  method: { ...blankFormula('Nine').method, patterns: ['layers'] },
}
const planned = (step: Step) => step.weigh!.grams
const planOf = (document: FormulaDocument, setup: Partial<RunSetup> = {}) =>
  plannedFrom(document, setup)
const place = (steps: readonly Step[], id: string) => {
  const at = steps.findIndex((step) => step.id === id)
  expect(at, id).toBeGreaterThanOrEqual(0)
  return at
}

describe('layers are made pot by pot', () => {
  const { ctx, plan } = planOf(nine)

  it('each from its lye to its pour before the next one’s lye goes in', () => {
    for (let pot = 0; pot < 9; pot++) {
      const own = ['combine', 'batter:emulsion', 'add', 'batter:trace', 'pour'].map((id) =>
        place(plan.steps, `${id}@${pot}`),
      )
      expect(own).toEqual([...own].sort((a, b) => a - b))
      expect(own.at(-1)! - own[0]!).toBe(4)
      if (pot) expect(place(plan.steps, `pour@${pot - 1}`)).toBeLessThan(own[0]!)
    }
    // Lye and oils are divided before any of them.
    expect(place(plan.steps, 'weigh:share:lye@8')).toBeLessThan(place(plan.steps, 'combine@0'))
  })

  it('begin where all is divided, and their cups are laid out together', () => {
    expect(potsBegin(plan)).toBe(place(plan.steps, 'combine@0'))
    expect(plan.steps[potsBegin(plan)! - 1]!.weigh).toMatchObject({ kind: 'share', id: 'lye' })
    const groups = vesselGroups(plan.vessels)
    expect(groups.flatMap((one) => (one.length === 9 ? one[0]!.called : []))).toEqual([
      'Pot',
      'Jug for the lye',
      'Cup for scent',
    ])
    expect(groups.flat().find(({ id }) => id === 'scent-cup@8')!.says).toBe('Cup for scent, tide 9')
  })

  it('each within its own workable minutes, by the plan’s own clock', () => {
    const timeOf = new Map(plan.times.map((time) => [time.id, time]))
    for (const [pot, { working, takes, races }] of plan.pots.entries()) {
      const took = timeOf.get(`pour@${pot}`)!.to - timeOf.get(`batter:emulsion@${pot}`)!.to
      expect(took).toBeCloseTo(takes!, 9)
      expect(took).toBeLessThan(working)
      expect(races).toBe(false)
    }
  })

  it('a pour waits for the layer below it and for its own batter only', () => {
    const { after } = plan.steps[place(plan.steps, 'pour@4')]!
    expect(after).toEqual(['pour@3', 'batter:trace@4'])
    // Another pot's lye may go in before: nothing but its own cup and colour stands against it.
    const combine = plan.steps[place(plan.steps, 'combine@5')]!
    expect(combine.after).toEqual(
      expect.arrayContaining([
        'meet',
        'weigh:share:lye@5',
        'weigh:share:oils@5',
        'weigh:additive:activated-charcoal@5',
      ]),
    )
    expect(combine.after.some((id) => id.startsWith('pour'))).toBe(false)
    expect(combine.after).not.toContain('weigh:additive:activated-charcoal@3')
  })

  it('scent is weighed once and divided; each pot has its own part of it', () => {
    const scents = plan.steps.filter(({ weigh }) => weigh?.kind === 'scent')
    expect(scents.map(({ id, pot }) => [id, pot])).toEqual([
      ['weigh:scent:rain', undefined],
      ['weigh:scent:moss', undefined],
    ])
    expect(sumOf(scents, planned)).toBeCloseTo(54, 6)
    const shares = plan.steps.filter(({ weigh }) => weigh?.id === 'scent')
    expect(shares).toHaveLength(9)
    for (const { weigh } of shares) {
      expect(weigh!.grams).toBeCloseTo(6, 1)
      expect(weigh!.share).toBeCloseTo(1 / 9, 4)
    }
    expect(reallyThere(plan, 'scent', planned)).toBeCloseTo(54, 6)
    // The last pot got twice what the others got: 2/10 of 54 g in 200 g of oils.
    const uneven = (step: Step) =>
      step.id === 'weigh:share:scent@8' ? 2 * planned(step) : planned(step)
    const pots = potsAsWeighed(ctx, plan, uneven)
    expect(pots[8]!.scent).toBeCloseTo(10.8 / 200, 3)
    expect(pots[0]!.scent).toBeCloseTo(5.4 / 200, 3)
  })

  it('an extra that all take is weighed once and divided too; several are not mixed', () => {
    const white = {
      id: 'titanium-dioxide',
      rate: 0.006,
      of: 'oils' as const,
      carrier: { id: 'olive', ratio: 3, from: 'formula' as const },
    }
    const { ctx, plan } = planOf({ ...nine, additives: [white] })
    const cups = plan.steps.filter(({ vessel }) => vessel === 'cup:titanium-dioxide')
    // 0.6 % of 1800 g, in three times its weight of the formula's oil.
    expect(cups.map(({ weigh }) => Math.round(weigh!.grams * 10) / 10)).toEqual([32.4, 10.8])
    const shares = plan.steps.filter(({ weigh }) => weigh?.id === 'extra')
    expect(shares).toHaveLength(9)
    for (const { weigh } of shares) expect(weigh!.grams).toBeCloseTo(43.2 / 9, 1)
    expect(reallyThere(plan, 'extra', planned)).toBeCloseTo(43.2, 6)
    // The weights of the pots still make the batch: its oil is not counted twice.
    const pots = potsAsWeighed(ctx, plan, planned)
    expect(sumOf(pots, ({ oils }) => oils)).toBeCloseTo(1800, 0)
    const clay = { id: 'kaolin', rate: 0.01, of: 'oils' as const, carrier: null }
    const two = planOf({ ...nine, additives: [white, clay] }).plan
    expect(two.steps.some(({ weigh }) => weigh?.id === 'extra')).toBe(false)
  })

  it('a pot whose colour took its oil beforehand gets so much less of the pan, and has the superfat of the others', () => {
    const blue = {
      id: 'ultramarine',
      grams: 2,
      carrier: { id: 'olive', ratio: 3, from: 'formula' as const },
    }
    const parts = nine.parts.map((part, index) => ({ ...part, additives: index % 2 ? [blue] : [] }))
    for (const patterns of [['layers'], ['in-pot-swirl']] as const) {
      const method = { ...nine.method, patterns: [...patterns] }
      const { ctx, plan } = planOf({ ...nine, parts, method })
      const what = plan.dividing === 'upfront' ? 'oils' : 'batter'
      const of = (pot: number) =>
        plan.steps.find(({ id }) => id === `weigh:share:${what}@${pot}`)!.weigh!
      // 3 × 2 g of olive oil are in the cup already; 1800 g of oils less four cups are in the pan.
      expect(of(0).grams - of(1).grams).toBeCloseTo(6, 1)
      if (what === 'batter') continue
      expect(of(1).share).toBeCloseTo((200 - 6) / (1800 - 24), 4)
      // All but for the little less olive that the pan has of it.
      for (const { superfat } of potsAsWeighed(ctx, plan, planned))
        expect(Math.abs(superfat - ctx.onScale.result.superfat.total)).toBeLessThan(0.002)
    }
  })

  it('a colour of one pot never goes into the jug or the pan that are for all', () => {
    const with_ = (id: string) => {
      const [first, ...rest] = nine.parts
      return planOf({
        ...nine,
        parts: [{ ...first!, additives: [{ id, rate: 0.01, of: 'oils', carrier: null }] }, ...rest],
      }).plan
    }
    // Indigo usually goes into the lye, madder into the oils.
    for (const id of ['indigo', 'madder-root']) {
      const cup = with_(id).steps.filter(({ weigh }) => weigh?.id === id)
      expect(cup.map(({ vessel, pot }) => [vessel, pot])).toEqual([[`cup:${id}@0`, 0]])
    }
  })

  it('by itself into each cup where the maker wants it so, or where pots differ', () => {
    const apart = planOf(nine, { bulkScent: false }).plan.steps
    expect(apart.filter(({ weigh }) => weigh?.kind === 'scent')).toHaveLength(18)
    const [first, ...rest] = nine.parts
    const one = planOf({ ...nine, parts: [{ ...first!, scent: false }, ...rest] }).plan.steps
    expect(one.filter(({ weigh }) => weigh?.id === 'scent')).toHaveLength(8)
    // The first pot has none: what is weighed for the others is still 8/9 of it.
    expect(
      sumOf(
        one.filter(({ weigh }) => weigh?.kind === 'scent'),
        planned,
      ),
    ).toBeCloseTo(48, 1)
  })

  it('folds what repeats: nine cups, nine pots', () => {
    const rows = rowsOf(plan.steps)
    expect(rows.flatMap(({ steps }) => steps.map(({ id }) => id))).toEqual(
      plan.steps.map(({ id }) => id),
    )
    const folds = rows.flatMap(({ fold }) => (fold ? [fold] : []))
    const cups = folds.filter(({ kind }) => kind === 'cups')
    expect(cups).toHaveLength(3)
    for (const { grams } of cups) expect(grams!.high - grams!.low).toBeLessThan(1.2)
    expect(folds.filter(({ kind }) => kind === 'pot').map(({ pot }) => pot)).toEqual([
      0, 1, 2, 3, 4, 5, 6, 7, 8,
    ])
    expect(rows.length).toBeLessThan(35)
    for (const { steps, from } of rows) expect(plan.steps[from]).toBe(steps[0])
  })
})

describe('pots that are poured together', () => {
  const swirl: FormulaDocument = {
    ...nine,
    parts: nine.parts.slice(0, 3).map((part) => ({ ...part, share: 1 / 3 })),
    method: { ...nine.method, patterns: ['drop-pour'] },
  }
  it('are divided up front by choice, and still all made before the pour', () => {
    const { steps } = planOf(swirl, { divide: 'upfront' }).plan
    const pour = place(steps, 'pour')
    for (const pot of [0, 1, 2]) expect(place(steps, `batter:trace@${pot}`)).toBeLessThan(pour)
    expect(place(steps, 'batter:emulsion@2')).toBeLessThan(place(steps, 'add@0'))
    expect(steps[pour]!.after).toEqual(['batter:trace@0', 'batter:trace@1', 'batter:trace@2'])
  })
  it('say nothing of how long each takes by itself', () => {
    expect(planOf(swirl).plan.pots.map(({ takes }) => takes)).toEqual([null, null, null])
  })
})

describe('a pot that races', () => {
  it('is foretold by its own water and scent, the others are not', () => {
    const [first, second, third] = nine.parts
    const strong = {
      ...nine,
      scents: [
        {
          id: 'clove',
          name: 'Clove bud',
          rate: 0.03,
          of: 'oils' as const,
          moment: 'trace' as const,
        },
      ],
      parts: [
        { ...first!, share: 0.34, scent: false },
        { ...second!, share: 0.33, scent: true, water: { held: 'ratio' as const, value: 1.3 } },
        { ...third!, share: 0.33, scent: false },
      ],
    }
    const { pots } = planOf(strong).plan
    expect(pots.map(({ races }) => races)).toEqual([false, true, false])
    // Clove at a quarter of the pace, and 1.3 : 1 in place of 2.2 : 1.
    expect(pots[1]!.working / pots[0]!.working).toBeLessThan(0.25)
  })

  it('of two layers from one batter the second waits for the first', () => {
    const two = { ...nine, parts: nine.parts.slice(0, 2).map((part) => ({ ...part, share: 0.5 })) }
    const { plan } = planOf(two)
    expect(plan.dividing).toBe('batter')
    const [below, above] = plan.pots
    expect(above!.takes).toBeCloseTo(2 * below!.takes!, 9)
    expect(place(plan.steps, 'pour@0')).toBeLessThan(place(plan.steps, 'add@1'))
  })
})

describe('a pattern is steps of its own', () => {
  const pour = (patterns: Pattern[], names = ['pale', 'mid', 'dark']) =>
    plannedFrom(
      {
        ...blankFormula('Poured'),
        fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
        parts: names.map((name) => ({ name, share: 1 / names.length, scent: true, additives: [] })),
        method: { ...blankFormula('').method, patterns },
      },
      {},
      1,
    ).plan
  const ids = (patterns: Pattern[], names?: string[]) =>
    pour(patterns, names).steps.map(({ id }) => id)
  const order = (all: string[], ...wanted: string[]) => {
    const places = wanted.map((id) => all.indexOf(id))
    expect(places, wanted.join(', ')).not.toContain(-1)
    expect(places).toEqual([...places].sort((a, b) => a - b))
  }

  it('a slanted mould is propped before the lye and levelled for the last layer', () => {
    order(
      ids(['slanted-layers']),
      'mould',
      'act:prop',
      'weigh:naoh',
      'pour@1',
      'act:level@2',
      'pour@2',
    )
    expect(ids(['slanted-layers'])).not.toContain('act:level@1')
  })
  it('a powder line lies between layers, and none under the first', () => {
    const all = ids(['pencil-line'])
    order(all, 'pour@0', 'act:line@1', 'pour@1', 'act:line@2', 'pour@2')
    expect(all).not.toContain('act:line@0')
  })
  it('a batter that is not divided has its line through the middle', () => {
    order(ids(['pencil-line'], []), 'batter:trace', 'act:half', 'act:line', 'pour')
  })
  it('a hanger is drawn, a tray is spun, a drizzle drawn once all is in; a swirl in the pot before', () => {
    order(ids(['hanger-swirl']), 'pour', 'act:hanger', 'cover')
    order(ids(['spun-swirl']), 'pour', 'act:spin', 'cover')
    order(ids(['drizzle']), 'pour', 'act:drizzle', 'cover')
    order(ids(['in-pot-swirl']), 'act:swirl-in-pot', 'pour')
  })
  it('several go together: layers with a line between and a textured top', () => {
    const all = ids(['layers', 'pencil-line', 'textured-top'])
    order(all, 'pour@0', 'act:line@1', 'pour@1', 'act:line@2', 'pour@2', 'act:texture', 'cover')
  })
  it('its height is its own, and what it wants lies ready', () => {
    const step = (patterns: Pattern[]) => pour(patterns).steps.find(({ kind }) => kind === 'pour')!
    expect(step(['drop-pour']).how).toContain('20 cm')
    expect(step(['plain']).how).toContain('low down')
    expect(pour(['hanger-swirl', 'textured-top']).tools).toEqual(
      expect.arrayContaining([
        'A wire hanger bent to the width of the mould, wiped with oil',
        'A spoon and a skewer for the top',
      ]),
    )
  })
  it('the cover waits for the last act', () => {
    const plan = pour(['textured-top'])
    expect(plan.steps.find(({ id }) => id === 'cover')!.after).toEqual(['act:texture'])
  })
})
