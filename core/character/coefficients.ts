import type { FattyAcid } from '#contracts/result'
import type { Trait } from '#contracts/words'
import type { FatState } from '../materials/fat'

/** How one trait follows from the formula: points per per cent of a fatty acid, per point of superfat, and a constant. */
export interface TraitRule {
  says: string
  /** What 0 and 100 mean. */
  ends: [low: string, high: string]
  acids: Record<FattyAcid, number>
  superfat: number
  constant: number
  /** Per cent of ricinoleic acid beyond which more of it adds nothing; null where all counts. */
  ricinoleicUpTo: number | null
  /** Added when a chelator or antioxidant is in the pot. */
  keeper: number
  /** For each per cent of soap that hardly dissolves, beyond what the others carry along (`dissolves`). */
  undissolved: number
  /** For each part of water less than 2.2 to one of lye, and, by per cent of oleic acid, down to 1.3. */
  lessWater: number
  lessWaterOleic: number
  /** When all of the alkali is potash; a share of it counts as much less. */
  potash: number
}

/** Coefficients by chain length and double bonds, in the order of the columns of docs/science.md. */
type Row = [
  c8: number,
  c10: number,
  c12: number,
  c14: number,
  c16: number,
  c18: number,
  c20to24: number,
  palmitoleic: number,
  oleic: number,
  longUnsaturated: number,
  linoleic: number,
  linolenic: number,
  ricinoleic: number,
]

function acidsOf(row: Row): Record<FattyAcid, number> {
  const [c8, c10, c12, c14, c16, c18, c20, palmitoleic, oleic, long, linoleic, linolenic, ric] = row
  return {
    caprylic: c8,
    capric: c10,
    lauric: c12,
    myristic: c14,
    palmitic: c16,
    stearic: c18,
    arachidic: c20,
    behenic: c20,
    palmitoleic,
    oleic,
    gondoic: long,
    erucic: long,
    linoleic,
    linolenic,
    ricinoleic: ric,
  }
}
const rule = (
  says: string,
  ends: TraitRule['ends'],
  row: Row,
  superfat: number,
  constant = 0,
  more: Partial<TraitRule> = {},
): TraitRule => ({
  says,
  ends,
  acids: acidsOf(row),
  superfat,
  constant,
  ricinoleicUpTo: null,
  keeper: 0,
  undissolved: 0,
  lessWater: 0,
  lessWaterOleic: 0,
  potash: 0,
  ...more,
})

/*
 * Mantle's own judgement, not a measurement: short saturated acids make soluble soap that foams quickly and lifts grease,
 * palmitic and stearic a hard bar that dissolves slowly, oleic a gentle one, ricinoleic holds the foam, and the more double
 * bonds the sooner free fat spoils. The figures are set so that well-known bars come out where makers place them.
 */
export const traitRules: Record<Trait, TraitRule> = {
  greaseLift: rule(
    'Grease lift',
    ['leaves it', 'strips'],
    [0.9, 1.1, 1.3, 1, 0.25, 0.15, 0.1, 0.25, 0.2, 0.15, 0.2, 0.15, 0.2],
    -0.8,
  ),
  gentleness: rule(
    'Gentleness',
    ['bare', 'cared for'],
    [0, 0, 0, 0.2, 0.6, 0.6, 0.6, 0.75, 0.9, 0.8, 0.74, 0.72, 0.65],
    1.2,
    -6,
  ),
  quickFoam: rule(
    'Quick foam',
    ['slow', 'quick'],
    [0.6, 0.9, 1.35, 1.15, 0.15, 0.05, 0, 0.15, 0.12, 0.08, 0.2, 0.2, 0.35],
    -0.8,
    0,
    { ricinoleicUpTo: 12, undissolved: -0.3, potash: 12 },
  ),
  lastingFoam: rule(
    'Lasting foam',
    ['thin', 'lasting'],
    [0.1, 0.2, 0.4, 0.6, 0.8, 0.75, 0.6, 0.35, 0.3, 0.2, 0.2, 0.1, 2.3],
    -0.3,
    0,
    { ricinoleicUpTo: 12, undissolved: -2.5 },
  ),
  firmAtCut: rule(
    'Firm at cut',
    ['soft', 'hard'],
    [0.4, 0.6, 0.95, 1, 1, 1.05, 1, 0.15, 0.15, 0.15, 0.05, 0, 0.05],
    -0.7,
    0,
    { lessWater: 8, lessWaterOleic: 0.55, potash: -130 },
  ),
  wearLife: rule(
    'Wear life',
    ['gone soon', 'lasts'],
    [-0.3, -0.2, 0.1, 0.4, 1.45, 1.2, 1.1, 0.15, 0.15, 0.15, 0, -0.1, -0.1],
    -0.5,
    0,
    { potash: -90 },
  ),
  keeping: rule(
    'Keeping',
    ['spoils', 'keeps'],
    [0, 0, 0, 0, 0, 0, 0, -0.09, -0.09, -0.09, -0.9, -1.98, -0.09],
    -0.6,
    100,
    { keeper: 5 },
  ),
}

/**
 * Soap that hardly dissolves at hand warmth: of stearic and longer saturated acids, of palmitic half as much. Up to so many per
 * cent of it are carried along by the others; what is more only makes the lather dull. Judgement.
 */
export const dissolves: { acids: Partial<Record<FattyAcid, number>>; upTo: number } = {
  acids: { palmitic: 0.5, stearic: 1, arachidic: 1, behenic: 1 },
  upTo: 50,
}

/** Water to lye at which the traits are as the table says, and the least that makes more of a difference. */
export const usualWater = 2.2
export const leastWater = 1.3

/**
 * What waxes, resins and tar lend a bar beside their acids, points for one per cent: waxes hold it together and smother foam,
 * wool fat is kind to skin, rosin carries a lather and softens, tar only softens. By what they are, whoever sells them. Judgement.
 */
export const substanceLends: Record<
  'wax-ester' | 'rosin',
  Record<FatState, Partial<Record<Trait, number>>>
> = {
  'wax-ester': {
    hard: { firmAtCut: 1.5, wearLife: 2.1, quickFoam: -0.9, lastingFoam: -0.6, gentleness: 0.6 },
    soft: { firmAtCut: 0.4, wearLife: 0.6, quickFoam: -0.7, lastingFoam: 0.1, gentleness: 0.95 },
    liquid: { firmAtCut: 0.1, wearLife: 0.2, quickFoam: -0.4, lastingFoam: -0.2, gentleness: 0.4 },
  },
  rosin: {
    hard: {
      firmAtCut: 0.2,
      wearLife: -0.2,
      quickFoam: 0.2,
      lastingFoam: 1.1,
      greaseLift: 0.5,
      gentleness: 0.3,
    },
    soft: { firmAtCut: 0.1, quickFoam: -0.3, greaseLift: 0.3, gentleness: 0.4 },
    liquid: { quickFoam: -0.3, greaseLift: 0.3, gentleness: 0.4 },
  },
}
