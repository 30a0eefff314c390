import type { Trait, Use } from '#contracts/words'
import { traitIds, type Traits } from './traits'
import { sumOf } from '../statistics/sum'

export type Region = readonly [low: number, high: number]
export type Regions = Record<Trait, Region>
/** A workshop's own regions, where they differ from the usual ones. */
export type OwnRegions = Partial<Record<Use, Partial<Record<Trait, [number, number]>>>>

type Row = [
  greaseLift: Region,
  gentleness: Region,
  quickFoam: Region,
  lastingFoam: Region,
  firmAtCut: Region,
  wearLife: Region,
  keeping: Region,
]
const region = (row: Row): Regions =>
  Object.fromEntries(traitIds.map((trait, index) => [trait, row[index]!])) as Regions

/** Where makers place a good bar for each use: Mantle's judgement, to be changed by the workshop. */
export const usualRegions: Record<Use, Regions> = {
  body: region([
    [28, 52],
    [48, 72],
    [18, 40],
    [36, 60],
    [34, 62],
    [26, 58],
    [70, 100],
  ]),
  face: region([
    [14, 38],
    [60, 85],
    [6, 26],
    [32, 60],
    [22, 55],
    [18, 52],
    [66, 100],
  ]),
  hands: region([
    [32, 58],
    [44, 70],
    [20, 44],
    [36, 60],
    [34, 64],
    [26, 58],
    [70, 100],
  ]),
  hair: region([
    [20, 46],
    [52, 80],
    [14, 38],
    [34, 62],
    [20, 52],
    [14, 48],
    [66, 100],
  ]),
  shaving: region([
    [22, 48],
    [48, 74],
    [12, 38],
    [50, 80],
    [34, 66],
    [30, 64],
    [72, 100],
  ]),
  baby: region([
    [10, 34],
    [60, 88],
    [4, 24],
    [26, 56],
    [20, 54],
    [14, 50],
    [68, 100],
  ]),
  dishes: region([
    [65, 100],
    [0, 50],
    [50, 100],
    [20, 60],
    [50, 95],
    [10, 60],
    [76, 100],
  ]),
  laundry: region([
    [60, 100],
    [0, 55],
    [46, 100],
    [20, 60],
    [50, 95],
    [10, 65],
    [76, 100],
  ]),
  scrub: region([
    [34, 62],
    [40, 68],
    [22, 50],
    [36, 62],
    [38, 68],
    [28, 60],
    [70, 100],
  ]),
}

/**
 * The regions of a use with the workshop's own in place of the usual ones.
 * @example regionsFor('face').gentleness // [60, 85]
 */
export const regionsFor = (use: Use, own: OwnRegions = {}): Regions => ({
  ...usualRegions[use],
  ...own[use],
})

/**
 * How far a value lies outside a region, in points; 0 inside.
 * @example outside(8, [10, 20]) // 2
 */
export const outside = (value: number, [low, high]: Region): number =>
  value < low ? low - value : value > high ? value - high : 0

/**
 * How far a bar is from all its regions: the sum of the squares of what lies outside.
 * @example distance(traits, body) // 468.885
 */
export const distance = (traits: Traits, regions: Regions): number =>
  sumOf(traitIds, (trait) => outside(traits[trait], regions[trait]) ** 2)

/**
 * Where a value stands to its region, in a word.
 * @example standing(12, [10, 20]) // 'inside'
 */
export function standing(value: number, [low, high]: Region): 'below' | 'inside' | 'above' {
  if (value < low) return 'below'
  return value > high ? 'above' : 'inside'
}
