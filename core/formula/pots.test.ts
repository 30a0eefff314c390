import type { FormulaDocument, PartLine } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { sumOf } from '../statistics/sum'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { onScale, roundedToScale } from './onScale'
import { lyeWeighed } from './pot'

/** A formula with something of everything. */
const rich: FormulaDocument = {
  ...blankFormula('Rich'),
  fats: [
    { id: 'olive', share: 0.6, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.25, moment: 'pot', inLye: true },
    { id: 'shea', share: 0.15, moment: 'trace', inLye: false },
  ],
  superfat: 0.04,
  alkali: { naohPurity: 0.98, kohShare: 0.1, kohPurity: 0.9, solutionStrength: null },
  water: { held: 'ratio', value: 2.4 },
  iceShare: 0.3,
  liquids: [
    { id: 'goat-milk', share: 0.2, moment: 'oils', way: 'poured' },
    { id: 'vinegar-5', grams: 40, moment: 'lye', way: 'poured' },
  ],
  additives: [
    { id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null },
    { id: 'cow-milk-powder', grams: 20, carrier: null },
    {
      id: 'rose-clay',
      amount: { value: 2, unit: 'tsp', per: null },
      carrier: { id: 'castor', ratio: 2, from: 'extra' },
    },
    { id: 'sugar', rate: 0.008, of: 'batter', carrier: { id: 'olive', ratio: 1, from: 'formula' } },
  ],
  scents: [
    { id: 'rain', name: 'Rain', rate: 0.03, of: 'oils', moment: 'trace', maxOfBar: 0.05 },
    { id: 'fir', name: 'Fir', rate: 0.01, of: 'oils', moment: 'oils' },
  ],
}
const part = (name: string, share: number, changes: Partial<PartLine> = {}): PartLine => ({
  name,
  share,
  scent: true,
  additives: [],
  ...changes,
})

