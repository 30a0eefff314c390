import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { blankFormula } from './blank'
import { faultsInFormula } from './faults'

const fat = (changes: object = {}) =>
  ({ id: 'olive', share: 1, moment: 'pot', inLye: true, ...changes }) as FormulaDocument['fats'][0]
const sound: FormulaDocument = { ...blankFormula('Sound'), fats: [fat()] }
const faults = (changes: object) =>
  faultsInFormula({ ...sound, ...changes } as FormulaDocument, library)
const paths = (changes: object) => faults(changes).map(({ path }) => path)
const extra = (changes: object) => ({ additives: [{ id: 'rose-clay', carrier: null, ...changes }] })
const box = { shape: 'box', lengthMm: 195, widthMm: 70, depthMm: 60 }
const part = (changes: object = {}) => ({
  name: 'pale',
  share: 0.5,
  scent: true,
  additives: [],
  ...changes,
})

it('a sound formula has none', () => expect(faults({})).toEqual([]))

describe('every place has its range, both ends included', () => {
  const alkali = sound.alkali
  it.each<[path: string, low: number, high: number, at: (value: number | null) => object]>([
    ['superfat', -0.5, 0.9, (superfat) => ({ superfat })],
    ['alkali.naohPurity', 0.8, 1, (naohPurity) => ({ alkali: { ...alkali, naohPurity } })],
    ['alkali.kohShare', 0, 1, (kohShare) => ({ alkali: { ...alkali, kohShare } })],
    ['alkali.kohPurity', 0.8, 1, (kohPurity) => ({ alkali: { ...alkali, kohPurity } })],
    ['iceShare', 0, 1, (iceShare) => ({ iceShare })],
    ['size.grams', 1, 1_000_000, (grams) => ({ size: { by: 'oils', grams } })],
    ['size.grams', 1, 1_000_000, (grams) => ({ size: { by: 'batter', grams } })],
    ['size.count', 1, 100_000, (count) => ({ size: { by: 'bars', count, grams: 100 } })],
    ['size.grams', 1, 10_000, (grams) => ({ size: { by: 'bars', count: 10, grams } })],
    [
      'size.batterGrams',
      1,
      1_000_000,
      (batterGrams) => ({ size: { by: 'fattyMatter', batterGrams, share: 0.6, of: 'oils' } }),
    ],
    [
      'size.share',
      0.05,
      0.95,
      (share) => ({ size: { by: 'fattyMatter', batterGrams: 1000, share, of: 'oils' } }),
    ],
    ['size.fill', 0.05, 1, (fill) => ({ size: { by: 'mould', mould: box, fill } })],
    ...(['lengthMm', 'widthMm', 'depthMm'] as const).map(
      (side): [string, number, number, (value: number | null) => object] => [
        `size.mould.${side}`,
        1,
        5000,
        (value) => ({ size: { by: 'mould', mould: { ...box, [side]: value }, fill: 1 } }),
      ],
    ),
    [
      'size.mould.diameterMm',
      1,
      5000,
      (diameterMm) => ({
        size: { by: 'mould', mould: { shape: 'cylinder', diameterMm, depthMm: 100 }, fill: 1 },
      }),
    ],
    [
      'size.moulds[1].mould.count',
      1,
      10_000,
      (count) => ({
        size: {
          by: 'moulds',
          moulds: [
            { name: 'Box', mould: box, fill: 1 },
            { name: 'Pebbles', mould: { shape: 'cavities', count, millilitres: 90 }, fill: 1 },
          ],
        },
      }),
    ],
    [
      'size.mould.millilitres',
      1,
      100_000,
      (millilitres) => ({
        size: { by: 'mould', mould: { shape: 'cavities', count: 6, millilitres }, fill: 1 },
      }),
    ],
    [
      'fats[0].grams',
      0,
      1_000_000,
      (grams) => ({
        size: { by: 'lines' },
        fats: [
          fat({ share: undefined, grams }),
          fat({ id: 'coconut', share: undefined, grams: 9 }),
        ],
      }),
    ],
    ['additives[0].rate', 0, 2, (rate) => extra({ rate, of: 'oils' })],
    ['additives[0].grams', 0, 1_000_000, (grams) => extra({ grams })],
    [
      'additives[0].amount.value',
      0,
      1_000_000,
      (value) => extra({ amount: { value, unit: 'tsp', per: null } }),
    ],
    [
      'scents[0].rate',
      0,
      0.5,
      (rate) => ({ scents: [{ id: 'rain', rate, of: 'oils', moment: 'trace' }] }),
    ],
    [
      'additives[0].carrier.ratio',
      0.1,
      20,
      (ratio) => extra({ rate: 0.001, of: 'oils', carrier: { id: 'olive', ratio, from: 'extra' } }),
    ],
    [
      'liquids[0].share',
      0,
      1,
      (share) => ({ liquids: [{ id: 'goat-milk', share, moment: 'oils' }] }),
    ],
  ])('%s from %f to %f', (path, low, high, at) => {
    const said = (value: number | null) => faults(at(value)).filter((one) => one.path === path)
    const range = [{ path, says: `This must be between ${low} and ${high}.` }]
    const step = Math.max(1e-6, Math.abs(high) * 1e-6)
    expect(said(low).map(({ says }) => says)).not.toContain(range[0]!.says)
    expect(said(high).map(({ says }) => says)).not.toContain(range[0]!.says)
    expect(said(low - step)).toEqual(range)
    expect(said(high + step)).toEqual(range)
    expect(said(null)).toEqual([{ path, says: 'This needs a number.' }])
  })

  it.each([
    ['ratio', 0.1, 20],
    ['strength', 0.05, 0.9],
    ['shareOfOils', 0.01, 3],
    ['grams', 0.1, 1_000_000],
  ] as const)('water by %s from %f to %f, of a pot too', (held, low, high) => {
    const says = `This must be between ${low} and ${high}.`
    for (const value of [low * 0.99, high * 1.01]) {
      expect(faults({ water: { held, value } })).toEqual([{ path: 'water.value', says }])
      expect(faults({ parts: [part(), part({ name: 'dark', water: { held, value } })] })).toEqual([
        { path: 'parts[1].water.value', says },
      ])
    }
    expect(faults({ water: { held, value: high } }).map((one) => one.says)).not.toContain(says)
  })

  it('a ready-mixed lye from 10 to 55 %, only where there is one', () => {
    const at = (solutionStrength: number | null) =>
      paths({ alkali: { ...alkali, solutionStrength } })
    expect(at(null)).toEqual([])
    expect(at(0.55)).toEqual([])
    expect([at(0.09), at(0.56)]).toEqual([['alkali.solutionStrength'], ['alkali.solutionStrength']])
  })
})

