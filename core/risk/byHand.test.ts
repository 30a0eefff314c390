import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { freeze } from '../batch/freeze'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { mean } from '../statistics/sum'
import { formatter } from '../units/formatter'
import { closedForm, likelyPurity } from './closedForm'
import { drawSuperfats, joinDraws } from './draws'
import { lyeRisk, superfatToAsk } from './lyeRisk'
import { forCleaning, lyeHeavyOdds, mostOdds } from './odds'
import { oddsText } from './oddsText'
import { uncertaintyOf, type Uncertainty } from './uncertainty'

/** g NaOH that a mg of KOH counts as. */
const perMg = 39.997 / 56.1056 / 1000

/** Two fats, one skewed, and lye that may be one of two things; a scale of 2 g. */
const two: Uncertainty = {
  fats: [
    { name: 'olive', grams: 600, sap: 190, below: 3, above: 1 },
    { name: 'coconut', grams: 400, sap: 257, below: 4, above: 4 },
  ],
  alkalis: [
    {
      name: 'lye',
      grams: 150,
      purities: [
        { purity: 0.9, sigma: 0.005 },
        { purity: 0.98, sigma: 0.003 },
      ],
      asNaoh: 1,
    },
  ],
  acids: 4,
  scale: 2,
}
/** The same with nothing left to chance. */
const sure: Uncertainty = {
  ...two,
  scale: 0,
  fats: two.fats.map((fat) => ({ ...fat, below: 0, above: 0 })),
  alkalis: [{ ...two.alkalis[0]!, purities: [{ purity: 0.96, sigma: 0 }] }],
}
const demand = (600 * 190 + 400 * 257) * perMg

describe('the closed form, by hand', () => {
  const { nominal, mean: middle, sigma, sources } = closedForm(two)
  const net = 150 * 0.94 - 4
  const half = 1 / Math.sqrt(2 * Math.PI)
  const olive = (((9 + 1) / 2 - (2 * half) ** 2) * (600 * perMg) ** 2 * net ** 2) / demand ** 4
  const coconut = (16 * (400 * perMg) ** 2 * net ** 2) / demand ** 4
  // Two purities 0.08 apart: the mean of their variances and 0.04².
  const purity = (((0.005 ** 2 + 0.003 ** 2) / 2 + 0.04 ** 2) * 150 ** 2) / demand ** 2
  const weigh = (grams: number) => 4 / 12 + (grams * 0.0005) ** 2
  const fatsWeighed = weigh(600) * (190 * perMg) ** 2 + weigh(400) * (257 * perMg) ** 2
  const weighed = (fatsWeighed * net ** 2) / demand ** 4 + (weigh(150) * 0.94 ** 2) / demand ** 2
  const all = olive + coconut + purity + weighed

  it('has its nominal, its mean and its spread', () => {
    expect(nominal).toBeCloseTo(1 - net / demand, 9)
    expect(sigma).toBeCloseTo(Math.sqrt(all), 9)
    // The olive oil's range reaches further down: its mean lies 2/√(2π) under the typical value.
    const shifted = demand - 600 * 2 * half * perMg
    const ofValues = (olive + coconut) * (demand ** 4 / net ** 2)
    expect(middle).toBeCloseTo(
      1 - (net / shifted) * (1 + (ofValues + fatsWeighed) / shifted ** 2),
      9,
    )
  })

  it('shares the spread out over its sources, the largest first', () => {
    expect(sources.map(({ name }) => name)).toEqual(['lye', 'coconut', 'olive', 'The scale'])
    const shares = [purity, coconut, olive, weighed].map((one) => one / all)
    for (const [at, share] of shares.entries()) expect(sources[at]!.share).toBeCloseTo(share, 9)
    expect(likelyPurity(two.alkalis[0]!)).toBeCloseTo(0.94, 12)
  })

  it('says nothing without fats, and no shares where nothing strays', () => {
    expect(closedForm({ ...two, fats: [] })).toEqual({ nominal: 0, mean: 0, sigma: 0, sources: [] })
    const still = closedForm({ ...sure, fats: [{ ...sure.fats[0]!, grams: 1e-9 }], alkalis: [] })
    expect(still.sources.every(({ share }) => share >= 0 && share <= 1)).toBe(true)
  })
})

