import type { SourceId } from './sources'

/** A liquid that may stand in for water. Contents as mass fractions. */
export interface Liquid {
  kind: 'liquid'
  id: string
  name: string
  aliases: string[]
  water: number
  fat: number
  /** Saponification value of its fat, mg KOH per g. */
  fatSap: number
  sugar: number
  source: SourceId
  colour: string
}

/** Usual composition of plain, unsweetened products, from food composition tables. */
export const liquids: Liquid[] = [
  {
    kind: 'liquid',
    id: 'goat-milk',
    name: 'Goat milk',
    aliases: ["goat's milk", 'goats milk'],
    water: 0.87,
    fat: 0.04,
    fatSap: 233,
    sugar: 0.044,
    source: 'handbook',
    colour: '#ece2cd',
  },
  {
    kind: 'liquid',
    id: 'cow-milk',
    name: 'Cow milk, whole',
    aliases: ['milk', 'whole milk', "cow's milk"],
    water: 0.875,
    fat: 0.036,
    fatSap: 230,
    sugar: 0.048,
    source: 'handbook',
    colour: '#f0e9da',
  },
  {
    kind: 'liquid',
    id: 'buttermilk',
    name: 'Buttermilk',
    aliases: ['butter milk'],
    water: 0.905,
    fat: 0.008,
    fatSap: 230,
    sugar: 0.045,
    source: 'handbook',
    colour: '#e9dfca',
  },
  {
    kind: 'liquid',
    id: 'coconut-milk',
    name: 'Coconut milk',
    aliases: [],
    water: 0.7,
    fat: 0.2,
    fatSap: 257,
    sugar: 0.03,
    source: 'handbook',
    colour: '#f2efe4',
  },
  {
    kind: 'liquid',
    id: 'aloe-juice',
    name: 'Aloe juice',
    aliases: ['aloe', 'aloe vera', 'aloe vera juice'],
    water: 0.98,
    fat: 0,
    fatSap: 0,
    sugar: 0.005,
    source: 'handbook',
    colour: '#cfe0c0',
  },
]
