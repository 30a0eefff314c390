import type { FormulaDocument, Size } from '#contracts/formula'
import type { Frozen, Remark } from '#contracts/result'
import { describe, expect, it } from 'vitest'
import { freeze } from '../batch/freeze'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { blankFormula } from './blank'
import { byWeights, computeFormula, divideOils, fatGrams } from './compute'
import { stillOpen } from './draft'
import { fillUp, giveRemaining, holdWater, scaleFormula, toGrams, toShares } from './edit'
import { frozenLibrary, libraryIds, materialsUsed, openStops, thaw } from './frozen'
import { makingOrder } from './makingOrder'
import { byBlender, patternOf } from './method'
import { nameOfExtra, nameOfFat, nameOfLiquid } from './names'
import { driedGrams } from './size'
import { sizedAs, toProportions, waterForFattyMatter } from './sizing'

const plain: FormulaDocument = {
  ...blankFormula('Plain'),
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
}
const box = { shape: 'box' as const, lengthMm: 195, widthMm: 70, depthMm: 60 }

describe('a formula so many times as large', () => {
  it.each<[Size, Size]>([
    [
      { by: 'oils', grams: 1000 },
      { by: 'oils', grams: 1500 },
    ],
    [
      { by: 'batter', grams: 800 },
      { by: 'batter', grams: 1200 },
    ],
    [
      { by: 'bars', count: 5, grams: 90 },
      { by: 'bars', count: 8, grams: 90 },
    ],
    [
      { by: 'fattyMatter', batterGrams: 900, share: 0.6, of: 'oils' },
      { by: 'fattyMatter', batterGrams: 1350, share: 0.6, of: 'oils' },
    ],
    [
      { by: 'mould', mould: box, fill: 0.5 },
      { by: 'mould', mould: box, fill: 0.75 },
    ],
    [
      { by: 'moulds', moulds: [{ name: 'Box', mould: box, fill: 0.5 }] },
      { by: 'moulds', moulds: [{ name: 'Box', mould: box, fill: 0.75 }] },
    ],
    [{ by: 'lines' }, { by: 'lines' }],
    [
      { by: 'oils', grams: null },
      { by: 'oils', grams: null },
    ],
    [
      { by: 'bars', count: null, grams: 90 },
      { by: 'bars', count: null, grams: 90 },
    ],
  ])('%j becomes %j', (size, larger) => {
    expect(scaleFormula({ ...plain, size }, 1.5).size).toEqual(larger)
  })

  it('keeps one bar at least, and carries everything that is said in grams', () => {
    expect(scaleFormula({ ...plain, size: { by: 'bars', count: 2, grams: 90 } }, 0.1).size).toEqual(
      {
        by: 'bars',
        count: 1,
        grams: 90,
      },
    )
    const heavy: FormulaDocument = {
      ...plain,
      water: { held: 'grams', value: 300 },
      iceGrams: 40,
      liquids: [{ id: 'goat-milk', grams: 50, moment: 'oils', way: 'poured' }],
      additives: [{ id: 'rose-clay', grams: 10, carrier: null }],
      scents: [{ id: 'rain', grams: 30, moment: 'trace' }],
      parts: [
        {
          name: 'pale',
          share: 1,
          scent: true,
          water: { held: 'grams', value: 300 },
          additives: [{ id: 'rose-clay', grams: 6, carrier: null }],
        },
      ],
    }
    expect(scaleFormula(heavy, 2)).toMatchObject({
      water: { held: 'grams', value: 600 },
      iceGrams: 80,
      liquids: [{ grams: 100 }],
      additives: [{ grams: 20 }],
      scents: [{ grams: 60 }],
      parts: [{ water: { held: 'grams', value: 600 }, additives: [{ grams: 12 }] }],
    })
    const none = scaleFormula(plain, 2)
    expect('iceGrams' in none).toBe('iceGrams' in plain)
    expect(none.water).toEqual(plain.water)
    const open = { ...plain, water: { held: 'grams' as const, value: null } }
    expect(scaleFormula(open, 2).water).toEqual(open.water)
  })
})