describe('draws, by hand', () => {
  const straight = { together: 0.3, tails: true }
  it('of what is sure are the superfat as it is, and the one that would just have done', () => {
    const { superfats, needed } = drawSuperfats(sure, 400, 1, straight)
    // Only the half per mille of each weighing is left: 1 − (150 · 0.96 − 4)/D.
    const superfat = 1 - (150 * 0.96 - 4) / demand
    expect(mean(superfats)).toBeCloseTo(superfat, 3)
    expect(Math.max(...superfats) - Math.min(...superfats)).toBeLessThan(0.006)
    expect(mean(needed)).toBeCloseTo(0, 3)
    // Lye that is stronger than it is likely to be needs more: 0.02 of the alkali, and the acids' share of that.
    const strong = {
      ...two,
      ...sure,
      alkalis: [
        {
          ...sure.alkalis[0]!,
          purities: [
            { purity: 1, sigma: 0 },
            { purity: 0.92, sigma: 0 },
          ],
        },
      ],
    }
    const both = drawSuperfats(strong, 4000, 1, straight)
    const [pure, weak] = [
      both.needed.filter((one) => one > 0),
      both.needed.filter((one) => one < 0),
    ]
    expect(pure.length / 4000).toBeCloseTo(0.5, 1)
    expect(mean(pure)).toBeCloseTo(1 - ((demand + 4) * 0.96 - 4) / demand, 3)
    expect(mean(weak)).toBeCloseTo(1 - (((demand + 4) * 0.96) / 0.92 - 4) / demand, 3)
  })

  it('stray with the scale by half its step to either side', () => {
    const coarse = { ...sure, scale: 20, alkalis: sure.alkalis }
    const { superfats } = drawSuperfats(coarse, 20_000, 3)
    const spread = closedForm(coarse).sigma
    const middle = mean(superfats)
    expect(Math.sqrt(mean(superfats.map((one) => (one - middle) ** 2)))).toBeCloseTo(spread, 3)
  })

  it('of fats that stray together stray further, and with tails have more far off', () => {
    const one = { ...sure, fats: two.fats.map((fat) => ({ ...fat, below: 5, above: 5 })) }
    const sdOf = (values: Float64Array) => {
      const middle = mean(values)
      return Math.sqrt(mean(values.map((value) => (value - middle) ** 2)))
    }
    const of = (together: number, tails: boolean) =>
      drawSuperfats(one, 40_000, 5, { together, tails }).superfats
    const net = 150 * 0.96 - 4
    const olive = (600 * 5 * perMg * net) / demand ** 2
    const coconut = (400 * 5 * perMg * net) / demand ** 2
    expect(sdOf(of(0, false))).toBeCloseTo(Math.hypot(olive, coconut), 3)
    expect(sdOf(of(1, false))).toBeCloseTo(olive + coconut, 3)
    // A t of 6 degrees, scaled to the same variance, has some 2.5 times as much beyond three sigmas as a normal.
    const far = (values: Float64Array) => {
      const [middle, sd] = [mean(values), Math.hypot(olive, coconut)]
      return values.filter((value) => Math.abs(value - middle) > 3.5 * sd).length
    }
    expect(sdOf(of(0, true)) / Math.hypot(olive, coconut)).toBeGreaterThan(0.97)
    expect(sdOf(of(0, true)) / Math.hypot(olive, coconut)).toBeLessThan(1.03)
    expect(far(of(0, true))).toBeGreaterThan(2 * far(of(0, false)))
  })
})