describe('fats', () => {
  it('are there, whole, and say share or grams as the size wants it', () => {
    expect(paths({ fats: [] })).toEqual(['fats'])
    expect(faults({ fats: [fat({ share: 0.9 })] })[0]!.says).toContain('they sum to 0.9')
    expect(paths({ fats: [fat({ share: 0.9996 })] })).toEqual([])
    expect(paths({ fats: [fat({ share: 1.0006 })] })).toEqual(['fats[0].share', 'fats'])
    expect(paths({ fats: [fat({ grams: 500 })] })).toEqual(['fats[0].grams'])
    const lines = { by: 'lines' }
    expect(paths({ size: lines, fats: [fat({ grams: 500 })] })).toEqual(['fats[0].share'])
    expect(paths({ size: lines, fats: [fat({ share: undefined, grams: 0 })] })).toEqual(['fats'])
    // One without a number is told as that, not as nothing at all.
    expect(
      paths({
        size: lines,
        fats: [fat({ share: undefined, grams: 0 }), fat({ share: undefined, grams: null })],
      }),
    ).toEqual(['fats[1].grams'])
    expect(paths({ fats: [fat({ share: 0.5 }), fat({ share: null })] })).toEqual(['fats[1].share'])
  })

  it('nobody knows need a name and a saponification value', () => {
    expect(paths({ fats: [fat({ id: 'seal' })] })).toEqual(['fats[0].id'])
    expect(paths({ fats: [fat({ id: 'seal', sap: 190 })] })).toEqual(['fats[0].name'])
    expect(paths({ fats: [fat({ id: 'seal', sap: 190, name: 'Seal oil' })] })).toEqual([])
    for (const sap of [19, 401, 0.135])
      expect(paths({ fats: [fat({ sap })] })).toEqual(['fats[0].sap'])
    for (const sap of [20, 400]) expect(paths({ fats: [fat({ sap })] })).toEqual([])
  })

  it('that take no lye in the library need a value of their own', () => {
    const fats = new Map(library.fats)
    const olive = fats.get('olive')!
    fats.set('olive', { ...olive, sap: { ...olive.sap, typical: 0 } })
    const within = (sap?: number) =>
      faultsInFormula({ ...sound, fats: [fat({ sap })] }, { ...library, fats }).map(
        ({ path }) => path,
      )
    expect(within()).toEqual(['fats[0].sap'])
    expect(within(190)).toEqual([])
  })
})

