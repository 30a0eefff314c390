import type { AdditiveLine, FormulaDocument, PartLine } from '#contracts/formula'
import { patterns, uses, waysOfLiquid } from '#contracts/words'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { remarksOn } from './index'

/*
 * Where each remark begins and ends, and what it says there: one figure of a formula is moved in small steps, and the stretches in
 * which a remark stands are compared with those that were looked over last. A limit that moves shows as a line that changed.
 */

type Shares = Record<string, number>
type Changes = Partial<FormulaDocument>
const blank = blankFormula('')
const usual: Shares = { olive: 0.45, coconut: 0.25, shea: 0.2, castor: 0.1 }
const soap = (shares: Shares, changes: Changes = {}): FormulaDocument => ({
  ...blankFormula('Swept'),
  fats: Object.entries(shares)
    .filter(([, share]) => share > 0)
    .map(([id, share]) => ({ id, share, moment: 'pot', inLye: true })),
  ...changes,
})
const water = (value: number): Changes => ({ water: { held: 'ratio', value } })
const method = (changes: Partial<FormulaDocument['method']>): Changes => ({
  method: { ...blank.method, ...changes },
})
const extra = (id: string, rate: number, more: Partial<AdditiveLine> = {}): Changes => ({
  additives: [{ id, rate, of: 'oils', carrier: null, ...more }],
})
const scent = (name: string, rate: number, maxOfBar?: number): Changes => ({
  scents: [{ id: 'scent', name, rate, of: 'oils', moment: 'trace', maxOfBar }],
})
const pot = (name: string, share: number, more: Partial<PartLine> = {}): PartLine => ({
  name,
  share,
  scent: true,
  additives: [],
  ...more,
})
const pots = (share: number, more: Partial<PartLine> = {}): Changes => ({
  parts: [pot('base', 1 - share), pot('thread', share, more)],
})
/** A block so many millimetres high, or cavities of so many millilitres. */
const block = (depthMm: number): Changes => ({
  size: {
    by: 'mould',
    mould: { shape: 'box', lengthMm: 250, widthMm: 100, depthMm },
    fill: 0.9,
  },
})
const cavities = (millilitres: number): Changes => ({
  size: { by: 'mould', mould: { shape: 'cavities', count: 6, millilitres }, fill: 1 },
})
const potash = (kohShare: number): Changes => ({ alkali: { ...blank.alkali, kohShare } })
const solution = (solutionStrength: number): Changes => ({
  alkali: { ...blank.alkali, solutionStrength },
})
const milk = (share: number, way: (typeof waysOfLiquid)[number]): Changes => ({
  liquids: [{ id: 'goat-milk', share, moment: way === 'poured' ? 'oils' : 'lye', way }],
})