describe('a fat that is to be used up', () => {
  it('sizes the rest by it', () => {
    expect(fillUp(plain, 1, 150, library).size).toEqual({ by: 'oils', grams: 500 })
    expect(fillUp(plain, 0, 700, library).size).toEqual({ by: 'oils', grams: 1000 })
    const lines = toGrams(plain, library)
    expect(fillUp(lines, 1, 150, library).fats.map(({ grams }) => grams)).toEqual([350, 150])
    // By batter the share of the oils is what counts.
    const byBatter: FormulaDocument = { ...plain, size: { by: 'batter', grams: 700 } }
    expect(fillUp(byBatter, 1, 150, library).size).toEqual({ by: 'oils', grams: 500 })
    // Where nothing weighs anything yet, the shares do.
    const open: FormulaDocument = { ...plain, size: { by: 'oils', grams: null } }
    expect(fillUp(open, 1, 150, library).size).toEqual({ by: 'oils', grams: 500 })
  })

  it('changes nothing where it cannot', () => {
    const lines = toGrams(plain, library)
    for (const unchanged of [
      fillUp(plain, 5, 150, library) === plain,
      fillUp(plain, 1, 0, library) === plain,
      fillUp(plain, 1, -5, library) === plain,
    ])
      expect(unchanged).toBe(true)
    const blank = { ...lines, fats: lines.fats.map((fat) => ({ ...fat, grams: 0 })) }
    expect(fillUp(blank, 1, 150, library)).toBe(blank)
    const none = { ...plain, fats: [{ ...plain.fats[0]!, share: 0 }] }
    expect(fillUp(none, 0, 150, library)).toBe(none)
  })
})

describe('shares and grams', () => {
  it('what is missing goes to one fat, never below nothing', () => {
    const open = { ...plain, fats: [plain.fats[0]!, { ...plain.fats[1]!, share: 0.1 }] }
    expect(giveRemaining(open, 1).fats[1]!.share).toBeCloseTo(0.3, 9)
    expect(giveRemaining(open, 1).fats[0]).toBe(open.fats[0])
    const over = { ...plain, fats: [{ ...plain.fats[0]!, share: 1.5 }, plain.fats[1]!] }
    expect(giveRemaining(over, 1).fats[1]!.share).toBe(0)
    expect(giveRemaining(plain, 7)).toBe(plain)
    const lines = toGrams(plain, library)
    expect(giveRemaining(lines, 0)).toBe(lines)
    const unsaid = { ...plain, fats: [plain.fats[0]!, { ...plain.fats[1]!, share: null }] }
    expect(giveRemaining(unsaid, 1).fats[1]!.share).toBeCloseTo(0.3, 9)
  })

  it('there and back, what has no number stays without', () => {
    const half = { ...plain, fats: [plain.fats[0]!, { ...plain.fats[1]!, share: null }] }
    const lines = toGrams(half, library)
    expect(lines.fats.map(({ grams }) => grams)).toEqual([700, null])
    expect('share' in lines.fats[0]!).toBe(false)
    const shares = toShares(lines)
    expect(shares.size).toEqual({ by: 'oils', grams: 700 })
    expect(shares.fats.map(({ share }) => share)).toEqual([1, null])
    expect(toShares(plain)).toBe(plain)
    const nothing = toShares(byWeights(plain, [0, 0]))
    expect(nothing.size).toEqual({ by: 'oils', grams: 1000 })
    expect(nothing.fats.map(({ share }) => share)).toEqual([null, null])
  })

  it('shares that are whole within a hair fill the oils; others do not', () => {
    const of = (share: number) =>
      divideOils({ ...plain, fats: [{ ...plain.fats[0]!, share }, plain.fats[1]!] }, 1000)
    expect(of(0.7004).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1000, 9)
    expect(of(0.7006)[0]).toBeCloseTo(700.6, 9)
    expect(of(0.7)).toEqual([700, 300])
    expect(fatGrams(toGrams(plain, library), library)).toEqual([700, 300])
  })

  it('the water said another way; where there is no lye it is open', () => {
    const grams = holdWater(plain, 'grams', library)
    expect(grams.water.value).toBeCloseTo(computeFormula(plain, library).water.weighed, 6)
    // Before there is a fat, a ratio is a strength already; what needs a fat is open.
    const empty = (held: 'ratio' | 'strength' | 'shareOfOils' | 'grams', value: number | null) => ({
      ...plain,
      fats: [],
      water: { held, value },
    })
    expect(holdWater(empty('ratio', 2.2), 'strength', library).water.value).toBeCloseTo(0.3125, 9)
    expect(holdWater(empty('strength', 0.3125), 'ratio', library).water.value).toBeCloseTo(2.2, 9)
    expect(holdWater(empty('ratio', 2.2), 'ratio', library).water.value).toBe(2.2)
    expect(holdWater(empty('ratio', 2.2), 'grams', library).water.value).toBeNull()
    expect(holdWater(empty('shareOfOils', 0.3), 'ratio', library).water.value).toBeNull()
    expect(holdWater(empty('ratio', null), 'strength', library).water.value).toBeNull()
  })
})

