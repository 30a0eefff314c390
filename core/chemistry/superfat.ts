import { acids, type Acid } from './acids'
import { molarMass } from './elements'

/** What really went into the pot, as read off the scale. Grams. */
export interface Weighed {
  fats: { grams: number; sap: number }[]
  acids?: { acid: Acid; grams: number; strength?: number }[]
  /** Sour liquids, by the g NaOH that a gram of each takes. */
  sour?: { grams: number; naohPerGram: number }[]
  /** Weighed NaOH and its purity, 0–1. A solution is given as its grams and its strength. */
  naoh: { grams: number; purity: number }
  koh?: { grams: number; purity: number }
}

/**
 * Superfat of what was weighed: the share of the fats' ester and acid groups that finds no alkali. Fraction;
 * negative when there is free lye.
 *
 * This is the second opinion behind every lye figure, so it goes its own way: it counts millimoles of groups and of
 * hydroxide one by one, and shares neither the conversion factor nor a function with the forward calculation.
 * @returns NaN when there is no fat
 * @example superfatAsWeighed({ fats: [{ grams: 1000, sap: 190 }], naoh: { grams: 128.68, purity: 1 } }) // 0.0499724
 */
export function superfatAsWeighed(weighed: Weighed): number {
  let groups = 0
  for (const fat of weighed.fats) groups += (fat.grams * fat.sap) / molarMass.koh
  let hydroxide = (1000 * weighed.naoh.grams * weighed.naoh.purity) / molarMass.naoh
  if (weighed.koh) hydroxide += (1000 * weighed.koh.grams * weighed.koh.purity) / molarMass.koh
  for (const { acid, grams, strength = 1 } of weighed.acids ?? [])
    hydroxide -= (1000 * grams * strength * acids[acid].protons) / acids[acid].molarMass
  for (const { grams, naohPerGram } of weighed.sour ?? [])
    hydroxide -= (1000 * grams * naohPerGram) / molarMass.naoh
  return (groups - hydroxide) / groups
}
