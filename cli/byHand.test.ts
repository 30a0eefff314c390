import { describe, expect, it } from 'vitest'
import { computeFormulaText } from './answers'

/*
 * Formulas across every feature, as the command line answers them, each against a calculation written out from the saponification
 * values, molar masses and densities of docs/science.md. No figure of the core is used here.
 */

/** g NaOH for the alkali of 1 g KOH. */
const F = 39.997 / 56.1056
/** g NaOH that a kilogram of olive oil (190) takes at 5 % superfat: 128.6759. */
const olive5 = 190 * F * 0.95
const tsp = 4.92892

type Json = Record<string, unknown>
interface Case {
  document: Json
  /** Figures by their path in the answer, to six decimals or a relative 1e-9. */
  figures: Record<string, number>
  /** Remarks that must be there. */
  remarks?: string[]
}
const share = (id: string, part: number, more: Json = {}) => ({ id, share: part, ...more })
const olive = (changes: Json): Json => ({ fats: [share('olive', 1)], ...changes })
const kilo = { by: 'oils', grams: 1000 }
const a: Json = {
  fats: [share('olive', 0.45), share('coconut', 0.25), share('shea', 0.2), share('castor', 0.1)],
  superfat: 0.06,
}
/** Full demand of A as KOH: 85.5 + 64.25 + 36 + 18 = 203.75 g. */
const demandA = 203.75 * F
const extra = (id: string, how: Json, more: Json = {}) => ({ id, ...how, ...more })
const ofOils = (rate: number) => ({ rate, of: 'oils' })
/** Density of soda lye of one part in three (r = 2): between 1.328 at 0.30 and 1.430 at 0.40. */
const density33 = 1.328 + ((1 / 3 - 0.3) / 0.1) * 0.102
/** ml of a batter of olive oil at r = 2 for each gram of oil. */
const volumeOfOlive = 1 / 0.902 + ((olive5 / 1000) * 3) / density33
const r2 = { water: { held: 'ratio', value: 2 } }

