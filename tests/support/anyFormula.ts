import type { AdditiveLine, FormulaDocument, ScentLine, Size } from '#contracts/formula'
import fc from 'fast-check'
import { library } from '#core/materials/library'
import { patterns } from '#contracts/words'
import { blankFormula } from '#core/formula/blank'
import { sumOf } from '#core/statistics/sum'

/* Random valid formulas over every feature of the document, for property tests. */

const fatIds = [...library.fats.keys()]
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

const measure = fc.oneof(
  between(0.001, 0.03).map((rate) => ({ rate, of: 'oils' as const })),
  between(0.001, 0.03).map((rate) => ({ rate, of: 'batter' as const })),
  between(0.1, 20).map((grams) => ({ grams })),
  between(0.2, 3).map((value) => ({ amount: { value, unit: 'tsp' as const, per: null } })),
  between(0.2, 2).map((value) => ({ amount: { value, unit: 'tsp' as const, per: 'kg' as const } })),
)
const carrier = fc.oneof(
  fc.constant(null),
  between(1, 3).map((ratio) => ({ id: 'sunflower', ratio, from: 'extra' as const })),
)
const additive: fc.Arbitrary<AdditiveLine> = fc
  .record({
    id: fc.constantFrom(
      'citric-acid-monohydrate',
      'lactic-acid',
      'rose-clay',
      'sugar',
      'titanium-dioxide',
    ),
    measure,
    carrier,
  })
  .map((draw) => ({ id: draw.id, ...draw.measure, carrier: draw.carrier }))
const scent: fc.Arbitrary<ScentLine> = fc
  .record({ measure, moment: fc.constantFrom('oils' as const, 'trace' as const) })
  .map((draw) => ({ id: 'rain', name: 'Rain', ...draw.measure, moment: draw.moment }))
const size: fc.Arbitrary<Size> = fc.oneof(
  between(400, 9000).map((grams) => ({ by: 'oils' as const, grams })),
  between(800, 9000).map((grams) => ({ by: 'batter' as const, grams })),
  fc.record({
    by: fc.constant('bars' as const),
    count: fc.integer({ min: 6, max: 60 }),
    grams: between(90, 200),
  }),
  fc.record({
    by: fc.constant('fattyMatter' as const),
    batterGrams: between(900, 5000),
    share: between(0.5, 0.7),
    of: fc.constantFrom('fattyAcids' as const, 'oils' as const),
  }),
  fc
    .record({
      lengthMm: between(200, 500),
      widthMm: between(70, 120),
      depthMm: between(60, 100),
      fill: between(0.7, 1),
    })
    .map(({ fill, ...sides }) => ({
      by: 'mould' as const,
      mould: { shape: 'box' as const, ...sides },
      fill,
    })),
  fc
    .record({ count: fc.integer({ min: 8, max: 40 }), millilitres: between(90, 150) })
    .map((tray) => ({
      by: 'mould' as const,
      mould: { shape: 'cavities' as const, ...tray },
      fill: 1,
    })),
  fc
    .array(
      fc.record({
        millilitres: between(300, 2000),
        count: fc.integer({ min: 1, max: 12 }),
        fill: between(0.5, 1),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map((moulds) => ({
      by: 'moulds' as const,
      moulds: moulds.map(({ fill, ...tray }, index) => ({
        name: `Mould ${index + 1}`,
        mould: { shape: 'cavities' as const, ...tray },
        fill,
      })),
    })),
)

const liquid = fc.constantFrom(
  { moment: 'oils' as const, way: 'poured' as const },
  { moment: 'lye' as const, way: 'frozen' as const },
  { moment: 'lye' as const, way: 'into-cooled-lye' as const },
  { moment: 'trace' as const, way: 'poured' as const },
)

/** Valid formulas: every feature, water wide enough for any ready-mixed lye that is drawn. */
export const anyFormula: fc.Arbitrary<FormulaDocument> = fc
  .record({
    fats: fc.array(
      fc.record({
        id: fc.constantFrom(...fatIds),
        part: between(0.05, 1),
        moment: fc.constantFrom('pot' as const, 'trace' as const),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    size,
    superfat: between(0, 0.3),
    naohPurity: between(0.8, 1),
    kohShare: fc.oneof(fc.constant(0), between(0, 1)),
    solutionStrength: fc.oneof(fc.constant(null), between(0.35, 0.5)),
    ratio: between(2.7, 4),
    milk: fc.oneof(fc.constant(0), between(0.05, 0.25)),
    milkWay: liquid,
    pattern: fc.constantFrom(...patterns),
    lyeC: between(10, 70),
    ice: between(0, 0.6),
    additives: fc.array(additive, { maxLength: 4 }),
    scents: fc.array(scent, { maxLength: 2 }),
    parts: fc.array(
      fc.record({
        cut: between(0.2, 1),
        ratio: between(2.7, 4),
        scent: fc.boolean(),
        own: fc.boolean(),
        extra: additive,
      }),
      { maxLength: 4 },
    ),
  })
  .map((draw) => {
    const whole = sumOf(draw.fats, (fat) => fat.part)
    const cuts = sumOf(draw.parts, (part) => part.cut)
    return {
      ...blankFormula('Drawn'),
      size: draw.size,
      fats: draw.fats.map(({ id, part, moment }) => ({
        id,
        share: part / whole,
        moment,
        inLye: true,
      })),
      superfat: draw.superfat,
      alkali: {
        naohPurity: draw.naohPurity,
        kohShare: draw.kohShare,
        kohPurity: 0.9,
        solutionStrength: draw.solutionStrength,
      },
      water: { held: 'ratio' as const, value: draw.ratio },
      iceShare: draw.ice,
      liquids: draw.milk ? [{ id: 'goat-milk', share: draw.milk, ...draw.milkWay }] : [],
      method: { ...blankFormula('').method, patterns: [draw.pattern], lyeC: draw.lyeC },
      additives: draw.additives,
      scents: draw.scents,
      parts: draw.parts.map((part, index) => ({
        name: `part ${index + 1}`,
        share: part.cut / cuts,
        water: part.own ? { held: 'ratio' as const, value: part.ratio } : undefined,
        scent: part.scent,
        additives: [part.extra],
      })),
    }
  })