describe('sizes', () => {
  it('a bar when long dried has lost all but a tenth of water', () => {
    const result = computeFormula(plain, library)
    expect(driedGrams(result)).toBeCloseTo((result.batter - result.water.content) / 0.9, 9)
    const dry = { ...result, water: { ...result.water, content: 0 } }
    expect(driedGrams(dry)).toBe(result.batter)
  })

  it('by batter, bars or fatty matter the oils meet it', () => {
    const at = (size: Size, changes: Partial<FormulaDocument> = {}) =>
      computeFormula({ ...plain, size, ...changes }, library)
    expect(at({ by: 'batter', grams: 800 }).batter).toBeCloseTo(800, 6)
    expect(driedGrams(at({ by: 'bars', count: 8, grams: 90 }))).toBeCloseTo(720, 6)
    const matter = { by: 'fattyMatter' as const, batterGrams: 1000, share: 0.6 }
    expect(at({ ...matter, of: 'oils' }).oils).toBeCloseTo(600, 6)
    expect(at({ ...matter, of: 'fattyAcids' }).fattyMatter).toBeCloseTo(600, 6)
    // Water by weight beside a mould: the density of the lye moves with the oils.
    const mould = at({ by: 'mould', mould: box, fill: 1 }, { water: { held: 'grams', value: 150 } })
    expect(mould.water.weighed).toBeCloseTo(150, 6)
    expect(mould.oils).toBeGreaterThan(400)
    for (const size of [
      { by: 'batter', grams: 0 },
      { by: 'batter', grams: null },
      { by: 'bars', count: null, grams: 90 },
      { by: 'oils', grams: null },
    ] as Size[])
      expect(at(size).oils).toBe(0)
    const tooMuch = { additives: [{ id: 'rose-clay', grams: 500, carrier: null }] }
    expect(at({ by: 'batter', grams: 100 }, tooMuch).oils).toBe(0)
  })

  it('in proportions it weighs what it weighed, pots and their own water too', () => {
    const document: FormulaDocument = {
      ...toGrams(plain, library),
      water: { held: 'grams', value: 320 },
      iceGrams: 60,
      additives: [
        { id: 'sugar', grams: 8, carrier: null },
        { id: 'rose-clay', amount: { value: 1, unit: 'tsp', per: 'kg' }, carrier: null },
      ],
      scents: [{ id: 'rain', grams: 30, moment: 'trace' }],
      parts: [
        {
          name: 'a',
          share: 0.5,
          scent: true,
          additives: [{ id: 'rose-clay', grams: 4, carrier: null }],
        },
        {
          name: 'b',
          share: 0.5,
          scent: false,
          additives: [],
          water: { held: 'grams', value: 140 },
        },
      ],
    }
    const proportions = toProportions(document, library)
    const [before, after] = [document, proportions].map((one) => computeFormula(one, library))
    expect(after!.batter).toBeCloseTo(before!.batter, 4)
    expect(after!.water.ice).toBeCloseTo(before!.water.ice, 4)
    expect(after!.parts.map(({ result }) => result.batter)).toEqual(
      before!.parts.map(({ result }) => expect.closeTo(result.batter, 3) as number),
    )
    expect(proportions).toMatchObject({
      size: { by: 'oils', grams: 1000 },
      water: { held: 'ratio' },
    })
    expect(proportions.parts[1]!.water!.held).toBe('ratio')
    expect(JSON.stringify(proportions.additives[1])).toBe(JSON.stringify(document.additives[1]))
    expect(sizedAs(document, { by: 'lines' }, library)).toBe(document)
    // What weighs nothing yet has nothing to be a share of.
    const blank = {
      ...document,
      fats: document.fats.map((fat) => ({ ...fat, grams: 0 })),
      parts: [],
    }
    expect(toProportions(blank, library).additives[0]).toEqual(document.additives[0])
  })

  it('fatty matter of a formula that weighs nothing is none', () => {
    expect(waterForFattyMatter({ ...plain, fats: [] }, 0.6, 'oils', library)).toEqual({
      share: 0,
      ratio: null,
    })
    expect(waterForFattyMatter(plain, 0, 'oils', library).ratio).toBeNull()
  })
})

