import type { FormulaDocument, Use } from '#contracts/formula'
import type { WayOfLiquid } from '#contracts/words'
import { blankFormula } from '#core/formula/blank'
import { milkWay } from '#core/water/milk'
import { demoScentId } from './scents'

type Scent = [name: string, rate: number, maxOfBar: number | null]

interface DemoFormula {
  name: string
  use?: Use
  oils: number
  shares: Record<string, number>
  superfat?: number
  water?: FormulaDocument['water']
  scents?: Scent[]
  extras?: Record<string, number>
  milk?: [id: string, share: number, way?: WayOfLiquid]
  /** Liquids held by weight, g, in the lye. */
  held?: Record<string, number>
  iceGrams?: number
  purity?: number
  size?: FormulaDocument['size']
  parts?: FormulaDocument['parts']
  method?: Partial<FormulaDocument['method']>
  notes?: string
  /** Days before the demo was loaded that it was last changed. */
  changed: number
}

const idOf = (name: string) =>
  name
    .toLowerCase()
    .replace(/&/g, 'and')
    .replace(/[^a-z]+/g, '-')

function documentOf(told: DemoFormula): FormulaDocument {
  const blank = blankFormula(told.name)
  return {
    ...blank,
    use: told.use ?? 'body',
    notes: told.notes ?? '',
    size: told.size ?? { by: 'oils', grams: told.oils },
    parts: told.parts ?? [],
    method: { ...blank.method, ...told.method },
    superfat: told.superfat ?? 0.05,
    alkali: { ...blank.alkali, naohPurity: told.purity ?? 0.985 },
    water: told.water ?? { held: 'ratio', value: 2.2 },
    fats: Object.entries(told.shares).map(([id, share]) => ({
      id,
      share,
      moment: 'pot',
      inLye: true,
    })),
    liquids: told.milk
      ? [
          {
            id: told.milk[0],
            share: told.milk[1],
            moment: milkWay(told.milk[2] ?? 'poured').moment,
            way: told.milk[2] ?? 'poured',
          },
        ]
      : Object.entries(told.held ?? {}).map(([id, grams]) => ({
          id,
          grams,
          moment: 'lye',
          way: 'poured',
        })),
    ...(told.iceGrams === undefined ? {} : { iceGrams: told.iceGrams }),
    additives: Object.entries(told.extras ?? {}).map(([id, rate]) => ({
      id,
      rate,
      of: 'oils',
      carrier: null,
    })),
    scents: (told.scents ?? []).map(([name, rate, maxOfBar]) => ({
      // Sea fennel was never written down: it goes by its name.
      id: demoScentId(name) ?? idOf(name),
      name,
      rate,
      of: 'oils',
      moment: 'trace',
      maxOfBar,
    })),
  }
}