describe('lye and water are no lines', () => {
  it('under any name, in any list', () => {
    expect(faults({ fats: [fat({ name: 'caustic soda' })] })).toEqual([
      { path: 'fats[0].name', says: expect.stringContaining('means lye') as string },
    ])
    expect(paths({ fats: [fat({ id: 'lye', sap: 190, name: 'Olive' })] })).toEqual(['fats[0].id'])
    expect(paths({ additives: [{ id: 'naoh', grams: 90, carrier: null }] })).toEqual([
      'additives[0].id',
      'additives[0].id',
    ])
    expect(faults({ scents: [{ id: 'x', name: 'water', grams: 5, moment: 'trace' }] })).toEqual([
      { path: 'scents[0].name', says: expect.stringContaining('means water') as string },
    ])
    expect(paths({ scents: [{ id: 'lye', grams: 5, moment: 'trace' }] })).toEqual(['scents[0].id'])
  })
})

describe('extras', () => {
  it('say how much in exactly one way', () => {
    expect(paths(extra({}))).toEqual(['additives[0]'])
    expect(paths(extra({ rate: 0.1, of: 'oils', grams: 5 }))).toEqual(['additives[0]'])
    expect(paths(extra({ rate: null }))).toEqual(['additives[0].rate'])
    expect(paths(extra({ grams: null }))).toEqual(['additives[0].grams'])
    expect(paths(extra({ rate: 0.1 }))).toEqual(['additives[0].of'])
    expect(paths(extra({ grams: 5, of: 'oils' }))).toEqual(['additives[0].of'])
    // A scent's rate is of the oils where it does not say.
    expect(paths({ scents: [{ id: 'rain', rate: 0.03, moment: 'trace' }] })).toEqual([])
  })

  it('are known, as is the oil they are stirred into', () => {
    const carried = (carrier: object, rate = 0.01) =>
      extra({ rate, of: 'oils', carrier: { ratio: 2, from: 'formula', ...carrier } })
    expect(paths({ additives: [{ id: 'moss', grams: 5, carrier: null }] })).toEqual([
      'additives[0].id',
    ])
    expect(paths(carried({ id: 'olive' }))).toEqual([])
    expect(paths(carried({ id: 'seal' }))).toEqual(['additives[0].carrier.id'])
    expect(paths(carried({ id: 'castor' }))).toEqual(['additives[0].carrier.id'])
    expect(paths(carried({ id: 'castor', from: 'extra' }))).toEqual([])
    expect(paths(carried({ id: 'olive', ratio: 20 }, 0.06))).toEqual(['additives'])
    expect(paths(carried({ id: 'olive', ratio: 20, from: 'extra' }, 0.06))).toEqual([])
  })

  it('a scent’s maximum is a share', () => {
    const at = (maxOfBar: number | null) =>
      paths({ scents: [{ id: 'rain', rate: 0.03, of: 'oils', maxOfBar, moment: 'trace' }] })
    expect([at(null), at(1), at(0.001)]).toEqual([[], [], []])
    expect([at(0), at(1.01)]).toEqual([['scents[0].maxOfBar'], ['scents[0].maxOfBar']])
  })
})