/** From, to, how many steps, and the formula at each. */
type Sweep = [from: number, to: number, steps: number, at: (value: number) => FormulaDocument]
const sweeps: Record<string, Sweep> = {
  'water of a usual bar': [0.95, 4.15, 64, (value) => soap(usual, water(value))],
  'water of olive': [0.95, 4.15, 32, (value) => soap({ olive: 1 }, water(value))],
  'water of soft olive and coconut': [
    1.2,
    3.4,
    44,
    (value) => soap({ olive: 0.8, coconut: 0.2 }, water(value)),
  ],
  'water of a thread': [
    0.95,
    3.95,
    30,
    (value) => soap(usual, pots(0.3, { water: { held: 'ratio', value } })),
  ],
  'water of a thread from solution': [
    1,
    2.4,
    28,
    (value) =>
      soap(usual, {
        ...solution(0.45),
        ...pots(0.3, { water: { held: 'ratio', value } }),
        ...water(2),
      }),
  ],
  'water with a clove': [
    1.2,
    3,
    18,
    (value) => soap(usual, { ...water(value), ...scent('Clove', 0.02, 0.05) }),
  ],
  'water with salt in the lye': [
    1.2,
    3,
    18,
    (value) => soap(usual, { ...water(value), ...extra('salt', 0.1, { moment: 'lye' }) }),
  ],
  'olive share': [0, 1, 50, (value) => soap({ olive: value, tallow: 1 - value })],
  'coconut with olive': [0, 1, 50, (value) => soap({ coconut: value, olive: 1 - value })],
  'coconut in a laundry block': [
    0,
    1,
    25,
    (value) => soap({ coconut: value, tallow: 1 - value }, { use: 'laundry', superfat: 0.01 }),
  ],
  'coconut in a salt bar': [
    0,
    1,
    25,
    (value) => soap({ coconut: value, olive: 1 - value }, extra('salt', 0.5)),
  ],
  castor: [0, 0.4, 40, (value) => soap({ castor: value, tallow: 1 - value })],
  beeswax: [0, 0.2, 40, (value) => soap({ beeswax: value, olive: 1 - value })],
  'beeswax, mixed cool': [
    0,
    0.1,
    20,
    (value) => soap({ beeswax: value, olive: 1 - value }, method({ lyeC: 30, oilsC: 30 })),
  ],
  'stearic acid in body soap': [
    0,
    0.6,
    30,
    (value) => soap({ 'stearic-acid': value, coconut: 1 - value }),
  ],
  'stearic acid in shaving soap': [
    0,
    0.6,
    30,
    (value) => soap({ 'stearic-acid': value, coconut: 1 - value }, { use: 'shaving' }),
  ],
  sunflower: [0, 1, 50, (value) => soap({ sunflower: value, tallow: 1 - value })],
  'rapeseed with citrate': [
    0,
    1,
    20,
    (value) => soap({ rapeseed: value, tallow: 1 - value }, extra('sodium-citrate', 0.01)),
  ],
  lard: [0, 1, 20, (value) => soap({ lard: value, sunflower: 1 - value })],
  'both vessels': [18, 78, 60, (value) => soap(usual, method({ lyeC: value, oilsC: value }))],
  'lye against oils at 35 °C': [18, 78, 30, (value) => soap(usual, method({ lyeC: value }))],
  'oils against lye at 35 °C': [18, 78, 30, (value) => soap(usual, method({ oilsC: value }))],
  'coconut block, its height': [
    20,
    120,
    50,
    (value) => soap({ coconut: 0.6, olive: 0.4 }, { ...block(value), ...water(1.6) }),
  ],
  'coconut block, its water': [
    1.2,
    2.6,
    28,
    (value) => soap({ coconut: 0.6, olive: 0.4 }, { ...block(80), ...water(value) }),
  ],
  'coconut block kept warm, its coconut': [
    0.2,
    1,
    32,
    (value) =>
      soap(
        { coconut: value, olive: 1 - value },
        { ...block(80), ...water(1.6), ...method({ gel: 'force' }) },
      ),
  ],
  'small coconut bars, mixed warm': [
    25,
    65,
    40,
    (value) =>
      soap(
        { coconut: 0.7, olive: 0.3 },
        { ...cavities(120), ...water(1.6), ...method({ lyeC: value, oilsC: value }) },
      ),
  ],
  'honey in a block, its height': [
    20,
    160,
    70,
    (value) =>
      soap(usual, { ...block(value), ...extra('honey', 0.02), ...method({ gel: 'force' }) }),
  ],
  'plain block kept warm, its height': [
    20,
    240,
    44,
    (value) => soap(usual, { ...block(value), ...method({ gel: 'force' }) }),
  ],
  'no mould, kept warm, g of oils': [
    500,
    4500,
    40,
    (grams) => soap(usual, { size: { by: 'oils', grams }, ...method({ gel: 'force' }) }),
  ],
  'no mould, kept warm with nothing of honey, g of oils': [
    500,
    4500,
    40,
    (grams) =>
      soap(usual, {
        size: { by: 'oils', grams },
        ...extra('honey', 0),
        ...method({ gel: 'force' }),
      }),
  ],
  'milk in a block, its height': [
    20,
    160,
    35,
    (value) =>
      soap(usual, { ...block(value), ...milk(0.5, 'poured'), ...method({ gel: 'force' }) }),
  ],
  'no honey in large cavities': [
    500,
    6000,
    22,
    (value) =>
      soap(usual, { ...cavities(value), ...extra('honey', 0), ...method({ gel: 'force' }) }),
  ],
  'honey, poured into large cavities': [
    500,
    6000,
    22,
    (value) =>
      soap(usual, { ...cavities(value), ...extra('honey', 0.02), ...method({ gel: 'force' }) }),
  ],
  potash: [0, 1, 50, (value) => soap(usual, potash(value))],
  'potash for a brush': [0, 1, 20, (value) => soap(usual, { ...potash(value), use: 'shaving' })],
  'solution at 2 : 1': [0.25, 0.5, 25, (value) => soap(usual, { ...solution(value), ...water(2) })],
  'solution, its water': [
    0.95,
    2.45,
    30,
    (value) => soap(usual, { ...solution(0.42), ...water(value) }),
  ],
  'solution, cool vessels': [
    15,
    45,
    30,
    (value) => soap(usual, { ...solution(0.5), ...method({ lyeC: value, oilsC: value }) }),
  ],
  'purity of the lye': [
    0.8,
    1.05,
    25,
    (value) => soap(usual, { alkali: { ...blank.alkali, naohPurity: value } }),
  ],
  'a scent with a maximum': [0, 0.12, 48, (value) => soap(usual, scent('Salt marsh', value, 0.03))],
  'a scent without one': [0, 0.12, 24, (value) => soap(usual, scent('Salt marsh', value))],
  'an orange': [0, 0.08, 16, (value) => soap(usual, scent('Orange & pitch', value, 0.06))],
  'two scents with maxima': [
    0,
    0.06,
    24,
    (value) =>
      soap(usual, {
        scents: [
          { id: 'a', name: 'Pine', rate: value, of: 'oils', moment: 'trace', maxOfBar: 0.02 },
          { id: 'b', name: 'Slate', rate: value, of: 'oils', moment: 'oils', maxOfBar: 0.05 },
        ],
      }),
  ],
  'a thin thread': [0, 0.5, 50, (value) => soap(usual, pots(value))],
  'a thread without scent': [
    0,
    0.5,
    25,
    (value) => soap(usual, { ...pots(value, { scent: false }), ...scent('Pine', 0.04, 0.04) }),
  ],
  'clay in a thread': [
    0,
    0.12,
    24,
    (value) =>
      soap(usual, pots(0.5, { additives: extra('rose-clay', value).additives as AdditiveLine[] })),
  ],
  'a butter at trace outside the lye': [
    0,
    0.2,
    20,
    (value) => ({
      ...soap({ olive: 0.8, coconut: 0.2 - value }),
      fats: [
        ...soap({ olive: 0.8, coconut: 0.2 - value }).fats,
        { id: 'shea', share: value, moment: 'trace', inLye: false },
      ],
    }),
  ],
}
for (const use of uses)
  sweeps[`superfat for ${use}`] = [
    -0.06,
    0.3,
    72,
    (superfat) => soap({ tallow: 0.6, coconut: 0.25, olive: 0.15 }, { superfat, use }),
  ]