/** Every number in a result with its place. */
function figures(value: unknown, place = ''): [string, number][] {
  if (typeof value === 'number') return [[place, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => figures(one, `${place}.${key}`))
}
const leaves = ({ parts: _, ...whole }: FormulaResult) => whole

describe('a batch in pots that differ in nothing', () => {
  it.each([
    ['with something of everything', rich],
    ['by water in grams', { ...rich, water: { held: 'grams' as const, value: 320 } }],
    ['with ice in grams', { ...rich, iceShare: 0, iceGrams: 60 }],
    ['of ready-mixed lye', { ...rich, alkali: { ...rich.alkali, solutionStrength: 0.5 } }],
    ['by its batter', { ...rich, size: { by: 'batter' as const, grams: 1600 } }],
  ])('is the batch in one pot, %s', (_, document) => {
    const one = computeFormula(document, library)
    const pots = computeFormula({ ...document, parts: [part('a', 0.3), part('b', 0.7)] }, library)
    expect(pots.parts).toHaveLength(2)
    const [is, want] = [figures(leaves(pots)), new Map(figures(leaves(one)))]
    expect(is.map(([place]) => place).sort()).toEqual([...want.keys()].sort())
    for (const [place, value] of is) expect(value, place).toBeCloseTo(want.get(place)!, 6)
    // Each pot has its share of every weight.
    for (const [index, share] of [0.3, 0.7].entries()) {
      const { result } = pots.parts[index]!
      expect(result.oils).toBeCloseTo(one.oils * share, 6)
      expect(result.batter).toBeCloseTo(one.batter * share, 6)
      expect(result.liquids.map(({ grams }) => grams)).toEqual(
        one.liquids.map(({ grams }) => expect.closeTo(grams * share, 6) as number),
      )
      expect(result.superfat.total).toBeCloseTo(one.superfat.total, 9)
    }
  })
})

describe('pots that differ', () => {
  const plain: FormulaDocument = {
    ...blankFormula('Plain'),
    fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
    water: { held: 'ratio', value: 2 },
    scents: [{ id: 'rain', rate: 0.03, of: 'oils', moment: 'trace' }],
  }

  it('all of the scent goes into the pots that have any', () => {
    const { parts, scents } = computeFormula(
      { ...plain, parts: [part('a', 0.5), part('b', 0.25), part('c', 0.25, { scent: false })] },
      library,
    )
    // A rate is a rate of each pot's own oils; grams are shared out.
    expect(parts.map(({ result }) => sumOf(result.scents, ({ grams }) => grams))).toEqual([
      expect.closeTo(15, 9),
      expect.closeTo(7.5, 9),
      0,
    ])
    expect(scents[0]!.grams).toBeCloseTo(22.5, 9)
    const weighed = computeFormula(
      {
        ...plain,
        scents: [{ id: 'rain', grams: 30, moment: 'trace' }],
        parts: [part('a', 0.5), part('b', 0.25), part('c', 0.25, { scent: false })],
      },
      library,
    )
    expect(weighed.parts.map(({ result }) => result.scents[0]?.grams ?? 0)).toEqual([
      expect.closeTo(20, 9),
      expect.closeTo(10, 9),
      0,
    ])
    // What counts against a maximum is the bar with the most of it.
    const most = Math.max(...weighed.parts.map(({ result }) => result.scents[0]?.shareOfBar ?? 0))
    expect(weighed.scents[0]!.shareOfBar).toBe(most)
    expect(most).toBeGreaterThan(30 / weighed.longDried)
  })

  it('by their own water: the lye jug is as dry as its driest', () => {
    const { water, parts, batter, longDried } = computeFormula(
      {
        ...plain,
        parts: [
          part('a', 0.5, { water: { held: 'ratio', value: 1.4 } }),
          part('b', 0.5, { water: { held: 'ratio', value: 2.6 } }),
        ],
      },
      library,
    )
    expect(parts.map(({ result }) => result.water.ratio)).toEqual([
      expect.closeTo(1.4, 9),
      expect.closeTo(2.6, 9),
    ])
    expect(water.ratio).toBeCloseTo(2, 9)
    expect(water.ratioInLye).toBeCloseTo(1.4, 9)
    expect(longDried).toBeCloseTo((batter - water.content) / 0.93, 6)
  })

  it('with ready-mixed lye: the smallest ratio is that of the pot which needs most', () => {
    const alkali = { ...plain.alkali, solutionStrength: 0.4 }
    const { water, lye } = computeFormula(
      { ...plain, alkali, parts: [part('a', 0.5), part('b', 0.5)] },
      library,
    )
    expect(water.smallestRatio).toBeCloseTo(1.5, 9)
    expect(water.inSolution).toBeCloseTo(lye.solution! - lye.pureNaoh, 9)
  })

  it('their own extras go into them alone, spoons making all of it an estimate', () => {
    const { parts, additives } = computeFormula(
      {
        ...plain,
        parts: [
          part('a', 0.5, {
            additives: [
              { id: 'rose-clay', amount: { value: 1, unit: 'tsp', per: null }, carrier: null },
            ],
          }),
          part('b', 0.5, { additives: [{ id: 'rose-clay', grams: 4, carrier: null }] }),
        ],
      },
      library,
    )
    const clay = parts.map(({ result }) => result.additives[0]!)
    expect(clay.map(({ estimated }) => estimated)).toEqual([true, false])
    expect(additives).toHaveLength(1)
    expect(additives[0]!.estimated).toBe(true)
    expect(additives[0]!.grams).toBeCloseTo(clay[0]!.grams + 4, 9)
  })

  it('a draft of pots that weighs nothing stays finite', () => {
    const { water, oils, superfat } = computeFormula(
      { ...plain, fats: [], parts: [part('a', 0.5), part('b', 0.5)] },
      library,
    )
    expect([oils, water.ratio, water.strength, water.shareOfOils]).toEqual([0, 0, 0, 0])
    expect(superfat.total).toBe(0)
  })
})

describe('a rich formula on a scale', () => {
  const steps = (grams: number, scale: number) =>
    expect(grams / scale).toBeCloseTo(Math.round(grams / scale), 6)
  /** What has to be true of the figures of a pot, whatever was rounded. */
  const consistent = (result: FormulaResult, solution: boolean) => {
    const { lye, water } = result
    const all = [...result.fats, ...result.liquids, ...result.additives, ...result.scents]
    const extra = result.carriers.filter(({ from }) => from === 'extra')
    const weighed = sumOf([...all, ...extra], ({ grams }) => grams)
    expect(result.batter).toBeCloseTo(weighed + lyeWeighed(result) + water.weighed, 6)
    const inLiquids = sumOf(result.liquids, ({ waterGrams }) => waterGrams)
    expect(water.content).toBeCloseTo(water.weighed + water.inSolution + inLiquids, 6)
    expect(water.ratio).toBeCloseTo(water.content / (lye.pureNaoh + lye.pureKoh), 6)
    expect(water.shareOfOils).toBeCloseTo(water.content / result.oils, 6)
    expect(water.inSolution > 0).toBe(solution)
    expect(water.ice).toBeLessThanOrEqual(water.weighed + 1e-9)
    // Every fat that is there, by its own value: of the fats, the milk, the powder and the oil of the clay.
    const demand =
      lye.fullFatDemand +
      sumOf(
        result.liquids,
        ({ id, fatGrams }) => fatGrams * naohPerGramOfFat(library.liquids.get(id)!.fatSap),
      ) +
      sumOf(
        result.additives,
        ({ id, fatGrams }) => fatGrams * naohPerGramOfFat(library.additives.get(id)!.fatSap ?? 0),
      ) +
      sumOf(extra, ({ id, grams }) => grams * naohPerGramOfFat(library.fats.get(id)!.sap.typical))
    expect(result.superfat.total).toBeCloseTo(1 - (lye.pureAsNaoh - lye.acidDemand) / demand, 9)
    const acids =
      sumOf(result.additives, ({ naohTaken }) => naohTaken) +
      sumOf(result.liquids, ({ naohTaken }) => naohTaken)
    expect(lye.acidDemand).toBeCloseTo(acids, 6)
  }

  it.each([
    ['flakes and potash', rich.alkali],
    ['ready-mixed lye', { ...rich.alkali, kohShare: 0, solutionStrength: 0.45 }],
  ])('of %s: every weight is a step, every figure follows from the weights', (_, alkali) => {
    for (const scale of [0.1, 1, 5]) {
      const { result, secondOpinion } = onScale({ ...rich, alkali }, library, scale)
      consistent(result, alkali.solutionStrength !== null)
      expect(secondOpinion.agrees).toBe(true)
      expect(secondOpinion.superfat).toBeCloseTo(result.superfat.total, 6)
      const { lye, water } = result
      for (const { grams } of [
        ...result.fats,
        ...result.liquids,
        ...result.additives,
        ...result.scents,
      ])
        steps(grams, scale)
      for (const grams of [lye.naoh, lye.koh, lye.solution ?? 0, water.weighed, water.ice])
        steps(grams, scale)
    }
  })

  it('in pots with one jug what is shared is weighed once, what goes in later pot by pot', () => {
    const document = {
      ...rich,
      parts: [
        part('a', 0.35, {
          additives: [{ id: 'activated-charcoal', rate: 0.003, of: 'oils', carrier: null }],
        }),
        part('b', 0.65),
      ],
    }
    const { result, secondOpinion, ownJugs } = onScale(document, library, 1)
    expect(ownJugs).toBe(false)
    expect(secondOpinion.agrees).toBe(true)
    const whole = (list: 'additives' | 'scents' | 'liquids', id: string) =>
      sumOf(result.parts, ({ result: pot }) =>
        sumOf(
          (pot[list] as { id: string; grams: number }[]).filter((line) => line.id === id),
          ({ grams }) => grams,
        ),
      )
    for (const id of ['citric-acid-anhydrous']) steps(whole('additives', id), 1)
    for (const id of ['goat-milk', 'vinegar-5']) steps(whole('liquids', id), 1)
    steps(whole('scents', 'fir'), 1)
    for (const { result: pot } of result.parts) {
      steps(pot.scents.find(({ id }) => id === 'rain')!.grams, 1)
      consistent(pot, false)
    }
    // 350 g of oils want 1.05 g of charcoal: one gram, in that pot alone.
    expect(result.parts[0]!.result.additives.at(-1)).toMatchObject({
      id: 'activated-charcoal',
      grams: 1,
    })
    steps(result.lye.naoh, 1)
    steps(result.lye.koh, 1)
    steps(result.water.weighed, 1)
    const [a, b] = result.parts.map(({ result: pot }) => pot.lye.naoh / pot.oils)
    expect(a).toBeCloseTo(b!, 9)
  })

  it('in pots with jugs of their own each jug is in steps', () => {
    const document = {
      ...rich,
      parts: [part('a', 0.35, { water: { held: 'ratio' as const, value: 1.8 } }), part('b', 0.65)],
    }
    const { result, ownJugs } = onScale(document, library, 1)
    expect(ownJugs).toBe(true)
    for (const { result: pot } of result.parts) {
      consistent(pot, false)
      for (const grams of [pot.lye.naoh, pot.lye.koh, pot.water.weighed]) steps(grams, 1)
      for (const id of ['citric-acid-anhydrous'])
        steps(pot.additives.find((line) => line.id === id)!.grams, 1)
    }
  })

  it('rounded to the scale, it is the same formula again with the superfat it really has', () => {
    const plain = {
      ...rich,
      alkali: { ...rich.alkali, kohShare: 0 },
      liquids: [],
      additives: rich.additives.slice(0, 1),
    }
    const rounded = roundedToScale(plain, library, 1)
    const { result } = onScale(plain, library, 1)
    const again = computeFormula(rounded, library)
    expect(again.lye.naoh).toBeCloseTo(result.lye.naoh, 1)
    expect(again.superfat.total).toBeCloseTo(result.superfat.total, 3)
    expect(rounded.additives[0]).toMatchObject({ grams: 10 })
    expect(rounded.additives[0]!.rate).toBeUndefined()
    expect(rounded.fats.map(({ grams }) => grams)).toEqual([600, 250, 150])
    // A divided batter is rounded pot by pot on its sheet, and nothing is nothing.
    const divided = { ...plain, parts: [part('a', 0.5), part('b', 0.5)] }
    expect(roundedToScale(divided, library, 1)).toBe(divided)
    const empty = { ...plain, fats: [] }
    expect(roundedToScale(empty, library, 1)).toBe(empty)
  })
})

describe('cups that are too small for their scale', () => {
  const small = (changes: Partial<FormulaDocument> = {}): FormulaDocument => ({
    ...blankFormula('Small'),
    fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
    superfat: 0.05,
    water: { held: 'ratio', value: 2 },
    size: { by: 'oils', grams: 100 },
    ...changes,
  })

  it('name how far half a step moves the superfat, by lye or by oils', () => {
    // Demand of 100 g is 13.5449 g: half a gram of lye is 3.691 points, half a gram of oil 0.5 · (1 − s)/100.
    const { coarse, superfat } = onScale(small(), library, 1)
    expect(coarse).toHaveLength(1)
    expect(coarse[0]).toMatchObject({ pot: 0, name: '', tooSmall: false })
    expect(coarse[0]!.points).toBeCloseTo(0.5 / 13.5449, 4)
    expect(superfat).toBeCloseTo(1 - 12 / 13.5449, 4)
    expect(onScale(small(), library, 0.1).coarse).toEqual([])
    // A shared jug is poured off: half a gram of it holds a third of that lye.
    const pots = onScale(small({ parts: [part('a', 0.5), part('b', 0.5)] }), library, 1)
    const jug = pots.result.parts[0]!.result
    const inJug = jug.lye.naoh + jug.water.weighed
    const byLye = (0.5 * jug.lye.naoh) / inJug / (13.5449 / 2)
    const byOils = (0.5 / 50) * (1 - jug.superfat.total)
    expect(pots.coarse[0]!.points).toBeCloseTo(Math.max(byLye, byOils), 4)
    // What is poured off with the lye counts as well.
    const milky = onScale(
      small({
        parts: [part('a', 0.5), part('b', 0.5)],
        liquids: [{ id: 'beer', share: 0.5, moment: 'lye', way: 'poured' }],
      }),
      library,
      1,
    )
    expect(milky.coarse[0]!.points).toBeLessThanOrEqual(pots.coarse[0]!.points)
  })

  it('less than one step of lye, oils or water cannot be weighed', () => {
    const of = (grams: number, scale: number, changes: Partial<FormulaDocument> = {}) =>
      onScale(small({ size: { by: 'oils', grams }, ...changes }), library, scale).coarse
    expect(of(7, 1)[0]).toMatchObject({ tooSmall: true })
    expect(of(10, 1)[0]).toMatchObject({ tooSmall: false })
    // No water at all is nothing to weigh.
    expect(of(200, 0.1, { alkali: { ...small().alkali, solutionStrength: 1 / 3 } })).toEqual([])
    expect(onScale(small({ fats: [] }), library, 1).coarse).toEqual([])
  })
})