describe('liquids', () => {
  const milk = (changes: object) => ({ liquids: [{ id: 'goat-milk', moment: 'oils', ...changes }] })

  it('have a share or a weight, and leave room for the water', () => {
    expect(paths({ liquids: [{ id: 'sea', share: 0.1, moment: 'oils' }] })).toEqual([
      'liquids[0].id',
    ])
    expect(paths(milk({ share: 0.2, grams: 50 }))).toEqual(['liquids[0]'])
    expect(paths(milk({ grams: -1 }))).toEqual(['liquids[0].grams'])
    const two = (share: number) => ({
      liquids: [
        { id: 'goat-milk', share: 0.5, moment: 'oils' },
        { id: 'beer', share, moment: 'lye' },
      ],
    })
    expect(paths(two(0.5))).toEqual([])
    expect(paths(two(0.51))).toEqual(['liquids'])
  })

  it('held by weight they may not bring more water than is wanted, nor leave the lye too dry', () => {
    // 128.68 g of lye at 2.2 : 1 want 283 g of water; 300 g of milk bring 261.
    expect(faults(milk({ grams: 400 }))).toEqual([
      { path: 'liquids[0].grams', says: expect.stringContaining('bring more water') as string },
    ])
    expect(faults(milk({ grams: 200 }))).toEqual([
      { path: 'liquids[0].grams', says: expect.stringContaining('in the lye jug') as string },
    ])
    expect(paths(milk({ grams: 150 }))).toEqual([])
    // What is dissolved already needs no water to dissolve in.
    const alkali = { ...sound.alkali, solutionStrength: 0.5 }
    expect(paths({ ...milk({ grams: 170 }), alkali })).toEqual([])
  })

  it('ice is a share or a weight, and no more than there is water', () => {
    expect(paths({ iceGrams: 50 })).toEqual([])
    expect(paths({ iceGrams: 50, iceShare: 0.1 })).toEqual(['iceGrams'])
    expect(paths({ iceGrams: 500 })).toEqual(['iceGrams'])
    expect(paths({ iceGrams: -1 })).toEqual(['iceGrams'])
  })
})

describe('pots', () => {
  it('are whole, and each is checked by its own place', () => {
    expect(paths({ parts: [part(), part({ name: 'dark' })] })).toEqual([])
    expect(paths({ parts: [part(), part({ name: 'dark', share: 0.4 })] })).toEqual(['parts'])
    expect(paths({ parts: [part(), part({ share: 0.0005 })] })).toEqual(['parts[1].share', 'parts'])
    expect(
      paths({ parts: [part(), part({ additives: [{ id: 'moss', grams: 5, carrier: null }] })] }),
    ).toEqual(['parts[1].additives[0].id'])
  })

  it('a ready-mixed lye may bring more water than one of them wants', () => {
    const alkali = { ...sound.alkali, solutionStrength: 0.4 }
    expect(
      paths({
        alkali,
        water: { held: 'ratio', value: 2 },
        parts: [part(), part({ name: 'dark', water: { held: 'ratio', value: 1.2 } })],
      }),
    ).toEqual(['parts[1].water.value'])
    // Where the water of all is too little it is told once, for all.
    expect(
      paths({ alkali, water: { held: 'ratio', value: 1.2 }, parts: [part(), part()] }),
    ).toEqual(['water.value'])
  })
})

it('what is given in grams may be more than the size', () => {
  expect(paths({ size: { by: 'batter', grams: 100 }, ...extra({ grams: 200 }) })).toEqual(['size'])
  expect(paths({ size: { by: 'moulds', moulds: [] } })).toEqual(['size.moulds'])
})