for (const way of waysOfLiquid) {
  sweeps[`milk ${way}`] = [0, 1, 20, (value) => soap(usual, milk(value, way))]
  sweeps[`milk ${way}, its warmth`] = [
    10,
    70,
    30,
    (value) => soap(usual, { ...milk(0.5, way), ...method({ lyeC: value, oilsC: value }) }),
  ]
}
for (const id of [
  'citric-acid-anhydrous',
  'citric-acid-monohydrate',
  'lactic-acid',
  'sodium-lactate',
  'sodium-citrate',
  'salt',
  'washing-soda',
  'sodium-silicate',
  'sugar',
  'honey',
  'kaolin',
  'titanium-dioxide',
  'pumice',
  'colloidal-oatmeal',
  'egg-yolk',
])
  sweeps[`${id}`] = [0, 0.3, 60, (rate) => soap(usual, extra(id, rate))]
for (const moment of ['water', 'lye', 'cooled-lye', 'oils', 'trace'] as const)
  for (const id of ['salt', 'sodium-lactate', 'sugar'])
    sweeps[`${id} in the ${moment}`] = [
      0,
      0.4,
      20,
      (rate) => soap(usual, extra(id, rate, { moment })),
    ]
for (const pattern of patterns)
  sweeps[`${pattern}, its water`] = [
    1.3,
    3.7,
    24,
    (value) => soap(usual, { ...pots(0.4), ...water(value), ...method({ patterns: [pattern] }) }),
  ]
for (const use of uses) {
  sweeps[`hazards for ${use}`] = [
    0,
    7,
    7,
    (value) => {
      const fat = ['peanut', 'sesame', 'pine-tar', 'rosin', 'laurel-berry', 'wheat-germ'][value]
      return fat
        ? soap({ olive: 0.7, coconut: 0.2, [fat]: 0.1 }, { use })
        : value === 6
          ? soap(usual, { use, ...extra('pumice', 0.02) })
          : soap(usual, { use, ...extra('salt', 0.02), ...scent('Cinnamon', 0.02) })
    },
  ]
}

const exact = formatter()
/** What is said of a formula, by the id and how grave it is. */
function saidOf(document: FormulaDocument, leastFattyMatter: number | null): Map<string, string> {
  const remarks = remarksOn(document, computeFormula(document, library), library, exact, {
    leastFattyMatter,
  })
  return new Map(
    remarks.map(({ id, severity, says, because, fix }) => [
      `${severity} ${id}`,
      [says, because, ...(fix ? [`${fix.label}: ${JSON.stringify(fix.patch)}`] : [])].join(' | '),
    ]),
  )
}

/** The stretches in which each remark stands, with what it says at their beginning. */
function turnsOf([from, to, steps, at]: Sweep): string[] {
  const lines: string[] = []
  const open = new Map<string, { since: string; says: string }>()
  let before = ''
  for (let step = 0; step <= steps; step++) {
    const value = from + ((to - from) * step) / steps
    const name = String(Number(value.toFixed(6)))
    const said = saidOf(at(value), 0.62)
    for (const [id, { since, says }] of [...open])
      if (!said.has(id)) {
        lines.push(`${id} ${since} to ${before}: ${says}`)
        open.delete(id)
      }
    for (const [id, says] of said) if (!open.has(id)) open.set(id, { since: name, says })
    before = name
  }
  for (const [id, { since, says }] of open) lines.push(`${id} ${since} on: ${says}`)
  return lines.sort()
}

describe('where remarks begin', () => {
  it.each(Object.keys(sweeps))('%s', (name) => {
    expect(turnsOf(sweeps[name]!)).toMatchSnapshot()
  })
})