describe('what draws come to, by hand', () => {
  /** Superfats from −1 % to 8.9 %, a tenth apart, and what would have been needed of each, in any order. */
  const values = Array.from({ length: 100 }, (_, at) => (at - 10) / 1000).reverse()
  const draws = {
    superfats: Float64Array.from(values),
    needed: Float64Array.from(values, (value) => 0.05 - value),
  }
  const summed = lyeRisk(draws, sure, 0.07, 0.1)

  it('counts, ranges and the superfat that would do', () => {
    expect(summed).toMatchObject({ draws: 100, lyeHeavy: 0.1 })
    expect(summed.median).toBeCloseTo(0.0395, 9)
    expect(summed.low).toBeCloseTo(-0.01 + 0.05 * 0.099, 9)
    expect(summed.high).toBeCloseTo(-0.01 + 0.95 * 0.099, 9)
    // Nine of ten need 0.05 − (−0.0001) at most, told as the formula tells its own: 7 % where nominal is 1 − 140/D.
    const needed = 0.05 - 0.089 + 0.9 * 0.099
    const nominal = 1 - (150 * 0.96 - 4) / demand
    expect(summed.smallest).toBeCloseTo(1 - ((1 - needed) * 0.93) / (1 - nominal), 9)
  })

  it('draws its picture in equal steps that hold every batch', () => {
    const { from, width, counts } = summed.histogram
    expect(from).toBeCloseTo(-0.01, 12)
    expect(width).toBeCloseTo(0.099 / 48, 12)
    expect(counts).toHaveLength(48)
    expect(counts[0]).toBe(3)
    expect(counts.at(-1)).toBe(3)
    const same = { superfats: Float64Array.of(0.05, 0.05), needed: Float64Array.of(0, 0) }
    expect(lyeRisk(same, sure, 0.05, 0.01).histogram).toMatchObject({ width: 1e-9 })
    expect(lyeRisk(same, sure, 0.05, 0.01).histogram.counts[0]).toBe(2)
  })

  it('is nothing where there is nothing', () => {
    const none = { superfats: new Float64Array(), needed: new Float64Array() }
    const nothing = {
      draws: 0,
      median: 0,
      low: 0,
      high: 0,
      lyeHeavy: 0,
      smallest: 0,
      sources: [],
      histogram: { from: 0, width: 0, counts: [] },
    }
    expect(lyeRisk(none, sure, 0.05, 0.01)).toEqual(nothing)
    expect(lyeRisk(draws, { ...sure, fats: [] }, 0.05, 0.01)).toEqual(nothing)
    expect(joinDraws([none, draws, draws]).superfats).toHaveLength(200)
    expect([...joinDraws([draws, none]).needed]).toEqual([...draws.needed])
  })

  it('asks for the next tenth of a per cent that will do, and never for less than none', () => {
    // 3.12 % wanted in all; milk brings 1 % by itself.
    expect(superfatToAsk({ asked: 0.05, total: 0.06 } as never, 0.0312)).toBeCloseTo(0.022, 9)
    expect(superfatToAsk({ asked: 0.05, total: 0.05 } as never, 0.0312)).toBeCloseTo(0.032, 9)
    expect(superfatToAsk({ asked: 0.05, total: 0.05 } as never, 0.031)).toBeCloseTo(0.031, 9)
    expect(superfatToAsk({ asked: 0.05, total: 0.1 } as never, 0.03)).toBe(0)
  })
})

describe('what a workshop is told', () => {
  const say = formatter()
  it.each([
    [0.0009, 'under 1 in 1,000'],
    [0.001, '1 in 1,000'],
    [0.00321, '1 in 300'],
    [0.005, '1 in 200'],
    [0.0051, '1 in 200'],
    [0.013, '1 in 80'],
    [0.05, '1 in 20'],
    [0.051, '1 in 20'],
    [0.07, '1 in 14'],
    [0.45, '1 in 2'],
    [0.5, '1 in 2'],
    [0.51, '51 of 100'],
    [0.604, '60 of 100'],
  ])('odds of %d as %s', (chance, says) => {
    expect(oddsText(chance, say)).toBe(says)
  })

  it('the limit that counts for what the soap is for', () => {
    expect(mostOdds({ lyeRisk: 0.01, lyeRiskCleaning: 0.05 }, true)).toBe(0.05)
    expect(mostOdds({ lyeRisk: 0.01, lyeRiskCleaning: 0.05 }, false)).toBe(0.01)
    expect(mostOdds({}, false)).toBeNull()
    const uses = ['laundry', 'dishes', 'body'] as const
    expect(uses.map((use) => forCleaning({ document: { ...blankFormula('One'), use } }))).toEqual([
      true,
      true,
      false,
    ])
  })
})

