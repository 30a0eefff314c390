import type { Selling } from '#contracts/label'
import type { PlaceId, PlantNames } from '#contracts/labelWords'
import type { AllergenList } from './allergens'

/**
 * How a list is written in a place, and what else its labels carry, as it is known here: a start for the maker, who checks the rules
 * where the bars are sold.
 */
export interface Place {
  id: PlaceId
  says: string
  /** How its figures, days and money are written. */
  locale: string
  /** What water and scent are called. */
  water: 'Aqua' | 'Water'
  scent: 'Parfum' | 'Fragrance'
  plants: PlantNames
  /** Colours by their number, and behind everything else. */
  coloursByNumber: boolean
  coloursLast: boolean
  allergens: AllergenList['id']
  /** Ounces beside grams. */
  dualUnits: boolean
  /** Whether a soap for cleaning has a list of its own there, in bands of shares. */
  detergents: boolean
  /** Smallest height of an x, mm. */
  smallestType: number
  /** Smallest height of the figures of the net weight, mm, up to so many grams. */
  netHeights: readonly { upTo: number; mm: number }[]
  source: string
  asOf: string
}

/** Heights of the net quantity by the weight of what is in the pack. */
const metricHeights = [
  { upTo: 50, mm: 2 },
  { upTo: 200, mm: 3 },
  { upTo: 1000, mm: 4 },
  { upTo: Infinity, mm: 6 },
]

/** Places whose customs are known here. */
export const places: readonly Place[] = [
  {
    id: 'gb',
    says: 'Great Britain',
    locale: 'en-GB',
    water: 'Aqua',
    scent: 'Parfum',
    plants: 'latin',
    coloursByNumber: true,
    coloursLast: true,
    allergens: 'short',
    dualUnits: false,
    detergents: true,
    smallestType: 1.2,
    netHeights: metricHeights,
    source:
      'Retained Regulations (EC) 1223/2009 and 648/2004; The Weights and Measures (Packaged Goods) Regulations 2006',
    asOf: '2026-05',
  },
  {
    id: 'eu',
    says: 'European Union',
    locale: 'en-GB',
    water: 'Aqua',
    scent: 'Parfum',
    plants: 'latin',
    coloursByNumber: true,
    coloursLast: true,
    allergens: 'long',
    dualUnits: false,
    detergents: true,
    smallestType: 1.2,
    netHeights: metricHeights,
    source: 'Regulations (EC) 1223/2009 with (EU) 2023/1545 and 648/2004; Directive 76/211/EEC',
    asOf: '2026-05',
  },
  {
    id: 'us',
    says: 'United States',
    locale: 'en-US',
    water: 'Water',
    scent: 'Fragrance',
    plants: 'both',
    coloursByNumber: false,
    coloursLast: false,
    allergens: 'none',
    dualUnits: true,
    detergents: false,
    smallestType: 1.6,
    netHeights: [{ upTo: Infinity, mm: 3.2 }],
    source: '21 CFR 701.3 and 701.13; Fair Packaging and Labeling Act',
    asOf: '2026-05',
  },
]

/**
 * A place by its id; the first where nobody has said any.
 * @example placeOf('us').scent // 'Fragrance'
 */
export const placeOf = (id: PlaceId | null): Place =>
  places.find((place) => place.id === id) ?? places[0]!

/**
 * The customs a workshop goes by: those of where it sells, with what it has changed of them.
 * @example placeFor({ place: 'us', rules: { scent: 'Parfum' } }).scent // 'Parfum'
 */
export const placeFor = ({ place, rules }: Pick<Selling, 'place' | 'rules'>): Place => ({
  ...placeOf(place),
  ...rules,
})
