import type { FormulaDocument, Size } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { anyFormula } from '../../tests/support/anyFormula'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { faultsInFormula } from './faults'
import { freeze } from '../batch/freeze'
import { frozenLibrary } from './frozen'
import { makingOrder } from './makingOrder'
import { onScale, secondOpinion } from './onScale'
import { remarksOn } from '../remarks'
import { mouldMillilitres } from '../mould/capacity'
import { fillings, fillMillilitres } from '../mould/fillings'
import { driedGrams } from './size'
import { batterMillilitres } from './volume'
import { sumOf } from '../statistics/sum'
import { runs } from '../../tests/support/runs'

const olive = (changes: Partial<FormulaDocument>): FormulaDocument => ({
  ...blankFormula('Whole'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
  water: { held: 'ratio', value: 2 },
  ...changes,
})
const compute = (changes: Partial<FormulaDocument>) => computeFormula(olive(changes), library)
/** g NaOH per g olive oil at 5 %: 0.190 · 39.997/56.1056 · 0.95 */
const lye = 0.19 * (39.997 / 56.1056) * 0.95
const extra = (line: Partial<FormulaDocument['additives'][number]> & { id: string }) => ({
  carrier: null,
  ...line,
})

describe('sizes solved back, by hand', () => {
  it.each<[string, Size, number]>([
    ['batter', { by: 'batter', grams: 1386.0285 }, 1386.0285 / (1 + 3 * lye)],
    [
      'bars of 100 g when dry: solids are 0.9 of that',
      { by: 'bars', count: 10, grams: 100 },
      900 / (1 + lye),
    ],
    [
      'fatty matter, 65 % of 900 g',
      { by: 'fattyMatter', batterGrams: 900, share: 0.65, of: 'fattyAcids' },
      585 / (1 - 38.048 / ((3 * 56105.6) / 190)),
    ],
    [
      'a box of 1440 ml, 95 % full',
      { by: 'mould', mould: { shape: 'box', lengthMm: 300, widthMm: 80, depthMm: 60 }, fill: 0.95 },
      // strength 1/3: 1.328 + (1/3 − 0.30)/0.10 · 0.102 = 1.362 g/ml
      1368 / (1 / 0.902 + (3 * lye) / 1.362),
    ],
    [
      'eight cavities of 120 ml',
      { by: 'mould', mould: { shape: 'cavities', count: 8, millilitres: 120 }, fill: 1 },
      960 / (1 / 0.902 + (3 * lye) / 1.362),
    ],
  ])('%s', (_, size, oils) => {
    expect(compute({ size }).oils).toBeCloseTo(oils, 3)
  })

  it('a cylinder by its radius', () => {
    expect(mouldMillilitres({ shape: 'cylinder', diameterMm: 80, depthMm: 200 })).toBeCloseTo(
      Math.PI * 16 * 20,
      6,
    )
  })
})

describe('extras, by hand', () => {
  it('a rate of the batter includes itself', () => {
    const { scents, batter } = compute({
      scents: [{ id: 'fir', rate: 0.03, of: 'batter', moment: 'trace' }],
    })
    expect(batter).toBeCloseTo((1000 * (1 + 3 * lye)) / 0.97, 6)
    expect(scents[0]!.grams / batter).toBeCloseTo(0.03, 9)
  })

  it('spoons go by the density of what is spooned, and are estimates', () => {
    const { additives } = compute({
      additives: [
        extra({ id: 'rose-clay', amount: { value: 2, unit: 'tsp', per: null } }),
        extra({ id: 'mica-gold', amount: { value: 1, unit: 'tsp', per: 'kg' } }),
      ],
      size: { by: 'oils', grams: 2000 },
    })
    expect(additives[0]).toMatchObject({
      grams: expect.closeTo(2 * 4.92892 * 0.65, 6),
      estimated: true,
    })
    expect(additives[1]!.grams).toBeCloseTo(2 * 4.92892 * 0.35, 6)
  })

  it('drops of a citrus oil are lighter', () => {
    const scent = (name: string) => ({
      id: 's',
      name,
      amount: { value: 20, unit: 'drop' as const, per: null },
      moment: 'trace' as const,
    })
    expect(compute({ scents: [scent('Sweet orange')] }).scents[0]!.grams).toBeCloseTo(0.85, 9)
    expect(compute({ scents: [scent('Fir')] }).scents[0]!.grams).toBeCloseTo(0.95, 9)
  })

  it('oil that carried a pigment raises the superfat, unless taken from the formula', () => {
    const pigment = (from: 'extra' | 'formula') =>
      extra({
        id: 'titanium-dioxide',
        rate: 0.005,
        of: 'oils',
        carrier: { id: 'olive', ratio: 3, from },
      })
    const on = compute({ additives: [pigment('extra')] })
    expect(on.carriers).toEqual([{ id: 'olive', name: 'Olive oil', grams: 15, from: 'extra' }])
    expect(on.superfat.total).toBeCloseTo(1 - 0.95 / 1.015, 9)
    expect(on.batter).toBeCloseTo(1000 * (1 + 3 * lye) + 20, 6)
    const from = compute({ additives: [pigment('formula')] })
    expect(from.superfat.total).toBeCloseTo(0.05, 9)
    expect(from.batter).toBeCloseTo(1000 * (1 + 3 * lye) + 5, 6)
    const lines = makingOrder(from, library).flatMap((group) => group.lines)
    const oil = lines.filter(({ id }) => id.startsWith('olive')).map(({ grams }) => grams)
    expect(oil.sort((a, b) => a - b)).toEqual([15, 985])
  })

  it('ice is part of the water', () => {
    const { water } = compute({ iceShare: 0.5 })
    expect(water.weighed).toBeCloseTo(2000 * lye, 6)
    expect(water.ice).toBeCloseTo(1000 * lye, 6)
  })
})

describe('parts', () => {
  const tidePool = olive({
    scents: [{ id: 'fir', rate: 0.03, of: 'oils', moment: 'trace' }],
    parts: [
      {
        name: 'pale',
        share: 0.34,
        water: { held: 'ratio', value: 1.3 },
        scent: true,
        additives: [],
      },
      {
        name: 'mid',
        share: 0.33,
        water: { held: 'ratio', value: 1.9 },
        scent: true,
        additives: [],
      },
      {
        name: 'dark',
        share: 0.33,
        water: { held: 'ratio', value: 2.6 },
        scent: false,
        additives: [extra({ id: 'activated-charcoal', rate: 0.01, of: 'oils' })],
      },
    ],
  })

  it('have each their own water; lye is that of the whole', () => {
    const { parts, lye: alkali, water, scents, additives } = computeFormula(tidePool, library)
    expect(alkali.naoh).toBeCloseTo(1000 * lye, 6)
    expect(parts.map((part) => part.result.lye.naoh)).toEqual(
      [340, 330, 330].map((oils) => expect.closeTo(oils * lye, 6)),
    )
    const wanted = 1000 * lye * (0.34 * 1.3 + 0.33 * 1.9 + 0.33 * 2.6)
    expect(water.weighed).toBeCloseTo(wanted, 6)
    expect(water.ratio).toBeCloseTo(0.34 * 1.3 + 0.33 * 1.9 + 0.33 * 2.6, 9)
    expect(scents[0]!.grams).toBeCloseTo(0.03 * 670, 6)
    expect(additives[0]!.grams).toBeCloseTo(3.3, 6)
  })

  it('on the scale: three pot tables whose sums are the batch', () => {
    const { result, secondOpinion: second } = onScale(tidePool, library, 0.1)
    expect(second.agrees).toBe(true)
    const sum = (pick: (pot: FormulaResult) => number) =>
      sumOf(result.parts, (part) => pick(part.result))
    expect(sum((pot) => pot.lye.naoh)).toBeCloseTo(result.lye.naoh, 9)
    expect(sum((pot) => pot.water.weighed)).toBeCloseTo(result.water.weighed, 9)
    expect(sum((pot) => pot.oils)).toBeCloseTo(result.oils, 9)
    expect(sum((pot) => pot.scents[0]?.grams ?? 0)).toBeCloseTo(result.scents[0]!.grams, 9)
    expect(sum((pot) => pot.batter)).toBeCloseTo(result.batter, 9)
  })

  it('fill a loaf by mould like one pot', () => {
    const mould = { shape: 'box' as const, lengthMm: 250, widthMm: 80, depthMm: 65 }
    const result = computeFormula({ ...tidePool, size: { by: 'mould', mould, fill: 1 } }, library)
    expect(batterMillilitres(result, library)).toBeCloseTo(1300, 6)
  })
})

describe('for any formula over all features', { timeout: 120_000 }, () => {
  const close = (a: number, b: number, tolerance = 1e-9) =>
    Math.abs(a - b) <= tolerance * Math.max(1, Math.abs(a), Math.abs(b))
  const weights = (result: FormulaResult) =>
    [
      ...result.fats,
      ...result.liquids,
      ...result.additives,
      ...result.scents,
      ...result.carriers.filter(({ from }) => from === 'extra'),
    ].reduce(
      (sum, { grams }) => sum + grams,
      result.lye.naoh + result.lye.koh + (result.lye.solution ?? 0) + result.water.weighed,
    )

  it('weights sum to the batter, parts to the whole, and the inverse finds the same superfat', () => {
    fc.assert(
      fc.property(anyFormula, (document) => {
        fc.pre(faultsInFormula(document, library).length === 0)
        const result = computeFormula(document, library)
        const parts = sumOf(result.parts, (part) => part.result.batter)
        return (
          close(weights(result), result.batter) &&
          (result.parts.length === 0 || close(parts, result.batter)) &&
          secondOpinion(document, result, library, result.superfat.total).agrees
        )
      }),
      runs(400),
    )
  })

  it('the size lands on its target', () => {
    fc.assert(
      fc.property(anyFormula, (document) => {
        fc.pre(faultsInFormula(document, library).length === 0)
        const result = computeFormula(document, library)
        const { size } = document
        if (size.by === 'oils') return close(result.oils, size.grams!)
        if (size.by === 'batter') return close(result.batter, size.grams!)
        if (size.by === 'bars') return close(driedGrams(result), size.count! * size.grams!)
        if (size.by === 'fattyMatter')
          return close(
            size.of === 'oils' ? result.oils : result.fattyMatter,
            size.batterGrams! * size.share!,
          )
        const poured = fillings(size, result)
        const over = poured.some(({ millilitres, capacity }) => millilitres > capacity * (1 + 1e-9))
        return !over && close(batterMillilitres(result, library), fillMillilitres(size), 1e-4)
      }),
      runs(300),
    )
  })

  it('a frozen formula has every material it needs: it computes the same without the library', () => {
    fc.assert(
      fc.property(anyFormula, (document) => {
        const frozen = freeze(document, library)
        const again = computeFormula(document, frozenLibrary(frozen))
        return JSON.stringify(again) === JSON.stringify(frozen.result)
      }),
      runs(60),
    )
  })

  it('remarks and sheet never throw; water is above the floor or a remark says so; both opinions agree', () => {
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 0.5, max: 3, noNaN: true }), (document, value) => {
        const tight = { ...document, water: { held: 'ratio' as const, value } }
        const result = computeFormula(tight, library)
        const remarks = remarksOn(tight, result, library)
        const floor = result.water.ratioInLye >= 1 - 1e-9
        const stopped = remarks.some(({ severity }) => severity === 'stop')
        const { agrees } = onScale(document, library, 0.1).secondOpinion
        return (floor || stopped) && agrees
      }),
      runs(300),
    )
  })
})