const told: DemoFormula[] = [
  {
    name: 'Hostel Bar',
    oils: 2000,
    shares: { olive: 0.43, coconut: 0.25, tallow: 0.25, castor: 0.07 },
    superfat: 0.06,
    scents: [['Fir & smoke', 0.032, 0.035]],
    extras: { 'citric-acid-monohydrate': 0.012 },
    notes:
      'For the walkers’ hostel: hard water, muddy hands, one bar a week to a bathroom. Castor up by 2 since the spring: foam holds. #hostel',
    changed: 1,
  },
  {
    name: 'Wardrobe Block',
    use: 'laundry',
    oils: 3000,
    shares: { coconut: 0.6, tallow: 0.4 },
    superfat: 0.015,
    water: { held: 'strength', value: 0.34 },
    extras: { 'sodium-citrate': 0.02 },
    notes: 'Theatre laundry. Rubs greasepaint out of collars, no scent near the costumes. #theatre',
    changed: 6,
  },
  {
    name: 'Boatyard Scrub',
    use: 'scrub',
    oils: 1800,
    shares: { coconut: 0.3, lard: 0.4, rapeseed: 0.25, castor: 0.05 },
    superfat: 0.04,
    scents: [['Orange & pitch', 0.02, 0.03]],
    extras: { kaolin: 0.02, 'citric-acid-monohydrate': 0.01, 'own-slate-dust': 0.02 },
    notes: 'Jo wants it coarser still: slate dust at 2 % now, 3 % next time. #boatyard',
    changed: 12,
  },
  {
    name: 'Quiet Olive',
    use: 'face',
    oils: 1500,
    shares: { olive: 1 },
    superfat: 0.04,
    water: { held: 'ratio', value: 1.6 },
    notes: 'A year on the rack. Low water, cut inside a day or it shatters.',
    changed: 3,
  },
  {
    name: 'Oat & Buttermilk',
    use: 'face',
    oils: 1600,
    shares: { olive: 0.5, coconut: 0.2, shea: 0.15, 'rice-bran': 0.1, castor: 0.05 },
    superfat: 0.06,
    milk: ['buttermilk', 0.4],
    notes: 'Both vessels under 38 °C, no wrapping, cool end of the shed.',
    changed: 9,
  },
  {
    name: 'Fir & Smoke',
    oils: 2000,
    shares: { tallow: 0.4, olive: 0.3, coconut: 0.22, castor: 0.08 },
    superfat: 0.05,
    water: { held: 'strength', value: 0.36 },
    scents: [['Fir & smoke', 0.034, 0.035]],
    notes: 'Fast at this strength. No swirl: pour, tap, done.',
    changed: 15,
  },
  {
    name: 'Ferry Shave',
    use: 'shaving',
    oils: 900,
    shares: { tallow: 0.42, 'stearic-acid': 0.08, coconut: 0.2, olive: 0.15, castor: 0.15 },
    superfat: 0.06,
    water: { held: 'ratio', value: 2.6 },
    scents: [['Bay & pepper', 0.015, 0.02]],
    notes: 'Idris: warm the bowl, the stearic sets it early.',
    changed: 20,
  },
  {
    name: 'Plain Tallow',
    oils: 2000,
    shares: { tallow: 0.7, coconut: 0.2, castor: 0.1 },
    superfat: 0.06,
    notes: 'The one to measure the others by. Nothing in it but fat.',
    changed: 30,
  },
  {
    name: 'Estuary Hands',
    use: 'hands',
    oils: 1200,
    shares: { lard: 0.35, olive: 0.3, coconut: 0.2, 'cocoa-butter': 0.1, castor: 0.05 },
    superfat: 0.07,
    scents: [['Salt marsh', 0.025, 0.045]],
    extras: { 'rose-clay': 0.015 },
    size: {
      by: 'moulds',
      moulds: [
        {
          name: 'Short loaf',
          mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 67 },
          fill: 0.97,
        },
        {
          name: 'Eight pebbles',
          mould: { shape: 'cavities', count: 8, millilitres: 107 },
          fill: 0.98,
        },
      ],
    },
    notes: 'Pebbles for the market, the loaf for the hostel. One pot fills both. #market #hostel',
    changed: 26,
  },
  {
    name: 'Laurel Evening',
    use: 'hair',
    oils: 1500,
    shares: { olive: 0.8, 'laurel-berry': 0.2 },
    superfat: 0.04,
    water: { held: 'ratio', value: 1.8 },
    notes: 'Green for weeks, brown outside and green inside after a year.',
    changed: 48,
  },
  {
    name: 'Lighthouse Coconut',
    oils: 800,
    shares: { coconut: 1 },
    superfat: 0.2,
    water: { held: 'ratio', value: 2.4 },
    extras: { salt: 0.25 },
    notes: 'Lathers in seawater. Salt after trace, cut while warm, the same evening.',
    changed: 61,
  },
  {
    name: 'Dish Slate',
    use: 'dishes',
    oils: 1000,
    shares: { coconut: 0.8, olive: 0.2 },
    superfat: 0.01,
    water: { held: 'strength', value: 0.33 },
    scents: [['Orange & pitch', 0.015, 0.03]],
    changed: 75,
  },
  {
    name: 'Tide Pool',
    oils: 1500,
    shares: { olive: 0.55, coconut: 0.25, shea: 0.15, castor: 0.05 },
    superfat: 0.05,
    water: { held: 'ratio', value: 1.9 },
    size: {
      by: 'mould',
      mould: { shape: 'box', lengthMm: 350, widthMm: 85, depthMm: 75 },
      fill: 0.95,
    },
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
        scent: true,
        additives: [],
      },
    ],
    method: { patterns: ['layers'], gel: 'force' },
    notes: 'No colour at all: the three waters gel differently. Blend every pot for the same time.',
    changed: 2,
  },
  {
    name: 'Night Ferry',
    oils: 1600,
    shares: { olive: 0.45, coconut: 0.25, lard: 0.25, castor: 0.05 },
    superfat: 0.05,
    size: { by: 'bars', count: 16, grams: 105 },
    scents: [
      ['Fir & smoke', 0.015, 0.035],
      ['Bay & pepper', 0.01, 0.02],
    ],
    parts: [
      { name: 'deck', share: 0.6, scent: true, additives: [] },
      {
        name: 'smoke',
        share: 0.4,
        scent: false,
        additives: [
          {
            id: 'activated-charcoal',
            amount: { value: 1, unit: 'tsp', per: 'kg' },
            carrier: { id: 'olive', ratio: 3, from: 'formula' },
          },
        ],
      },
    ],
    method: { patterns: ['in-pot-swirl'] },
    notes: 'Charcoal rubbed into olive first, or it speckles.',
    changed: 7,
  },
  {
    name: 'Landing Goat',
    use: 'baby',
    oils: 1100,
    shares: { olive: 0.6, coconut: 0.18, shea: 0.12, 'sunflower-high-oleic': 0.1 },
    superfat: 0.08,
    water: { held: 'ratio', value: 2.4 },
    milk: ['goat-milk', 1, 'frozen'],
    method: { lyeC: 28, oilsC: 34, gel: 'prevent' },
    notes: 'All goat milk, frozen flat in bags. An hour for the lye, no hurry. No scent.',
    changed: 18,
  },
  {
    name: 'Market Rose',
    oils: 1400,
    shares: { olive: 0.4, coconut: 0.25, palm: 0.2, 'sweet-almond': 0.1, castor: 0.05 },
    superfat: 0.06,
    scents: [['Garden wall', 0.03, 0.05]],
    extras: { 'rose-clay': 0.02, 'titanium-dioxide': 0.004 },
    notes: 'Jo sells these first. Is there a way without palm? #market',
    changed: 5,
  },
  {
    name: 'Nine Tides',
    oils: 1800,
    shares: { olive: 0.45, coconut: 0.25, shea: 0.2, castor: 0.1 },
    superfat: 0.05,
    water: { held: 'ratio', value: 2.4 },
    parts: Array.from({ length: 9 }, (_, index) => ({
      name: `tide ${index + 1}`,
      share: 1 / 9,
      scent: true,
      additives:
        index % 2
          ? [
              {
                id: 'ultramarine',
                amount: { value: 0.25 + index * 0.1, unit: 'tsp' as const, per: 'kg' as const },
                carrier: { id: 'olive', ratio: 3, from: 'formula' as const },
              },
            ]
          : [],
    })),
    method: { patterns: ['layers'] },
    notes: 'One lye jug for all nine, divided by weight. Jo counts the layers aloud.',
    changed: 12,
  },
  {
    name: 'Ebb Line',
    oils: 1750,
    shares: { olive: 0.45, tallow: 0.3, coconut: 0.2, castor: 0.05 },
    superfat: 0.05,
    water: { held: 'ratio', value: 2.2 },
    scents: [['Sea fennel', 0.025, 0.06]],
    parts: (
      [
        ['chalk', 'kaolin'],
        ['shell', 'rose-clay'],
        ['sand', 'iron-oxide-yellow'],
        ['samphire', 'green-clay'],
        ['estuary', 'indigo'],
        ['heather', 'madder-root'],
        ['peat', 'cocoa-powder'],
      ] as const
    ).map(([name, id], index) => ({
      name,
      share: index < 6 ? 0.143 : 0.142,
      scent: true,
      additives: [
        {
          id,
          rate: 0.01,
          of: 'oils' as const,
          carrier: { id: 'olive', ratio: 2, from: 'formula' as const },
        },
      ],
    })),
    method: { patterns: ['slanted-layers'] },
    notes:
      'One long side 20 mm up until the last layer. Low over the spatula: it broke through once.',
    changed: 9,
  },
  {
    name: 'Keel Vinegar',
    use: 'scrub',
    oils: 1000,
    shares: { lard: 0.5, coconut: 0.3, rapeseed: 0.2 },
    superfat: 0.04,
    water: { held: 'grams', value: 220 },
    held: { 'vinegar-5': 80 },
    iceGrams: 60,
    notes:
      'Vinegar in the lye for a harder bar: it takes its own share of the soda. Ice keeps the fumes down.',
    changed: 16,
  },
]

/** The formulas of the Slate Shed, with how long ago each was last changed. */
export const demoFormulas = told.map((item) => ({
  document: documentOf(item),
  changed: item.changed,
}))
