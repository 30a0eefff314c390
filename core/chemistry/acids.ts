import { molarMass } from './elements'

/**
 * Acids, and salts that are acid enough, that take alkali before the fats do: protons given up, molar mass in g/mol (CRC Handbook).
 * Baking soda gives up its last proton, borax takes up two hydroxides.
 */
export const acids = {
  'citric-anhydrous': { protons: 3, molarMass: 192.124 },
  'citric-monohydrate': { protons: 3, molarMass: 210.139 },
  lactic: { protons: 1, molarMass: 90.078 },
  ascorbic: { protons: 1, molarMass: 176.124 },
  acetic: { protons: 1, molarMass: 60.052 },
  tartaric: { protons: 2, molarMass: 150.087 },
  bicarbonate: { protons: 1, molarMass: 84.007 },
  borax: { protons: 2, molarMass: 381.37 },
} as const
export type Acid = keyof typeof acids

/**
 * Whether an acid is citric acid, with or without its water of crystals.
 * @example isCitric('citric-monohydrate') // true
 */
export const isCitric = (acid: Acid | null | undefined): boolean =>
  acid === 'citric-anhydrous' || acid === 'citric-monohydrate'

/**
 * g pure NaOH that 1 g of an acid neutralises.
 * @param strength mass fraction of the acid in what is weighed, 0–1
 * @example naohPerGramOfAcid('citric-anhydrous') // 0.62455
 */
export function naohPerGramOfAcid(acid: Acid, strength = 1): number {
  return (acids[acid].protons * molarMass.naoh * strength) / acids[acid].molarMass
}
