import type { FattyAcid } from '#contracts/result'
import { sumOf } from '../statistics/sum'
import { atomicMass, molarMass } from './elements'

/** Fatty acids by name: carbons, double bonds, hydroxyl groups on the chain. In the order they are always listed. */
export const fattyAcids: Record<
  FattyAcid,
  { carbons: number; doubleBonds: number; hydroxyls: number }
> = {
  caprylic: { carbons: 8, doubleBonds: 0, hydroxyls: 0 },
  capric: { carbons: 10, doubleBonds: 0, hydroxyls: 0 },
  lauric: { carbons: 12, doubleBonds: 0, hydroxyls: 0 },
  myristic: { carbons: 14, doubleBonds: 0, hydroxyls: 0 },
  palmitic: { carbons: 16, doubleBonds: 0, hydroxyls: 0 },
  stearic: { carbons: 18, doubleBonds: 0, hydroxyls: 0 },
  arachidic: { carbons: 20, doubleBonds: 0, hydroxyls: 0 },
  behenic: { carbons: 22, doubleBonds: 0, hydroxyls: 0 },
  palmitoleic: { carbons: 16, doubleBonds: 1, hydroxyls: 0 },
  oleic: { carbons: 18, doubleBonds: 1, hydroxyls: 0 },
  gondoic: { carbons: 20, doubleBonds: 1, hydroxyls: 0 },
  erucic: { carbons: 22, doubleBonds: 1, hydroxyls: 0 },
  linoleic: { carbons: 18, doubleBonds: 2, hydroxyls: 0 },
  linolenic: { carbons: 18, doubleBonds: 3, hydroxyls: 0 },
  ricinoleic: { carbons: 18, doubleBonds: 1, hydroxyls: 1 },
}

export const fattyAcidNames = Object.keys(fattyAcids) as FattyAcid[]

/** Acids of 8 to 14 carbons: their soaps dissolve at once, foam quickly and take the skin's own fat along. */
export const shortAcids = ['caprylic', 'capric', 'lauric', 'myristic'] as const

/**
 * Share that some acids make up of a profile, 0–1.
 * @example shareOfAcids({ lauric: 0.48, oleic: 0.3 }, shortAcids) // 0.48
 */
export const shareOfAcids = (
  profile: Partial<Record<FattyAcid, number>>,
  acids: readonly FattyAcid[],
): number => sumOf(acids, (acid) => profile[acid] ?? 0)

/**
 * Molar mass of a fatty acid, g/mol, from its formula CₙH₂ₙ₋₂ₐO₂₊ₕ.
 * @example fattyAcidMolarMass('oleic') // 282.468
 */
export function fattyAcidMolarMass(acid: FattyAcid): number {
  const { carbons, doubleBonds, hydroxyls } = fattyAcids[acid]
  return (
    carbons * atomicMass.carbon +
    2 * (carbons - doubleBonds) * atomicMass.hydrogen +
    (2 + hydroxyls) * atomicMass.oxygen
  )
}

/** Three fatty acids become a triglyceride with glycerol (92.094) by losing three waters (54.046), g/mol. */
const glycerolLink = 38.048

/**
 * Mean molar mass of the fatty acids of a profile, g/mol: the mass fractions divided by molar masses give moles.
 * The unnamed rest is taken to be like the named part.
 * @param profile fatty acids as mass fractions, any sum above 0
 * @returns NaN for a profile that names nothing
 * @example meanFattyAcidMass({ oleic: 0.5, stearic: 0.5 }) // 283.472
 */
export function meanFattyAcidMass(profile: Partial<Record<FattyAcid, number>>): number {
  let mass = 0
  let moles = 0
  for (const [acid, share] of Object.entries(profile) as [FattyAcid, number][]) {
    mass += share
    moles += share / fattyAcidMolarMass(acid)
  }
  return mass / moles
}

/**
 * The saponification value that a profile implies, mg KOH per g fat.
 * @param unsaponifiables share of the fat that takes no alkali, 0–1
 * @param chemistry what the fatty acids are bound to: glycerol, or nothing (free acid)
 * @example saponificationValueOf({ oleic: 1 }) // 190.091
 */
export function saponificationValueOf(
  profile: Partial<Record<FattyAcid, number>>,
  unsaponifiables = 0,
  chemistry: 'triglyceride' | 'free-acid' = 'triglyceride',
): number {
  const acid = meanFattyAcidMass(profile)
  const whole =
    chemistry === 'free-acid'
      ? (1000 * molarMass.koh) / acid
      : (3 * 1000 * molarMass.koh) / (3 * acid + glycerolLink)
  return whole * (1 - unsaponifiables)
}

/**
 * Molar mass of the mean triglyceride of a fat, g/mol.
 * @param sap saponification value, mg KOH per g, above 0
 * @example triglycerideMass(190) // 885.878
 */
export function triglycerideMass(sap: number): number {
  return (3 * 1000 * molarMass.koh) / sap
}

/**
 * Mass fraction of fatty acids in a triglyceride with this saponification value (mg KOH per g).
 * @example fattyAcidFraction(190) // 0.957051
 */
export function fattyAcidFraction(sap: number): number {
  return 1 - glycerolLink / triglycerideMass(sap)
}