describe('what is known of a pot', () => {
  const line = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
  const formula: FormulaDocument = {
    ...blankFormula('Known'),
    fats: [line('olive', 0.8), line('coconut', 0.2)],
  }
  const known = (changes: Partial<FormulaDocument>, age: 'fresh' | 'old' = 'fresh') => {
    const document = { ...formula, ...changes }
    return uncertaintyOf(document, computeFormula(document, library), library, 0.1, age)
  }

  it('leaves out a fat that nobody knows', () => {
    const fats = [...formula.fats, line('unheard-of', 0.1)]
    const ids = (of: Partial<FormulaDocument>) => known(of).fats.map(({ sap }) => sap)
    expect(ids({ fats })).toEqual(ids({}))
    expect(ids({}).length).toBe(2)
    expect(known({}).scale).toBe(0.1)
  })

  it('takes each alkali by its own purity', () => {
    const { alkali } = formula
    const mixed = known({ alkali: { ...alkali, kohShare: 0.4, kohPurity: 0.9 } })
    expect(mixed.alkalis.map(({ name }) => name)).toEqual([
      'Purity of the lye',
      'Purity of the potash',
    ])
    expect(mixed.alkalis[1]).toMatchObject({
      purities: [{ purity: 0.9, sigma: expect.closeTo(0.0045, 9) as number }],
      asNaoh: expect.closeTo(39.997 / 56.1056, 4) as number,
    })
    const ready = known({ alkali: { ...alkali, solutionStrength: 0.5 } })
    expect(ready.alkalis).toHaveLength(1)
    expect(ready.alkalis[0]!.purities).toEqual([
      { purity: 0.5, sigma: expect.closeTo(0.0025, 9) as number },
    ])
    const potash = known({ alkali: { ...alkali, kohShare: 1 } })
    expect(potash.alkalis.map(({ name }) => name)).toEqual(['Purity of the potash'])
    // Old lye is what old lye is, whatever its label says.
    const old = known({ alkali: { ...alkali, naohPurity: 0.9 } }, 'old')
    expect(old.alkalis[0]!.purities).toHaveLength(1)
  })

  it('takes the acids off, and a milk by its own fat', () => {
    const sour = known({
      additives: [
        { id: 'citric-acid-anhydrous', rate: 0.015, of: 'oils', carrier: null },
      ] as FormulaDocument['additives'],
    })
    // 15 g of citric acid take 0.62455 g of soda each.
    expect(sour.acids).toBeCloseTo(15 * 0.62455, 3)
    const milk = known({ liquids: [{ id: 'goat-milk', share: 1, moment: 'oils', way: 'poured' }] })
    const fat = milk.fats.at(-1)!
    expect(fat.sap).toBeGreaterThan(200)
    expect(fat.below).toBeCloseTo(fat.sap * 0.01, 9)
  })

  it('has no odds without lye or fats', () => {
    const frozen = freeze({ ...formula, fats: [line('olive', 1)] }, library)
    expect(lyeHeavyOdds(frozen, 0)).toBeGreaterThan(0.1)
    const nothing = { ...frozen, document: { ...frozen.document, fats: [] } }
    const { result } = frozen
    expect(lyeHeavyOdds({ ...nothing, result: { ...result, fats: [] } }, 0)).toBe(0)
    const bare = { ...result, lye: { ...result.lye, naoh: 0, koh: 0, solution: null } }
    expect(lyeHeavyOdds({ ...frozen, result: bare }, 0)).toBe(0)
    // By purity as stated: 95 % of the soda weighed, told as 0, is as likely to leave lye as superfat 0 with that.
    expect(lyeHeavyOdds(frozen, 0.03)).toBeLessThan(lyeHeavyOdds(frozen, 0.02))
  })
})