const cases: Record<string, Case> = {
  'one oil': {
    document: olive({}),
    figures: {
      'grams.naoh': olive5,
      'grams.water': 2.2 * olive5,
      'grams.batter': 1000 + 3.2 * olive5,
    },
  },
  'four fats (A)': {
    document: a,
    figures: {
      'grams.naoh': demandA * 0.94,
      'water.strength': 1 / 3.2,
      'water.shareOfOils': (2.2 * demandA * 0.94) / 1000,
      'superfat.total': 0.06,
    },
  },
  'acid in the water, lye not pure (B)': {
    document: {
      size: { by: 'lines' },
      fats: [
        { id: 'tallow', grams: 1200 },
        { id: 'coconut', grams: 600 },
        { id: 'rapeseed', grams: 600 },
      ],
      superfat: 0.03,
      alkali: { naohPurity: 0.98 },
      additives: [extra('citric-acid-anhydrous', ofOils(0.015))],
    },
    figures: {
      // 237.6 + 154.2 + 112.8 = 504.6 g KOH; 36 g citric acid take 3 · 39.997/192.124 each
      'grams.naoh': (504.6 * F * 0.97 + (36 * 3 * 39.997) / 192.123) / 0.98,
      'grams.additives.citric-acid-anhydrous': 36,
      'superfat.total': 0.03,
    },
  },
  'ready-mixed lye, 50 %': {
    document: { ...a, alkali: { solutionStrength: 0.5 } },
    figures: {
      'grams.naoh': 0,
      'grams.solution': 2 * 0.94 * demandA,
      'grams.water': 1.2 * 0.94 * demandA,
      'water.ratio': 2.2,
    },
  },
  'ready-mixed lye of 98 % flakes, 49.5 %': {
    document: olive({ alkali: { solutionStrength: 0.495, naohPurity: 0.98 } }),
    figures: {
      'grams.solution': olive5 / 0.495,
      'grams.water': 2.2 * olive5 - (olive5 / 0.495 - olive5),
    },
  },
  'a tenth of the alkali potash (E)': {
    document: { ...a, alkali: { kohShare: 0.1, kohPurity: 0.9 } },
    figures: {
      'grams.naoh': 0.9 * 0.94 * demandA,
      'grams.koh': (0.1 * 0.94 * 203.75) / 0.9,
      'grams.water': 2.2 * (0.9 * 0.94 * demandA + 0.1 * 0.94 * 203.75),
    },
  },
  'potash alone': {
    document: olive({ alkali: { kohShare: 1, kohPurity: 0.9 } }),
    figures: { 'grams.naoh': 0, 'grams.koh': 180.5 / 0.9, 'grams.water': 2.2 * 180.5 },
  },
  'water as lye strength': {
    document: olive({ water: { held: 'strength', value: 0.4 } }),
    figures: { 'grams.water': 1.5 * olive5, 'water.ratio': 1.5 },
  },
  'water as a share of the oils': {
    document: olive({ water: { held: 'shareOfOils', value: 0.3 } }),
    figures: { 'grams.water': 300, 'water.ratio': 300 / olive5 },
  },
  'by the weight of each fat': {
    document: {
      size: { by: 'lines' },
      fats: [
        { id: 'olive', grams: 420 },
        { id: 'coconut', grams: 180 },
      ],
      superfat: 0,
    },
    figures: { 'grams.oils': 600, 'grams.naoh': (79.8 + 46.26) * F },
  },
  'by the batter': {
    document: olive({ size: { by: 'batter', grams: 1500 } }),
    figures: { 'grams.batter': 1500, 'grams.oils': 1500 / (1 + (3.2 * olive5) / 1000) },
  },
  'by bars when dry': {
    // solids (oils and lye) are nine tenths of a long-dried bar
    document: olive({ size: { by: 'bars', count: 12, grams: 100 } }),
    figures: { 'grams.oils': 1080 / (1 + olive5 / 1000) },
  },
  'by fatty matter, 65 % of 900 g': {
    document: olive({ size: { by: 'fattyMatter', batterGrams: 900, share: 0.65 } }),
    figures: { 'grams.oils': 585 / (1 - 38.048 / ((3 * 56105.6) / 190)) },
  },
  'by a box of 300 × 80 × 60 mm, nine tenths full': {
    document: olive({
      ...r2,
      size: {
        by: 'mould',
        mould: { shape: 'box', lengthMm: 300, widthMm: 80, depthMm: 60 },
        fill: 0.9,
      },
    }),
    figures: { 'grams.oils': 1296 / volumeOfOlive },
  },
  'by a tube of 80 mm, 200 deep': {
    document: olive({
      ...r2,
      size: { by: 'mould', mould: { shape: 'cylinder', diameterMm: 80, depthMm: 200 } },
    }),
    figures: { 'grams.oils': (Math.PI * 16 * 20) / volumeOfOlive },
  },
  'by eight cavities of 120 ml': {
    document: olive({
      ...r2,
      size: { by: 'mould', mould: { shape: 'cavities', count: 8, millilitres: 120 } },
    }),
    figures: { 'grams.oils': 960 / volumeOfOlive },
  },
  'by a tray of eight and a loaf together': {
    document: olive({
      ...r2,
      size: {
        by: 'moulds',
        moulds: [
          { name: 'Tray', mould: { shape: 'cavities', count: 8, millilitres: 107 } },
          {
            name: 'Loaf',
            mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 67 },
            fill: 0.97,
          },
        ],
      },
    }),
    figures: {
      'grams.oils': (856 + 1340 * 0.97) / volumeOfOlive,
      'moulds[0].grams': 856 * ((1 + (3 * olive5) / 1000) / volumeOfOlive),
      'moulds[1].grams': 1299.8 * ((1 + (3 * olive5) / 1000) / volumeOfOlive),
      'moulds[1].millilitres': 1299.8,
    },
  },
  'a butter held back and left out of the lye': {
    document: {
      fats: [share('olive', 0.9), share('shea', 0.1, { moment: 'trace', inLye: false })],
      superfat: 0.05,
    },
    figures: {
      'grams.naoh': 171 * F * 0.95,
      'superfat.asked': 0.05,
      'superfat.total': 1 - (171 * 0.95) / (171 + 18),
    },
  },
  'a butter held back and counted in': {
    document: {
      fats: [share('olive', 0.9), share('shea', 0.1, { moment: 'trace' })],
      superfat: 0.05,
    },
    figures: { 'grams.naoh': 189 * F * 0.95, 'superfat.total': 0.05 },
  },
  'a fat with a value of its own': {
    document: {
      fats: [
        share('olive', 0.5, { sap: 187 }),
        share('cod-liver', 0.5, { name: 'Liver oil', sap: 185 }),
      ],
      superfat: 0,
    },
    figures: { 'grams.naoh': 186 * F },
  },
  'half of the water as ice': {
    document: olive({ iceShare: 0.5 }),
    figures: { 'grams.water': 2.2 * olive5, 'grams.batter': 1000 + 3.2 * olive5 },
  },
  'goat milk into the oils (D)': {
    document: { ...a, liquids: [share('goat-milk', 0.4)] },
    figures: {
      // water content 300.379 = liquid · (0.6 + 0.4 · 0.87)
      'grams.liquids.goat-milk': (0.4 * 2.2 * 0.94 * demandA) / 0.948,
      'grams.water': (0.6 * 2.2 * 0.94 * demandA) / 0.948,
      'superfat.total':
        1 - (203.75 * 0.94) / (203.75 + (0.04 * 0.233 * 0.4 * 2.2 * 0.94 * demandA) / 0.948),
    },
  },
  'frozen milk as the whole liquid': {
    document: olive({ liquids: [share('goat-milk', 1, { moment: 'lye', way: 'frozen' })] }),
    figures: {
      'grams.liquids.goat-milk': (2.2 * olive5) / 0.87,
      'grams.water': 0,
      'superfat.total': 1 - 180.5 / (190 + (0.04 * 0.233 * 2.2 * olive5) / 0.87),
    },
  },
  'half-frozen milk into lye made with half the water': {
    document: olive({
      liquids: [share('cow-milk', 0.5, { moment: 'lye', way: 'into-cooled-lye' })],
    }),
    figures: {
      'grams.liquids.cow-milk': (0.5 * 2.2 * olive5) / 0.9375,
      'grams.water': (0.5 * 2.2 * olive5) / 0.9375,
    },
  },
  'so much milk later that the lye does not dissolve': {
    document: olive({
      ...r2,
      liquids: [share('cow-milk', 0.6, { moment: 'lye', way: 'into-cooled-lye' })],
    }),
    figures: { 'grams.water': (0.4 * 2 * olive5) / 0.925 },
    remarks: ['lye-jug-below-floor'],
  },
  'coconut milk, a fifth fat': {
    document: olive({ liquids: [share('coconut-milk', 0.3)] }),
    figures: {
      'grams.liquids.coconut-milk': (0.3 * 2.2 * olive5) / 0.91,
      'superfat.total': 1 - 180.5 / (190 + (0.2 * 0.257 * 0.3 * 2.2 * olive5) / 0.91),
    },
  },
  'lactic and ascorbic acid': {
    document: olive({
      additives: [extra('lactic-acid', ofOils(0.01)), extra('ascorbic-acid', { grams: 5 })],
    }),
    figures: {
      'grams.naoh': olive5 + (10 * 39.997) / 90.078 + (5 * 39.997) / 176.124,
      'superfat.total': 0.05,
    },
  },
  'the other crystal of citric acid': {
    document: olive({ additives: [extra('citric-acid-monohydrate', ofOils(0.02))] }),
    figures: { 'grams.naoh': olive5 + (20 * 3 * 39.997) / 210.138 },
  },
  'two teaspoons of clay': {
    document: olive({ additives: [extra('rose-clay', { amount: { value: 2, unit: 'tsp' } })] }),
    figures: { 'grams.additives.rose-clay': 2 * tsp * 0.65 },
  },
  'a teaspoon of clay for each kilogram of 2.4': {
    document: olive({
      size: { by: 'oils', grams: 2400 },
      additives: [extra('kaolin', { amount: { value: 1, unit: 'tsp/kg-oils' } })],
    }),
    figures: { 'grams.additives.kaolin': 2.4 * tsp * 0.55 },
  },
  'drops and millilitres of scent': {
    document: olive({
      scents: [
        { id: 'salt-marsh', name: 'Salt marsh', amount: { value: 100, unit: 'drop' } },
        { id: 'orange', name: 'Sweet orange', amount: { value: 20, unit: 'ml' } },
      ],
    }),
    figures: { 'grams.scents.salt-marsh': 100 * 0.05 * 0.95, 'grams.scents.orange': 20 * 0.85 },
  },
  'scent as a share of the batter, itself included': {
    document: olive({ scents: [{ id: 'salt-marsh', rate: 0.03, of: 'batter' }] }),
    figures: {
      'grams.batter': (1000 + 3.2 * olive5) / 0.97,
      'grams.scents.salt-marsh': (0.03 * (1000 + 3.2 * olive5)) / 0.97,
    },
  },
  'a blend of scents beyond what both suppliers allow': {
    document: olive({
      scents: [
        { id: 'bay', rate: 0.02, of: 'oils', maxOfBar: 0.02 },
        { id: 'orange', rate: 0.015, of: 'oils', maxOfBar: 0.03 },
      ],
    }),
    figures: { 'grams.scents.bay': 20, 'grams.scents.orange': 15 },
    remarks: ['scent-above-maximum'],
  },
  'colour in extra oil, which raises the superfat': {
    document: olive({
      additives: [
        extra(
          'activated-charcoal',
          { grams: 10 },
          { carrier: { id: 'olive', ratio: 3, from: 'extra' } },
        ),
      ],
    }),
    figures: {
      'grams.carriers.olive': 30,
      'grams.batter': 1000 + 3.2 * olive5 + 40,
      'superfat.total': 1 - 180.5 / (190 + 0.19 * 30),
    },
  },
  'colour in oil of the formula, which does not': {
    document: olive({
      additives: [
        extra(
          'activated-charcoal',
          { grams: 10 },
          { carrier: { id: 'olive', ratio: 3, from: 'formula' } },
        ),
      ],
    }),
    figures: {
      'grams.carriers.olive': 30,
      'grams.batter': 1000 + 3.2 * olive5 + 10,
      'superfat.total': 0.05,
    },
  },
  'three pots, each with its own water': {
    document: olive({
      parts: [
        { name: 'pale', share: 0.34, water: { held: 'ratio', value: 1.3 } },
        { name: 'mid', share: 0.33, water: { held: 'ratio', value: 1.9 } },
        { name: 'dark', share: 0.33, water: { held: 'ratio', value: 2.6 } },
      ],
    }),
    figures: {
      'parts[0].grams.naoh': 0.34 * olive5,
      'parts[0].grams.water': 1.3 * 0.34 * olive5,
      'parts[2].grams.water': 2.6 * 0.33 * olive5,
      'grams.naoh': olive5,
      'grams.water': (1.3 * 0.34 + 1.9 * 0.33 + 2.6 * 0.33) * olive5,
    },
  },
  'two pots, one unscented with a colour of its own': {
    document: olive({
      scents: [{ id: 'bay', rate: 0.03, of: 'oils' }],
      parts: [
        { name: 'deck', share: 0.6 },
        {
          name: 'smoke',
          share: 0.4,
          scent: false,
          additives: [extra('activated-charcoal', ofOils(0.01))],
        },
      ],
    }),
    figures: {
      'parts[0].grams.scents.bay': 0.03 * 600,
      'grams.scents.bay': 18,
      'parts[1].grams.additives.activated-charcoal': 4,
      'grams.batter': 1000 + 3.2 * olive5 + 18 + 4,
    },
  },
  'too little superfat': {
    document: olive({ superfat: -0.02 }),
    figures: { 'grams.naoh': 190 * F * 1.02 },
    remarks: ['superfat-negative'],
  },
}

const run = (document: Json): Json => ({
  ...computeFormulaText({
    format: 'mantle.formula',
    version: 1,
    name: 'By hand',
    size: kilo,
    ...document,
  }),
})
const at = (answer: unknown, path: string): unknown =>
  path
    .replace(/\[(\d+)\]/g, '.$1')
    .split('.')
    .reduce<unknown>((place, key) => (place as Json | undefined)?.[key], answer)

describe('by hand, as the command line answers', () => {
  it.each(Object.entries(cases))('%s', (_, { document, figures, remarks = [] }) => {
    const answer = run(document)
    expect(answer).not.toHaveProperty('errors')
    for (const [path, value] of Object.entries(figures)) {
      const found = at(answer, path)
      expect(found, path).toBeTypeOf('number')
      expect(Math.abs((found as number) - value), path).toBeLessThan(1e-6 + 2e-6 * Math.abs(value))
    }
    const ids = (answer.remarks as { id: string }[]).map(({ id }) => id)
    expect(ids).toEqual(expect.arrayContaining(remarks))
  })
})