describe('a draft', () => {
  const open = (changes: Partial<FormulaDocument>) =>
    stillOpen({ ...plain, ...changes }, library, formatter())
  const ids = (changes: Partial<FormulaDocument>) => open(changes).map(({ id }) => id)
  const fat = (changes: object) => ({ ...plain.fats[0]!, ...changes })

  it('says what it lacks, and nothing when it lacks nothing', () => {
    expect(ids({})).toEqual([])
    expect(ids({ fats: [] })).toEqual(['empty'])
    expect(ids({ superfat: null })).toEqual(['superfat'])
    expect(ids({ water: { held: 'ratio', value: null } })).toEqual(['water'])
    expect(ids({ size: { by: 'oils', grams: null } })).toEqual(['size'])
    expect(ids({ size: { by: 'batter', grams: 0 } })).toEqual(['size'])
    expect(ids({ size: { by: 'bars', count: null, grams: null } })).toEqual([])
    expect(ids({ fats: [fat({ share: 1, id: 'seal' })] })).toEqual(['value'])
    expect(ids({ fats: [fat({ share: 1, id: 'seal', sap: 190 })] })).toEqual([])
  })

  it('by share: what is missing or too much, with a fix that spreads it', () => {
    const [missing] = open({ fats: [fat({ share: 0.5 }), fat({ id: 'coconut', share: 0.3 })] })
    expect(missing).toMatchObject({ id: 'open', says: '20 % still to place.' })
    expect(missing!.fix!.patch.map(({ path, value }) => [path, value])).toEqual([
      [['fats', 0, 'share'], 0.625],
      [['fats', 1, 'share'], expect.closeTo(0.375, 9)],
    ])
    const [over] = open({ fats: [fat({ share: 0.9 }), fat({ id: 'coconut', share: 0.3 })] })
    expect(over).toMatchObject({
      id: 'over',
      says: 'The fats are 20 % over: all together make 100 %.',
    })
    expect(over!.fix!.label).toBe('Spread to 100 %')
    expect(ids({ fats: [fat({ share: 0.9996 })] })).toEqual([])
    expect(ids({ fats: [fat({ share: 1.0004 })] })).toEqual([])
    // One without a number is asked for first: nothing to spread over.
    const unsaid = open({ fats: [fat({ share: 0.5 }), fat({ id: 'coconut', share: null })] })
    expect(unsaid.map(({ id, fix }) => [id, fix])).toEqual([
      ['number', undefined],
      ['open', undefined],
    ])
    expect(open({ fats: [fat({ share: 0 })] })[0]!.fix).toBeUndefined()
  })

  it('by lines: a fat without weight, or all of them', () => {
    const lines = (...grams: (number | null)[]) => ({
      size: { by: 'lines' as const },
      fats: grams.map((one) => fat({ share: undefined, grams: one })),
    })
    expect(ids(lines(500))).toEqual([])
    expect(ids(lines(500, null))).toEqual(['number'])
    expect(open(lines(0, 0)).map(({ says }) => says)).toEqual(['No fat weighs anything yet.'])
    expect(ids(lines(0, 5))).toEqual([])
    expect(ids(lines(null, 0))).toEqual(['number'])
  })
})

