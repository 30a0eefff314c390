import type { FatOrigin, Fat } from '../materials/fat'
import type { Regions } from '../character/regions'

/** What may not be in the formula. */
export const exclusions = {
  vegan: { says: 'nothing from animals', bars: ['animal', 'insect'] },
  palmFree: { says: 'no oil palm', bars: ['palm'] },
  coconutFree: { says: 'no coconut', bars: ['coconut'] },
  nutFree: { says: 'no nut oils', bars: ['nut'] },
  grainFree: { says: 'no grain oils', bars: ['grain'] },
} as const satisfies Record<string, { says: string; bars: FatOrigin[] }>
export type Exclusion = keyof typeof exclusions

/** A fat that may be used, and within which shares of the oils. */
export interface Choice {
  id: string
  least: number
  most: number
  /** Price of a kilogram in the smallest unit of the currency; null when it is not known. */
  price: number | null
}

export interface Wish {
  choices: Choice[]
  regions: Regions
  exclude: Exclusion[]
  /** At most this many fats; null for any number. */
  atMost: number | null
  /** Total superfat, and whether a chelator or antioxidant is in the pot. */
  superfat: number
  keeper: boolean
  aim: 'nearest' | 'cheapest'
}

/** A fat that is in takes at least this share of the oils: nobody weighs half a per cent. */
export const leastShare = 0.02

/**
 * Whether what excludes it keeps a fat out. Palm kernel counts as palm, other palms (babassu, murumuru) do not; what may come
 * from an animal is out of what nothing from animals goes into, until the seller says otherwise.
 * @example excluded(shipped.fats.get('tallow'), ['vegan']) // true
 */
export const excluded = (fat: Fat, exclude: readonly Exclusion[]): boolean =>
  exclude.some((key) =>
    (exclusions[key].bars as readonly FatOrigin[]).some((bar) =>
      [...fat.origin, ...(fat.maybe ?? [])].includes(bar),
    ),
  )
