import type { AdditiveMoment } from '#contracts/formula'
import type { Acid } from '../chemistry/acids'

/** Something added for what it does rather than as fat, liquid or scent. */
export interface Additive {
  kind: 'additive'
  id: string
  name: string
  aliases: string[]
  /** Set when it takes alkali before the fats do. */
  acid: Acid | null
  /** Usual moment. */
  moment: AdditiveMoment
  /** Usual rate as a share of oils. */
  usualRate: number
  colour: string
  /** True when it colours the bar, so that the bar's picture shows it. */
  tints: boolean
}

type Row = [
  name: string,
  also: string[],
  acid: Acid | null,
  moment: AdditiveMoment,
  usualRate: number,
  colour: string,
  tints?: boolean,
]

const rows: Record<string, Row> = {
  'citric-acid-anhydrous': [
    'Citric acid, anhydrous',
    ['citric acid'],
    'citric-anhydrous',
    'water',
    0.015,
    '#6f8f86',
  ],
  'citric-acid-monohydrate': [
    'Citric acid, monohydrate',
    [],
    'citric-monohydrate',
    'water',
    0.015,
    '#7d9a90',
  ],
  'lactic-acid': ['Lactic acid', [], 'lactic', 'water', 0.01, '#86a39b'],
  'sodium-lactate': ['Sodium lactate', [], null, 'cooled-lye', 0.02, '#98b0a6'],
  'sodium-citrate': ['Sodium citrate', [], null, 'water', 0.015, '#a3b7ae'],
  salt: ['Salt', ['table salt', 'sea salt', 'sodium chloride'], null, 'water', 0.01, '#c3ccd0'],
  sugar: ['Sugar', [], null, 'water', 0.01, '#d9d2c2'],
  honey: ['Honey', [], null, 'trace', 0.01, '#c98a2b'],
  kaolin: ['Kaolin', ['white clay', 'kaolin clay'], null, 'trace', 0.01, '#e6ddd0', true],
  'rose-clay': ['Rose clay', ['pink clay'], null, 'trace', 0.01, '#b78a77', true],
  'titanium-dioxide': ['Titanium dioxide', [], null, 'trace', 0.005, '#f4f4f1', true],
}

/** Acids, salts, sugars, clays. */
export const additives: Additive[] = Object.entries(rows).map(
  ([id, [name, aliases, acid, moment, usualRate, colour, tints = false]]) => ({
    kind: 'additive',
    id,
    name,
    aliases,
    acid,
    moment,
    usualRate,
    colour,
    tints,
  }),
)