describe('what a batch keeps', () => {
  const document: FormulaDocument = {
    ...plain,
    liquids: [{ id: 'goat-milk', share: 0.2, moment: 'oils', way: 'poured' }],
    additives: [{ id: 'rose-clay', grams: 10, carrier: { id: 'castor', ratio: 2, from: 'extra' } }],
    parts: [
      { name: 'a', share: 1, scent: true, additives: [{ id: 'sugar', grams: 5, carrier: null }] },
    ],
  }

  it('names every material, those of pots and for dispersing too', () => {
    expect(libraryIds(document)).toEqual({
      fats: ['olive', 'coconut', 'castor'],
      liquids: ['goat-milk'],
      additives: ['rose-clay', 'sugar'],
    })
    expect([...materialsUsed(document)].sort()).toEqual(
      ['castor', 'coconut', 'goat-milk', 'olive', 'rose-clay', 'sugar'].sort(),
    )
    const kept = frozenLibrary(freeze(document, library))
    expect([...kept.fats.keys()]).toEqual(['olive', 'coconut', 'castor'])
    expect([...kept.liquids.keys()]).toEqual(['goat-milk'])
    expect([...kept.additives.keys()]).toEqual(['rose-clay', 'sugar'])
    expect(kept.fats.get('olive')).toEqual(library.fats.get('olive'))
    expect(kept.spoons).toBe(library.spoons)
  })

  it('of earlier days has today’s form: what was not named then is nothing', () => {
    const frozen = freeze(document, library)
    const plainRemark = { id: 'x', severity: 'stop', says: '', because: '' }
    const strip = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(strip)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .filter(([key]) => !['unknownFats', 'naohTaken', 'fatGrams'].includes(key))
                .map(([key, one]) => [key, strip(one)]),
            )
          : value
    const old = {
      ...frozen,
      result: strip(frozen.result),
      remarks: [{ ...plainRemark, mayOverrule: true }, plainRemark],
    } as unknown as Frozen
    const { result, remarks } = thaw(old)
    expect(result.unknownFats).toEqual([])
    expect(result.liquids.map(({ naohTaken }) => naohTaken)).toEqual([0])
    expect(result.additives.map(({ fatGrams }) => fatGrams)).toEqual([0, 0])
    expect(result.parts[0]!.result.unknownFats).toEqual([])
    expect(remarks[0]!.overridable).toBe(true)
    expect(remarks[1]).toBe(plainRemark)
    // What names them keeps them.
    expect(thaw(frozen)).toEqual(frozen)
  })

  it('a stop holds until it is overruled with a reason, where that is allowed', () => {
    const remark = (id: string, changes: Partial<Remark> = {}): Remark =>
      ({ id, severity: 'stop', says: '', because: '', ...changes }) as Remark
    const all = [
      remark('hard'),
      remark('soft', { overridable: true }),
      remark('aside', { severity: 'think' }),
    ]
    const ids = (overruled: Record<string, string>) => openStops(all, overruled).map(({ id }) => id)
    expect(ids({})).toEqual(['hard', 'soft'])
    expect(ids({ soft: 'Tried it twice.', hard: 'No.' })).toEqual(['hard'])
    expect(ids({ soft: '   ' })).toEqual(['hard', 'soft'])
  })
})

describe('the order of making', () => {
  const groups = (changes: Partial<FormulaDocument>) =>
    makingOrder(computeFormula({ ...plain, ...changes }, library), library)
  const lines = (changes: Partial<FormulaDocument>) =>
    groups(changes).map(({ title, lines: all }) => [title, all.map(({ id }) => id)])

  it('water, lye, fats from hard to liquid; empty groups are left out', () => {
    expect(
      lines({
        fats: [
          { id: 'olive', share: 0.5, moment: 'pot', inLye: true },
          { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
          { id: 'cocoa-butter', share: 0.2, moment: 'pot', inLye: true },
        ],
      }),
    ).toEqual([
      ['Water', ['water']],
      ['Lye', ['naoh']],
      ['Fats', ['cocoa-butter', 'coconut', 'olive']],
    ])
  })

  it('everything at its moment', () => {
    const all = lines({
      iceShare: 0.5,
      alkali: { ...plain.alkali, kohShare: 0.1 },
      liquids: [
        { id: 'beer', share: 0.1, moment: 'lye', way: 'poured' },
        { id: 'coconut-milk', share: 0.1, moment: 'lye', way: 'into-cooled-lye' },
        { id: 'goat-milk', share: 0.1, moment: 'oils', way: 'poured' },
        { id: 'donkey-milk', share: 0.1, moment: 'trace', way: 'poured' },
      ],
      additives: [
        { id: 'citric-acid-anhydrous', grams: 10, carrier: null, moment: 'water' },
        { id: 'sugar', grams: 5, carrier: null, moment: 'cooled-lye' },
        { id: 'salt', grams: 5, carrier: null, moment: 'lye' },
        { id: 'cow-milk-powder', grams: 5, carrier: null, moment: 'oils' },
        {
          id: 'rose-clay',
          grams: 5,
          moment: 'trace',
          carrier: { id: 'olive', ratio: 2, from: 'formula' },
        },
        {
          id: 'activated-charcoal',
          grams: 2,
          moment: 'trace',
          carrier: { id: 'castor', ratio: 3, from: 'extra' },
        },
      ],
      scents: [
        { id: 'rain', grams: 20, moment: 'trace' },
        { id: 'fir', grams: 10, moment: 'oils' },
      ],
      fats: [...plain.fats.slice(0, 1), { ...plain.fats[1]!, moment: 'trace' }],
    })
    expect(all).toEqual([
      ['Water', ['water', 'ice', 'beer', 'citric-acid-anhydrous']],
      ['Lye', ['naoh', 'koh']],
      ['Into the cooled lye', ['coconut-milk', 'sugar', 'salt']],
      ['Fats', ['olive']],
      ['To disperse colours in', ['olive-to-disperse', 'castor-to-disperse']],
      ['Into the oils', ['goat-milk', 'cow-milk-powder', 'fir']],
      ['At trace', ['coconut', 'donkey-milk', 'rose-clay', 'activated-charcoal', 'rain']],
    ])
  })

  it('oil for colours is taken from the first line of its fat, what is extra is not', () => {
    const [, , fats, disperse] = groups({
      additives: [
        { id: 'rose-clay', grams: 5, carrier: { id: 'olive', ratio: 2, from: 'formula' } },
        { id: 'sugar', grams: 5, carrier: { id: 'coconut', ratio: 1, from: 'extra' } },
      ],
    })
    expect(fats!.lines.map(({ id, grams }) => [id, grams])).toEqual([
      ['coconut', 300],
      ['olive', 690],
    ])
    expect(disperse!.lines.map(({ grams, note, substance }) => [grams, note, substance])).toEqual([
      [10, 'to disperse in', 'fat'],
      [5, 'to disperse in', 'fat'],
    ])
  })

  it('says how, by what there is: frozen liquid, ready-mixed lye, milk for the cooled lye', () => {
    const how = (title: string, changes: Partial<FormulaDocument>) =>
      groups(changes).find((group) => group.title === title)?.how
    const milk = (way: 'poured' | 'frozen' | 'into-cooled-lye') => ({
      liquids: [{ id: 'goat-milk', share: 0.3, moment: 'lye' as const, way }],
    })
    const mixed = { alkali: { ...plain.alkali, solutionStrength: 0.5 } }
    expect(how('Water', {})).toMatch(/^Into a jug that stands heat/)
    expect(how('Water', milk('frozen'))).toMatch(/^The frozen liquid in small pieces/)
    expect(how('Water', milk('poured'))).toMatch(/^Into a jug that stands heat/)
    expect(how('Lye', {})).toMatch(/lye into water, slowly, never water onto lye/)
    expect(how('Lye', milk('frozen'))).toMatch(/Sprinkle it on bit by bit/)
    expect(how('Lye', mixed)).toMatch(/^In its own dry jug/)
    expect(how('Into the cooled lye', milk('into-cooled-lye'))).toMatch(/^Half-frozen/)
    expect(
      how('Into the cooled lye', {
        additives: [{ id: 'sugar', grams: 5, carrier: null, moment: 'cooled-lye' }],
      }),
    ).toBe('Once the lye is clear and no longer hot.')
    expect(groups(mixed)[1]!.lines).toMatchObject([
      { id: 'solution', name: 'Ready-mixed lye solution' },
    ])
    expect(groups({ iceShare: 0.5 })[0]!.lines[0]!.name).toBe('Water, without the ice')
    expect(groups({})[0]!.lines[0]!.name).toBe('Water')
  })
})

it('names and ways', () => {
  expect(nameOfFat({ id: 'olive' }, library)).toBe('Olive oil')
  expect(nameOfFat({ id: 'olive', name: 'Our olive' }, library)).toBe('Our olive')
  expect(nameOfFat({ id: 'seal' }, library)).toBe('seal')
  expect([nameOfLiquid('goat-milk', library), nameOfLiquid('sea', library)]).toEqual([
    'Goat milk',
    'sea',
  ])
  expect([nameOfExtra('rose-clay', library), nameOfExtra('moss', library)]).toEqual([
    'Rose clay',
    'moss',
  ])
  const method = { ...plain.method }
  expect(patternOf({ method: { ...method, patterns: [] } })).toBe('plain')
  expect(patternOf({ method: { ...method, patterns: ['layers', 'drizzle'] } })).toBe('layers')
  expect(byBlender({ method: { ...method, tool: 'blender' } })).toBe(true)
  expect(byBlender({ method: { ...method, tool: 'whisk' } })).toBe(false)
})
