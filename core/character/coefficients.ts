import type { FattyAcid } from '#contracts/result'
import type { Trait } from '#contracts/words'

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
    [0, 0, 0, 0.2, 0.6, 0.6, 0.6, 0.75, 0.9, 0.8, 0.5, 0.45, 0.65],
    1.2,
    -6,
  ),
  quickFoam: rule(
    'Quick foam',
    ['slow', 'quick'],
    [0.6, 0.9, 1.35, 1.15, 0.15, 0.05, 0, 0.15, 0.12, 0.08, 0.2, 0.2, 0.35],
    -0.8,
  ),
  lastingFoam: rule(
    'Lasting foam',
    ['thin', 'lasting'],
    [0.1, 0.2, 0.4, 0.6, 0.8, 0.75, 0.6, 0.35, 0.3, 0.2, 0.2, 0.1, 2.3],
    -0.3,
    0,
    { ricinoleicUpTo: 12 },
  ),
  firmAtCut: rule(
    'Firm at cut',
    ['soft', 'hard'],
    [0.4, 0.6, 0.95, 1, 1, 1.05, 1, 0.15, 0.15, 0.15, 0.05, 0, 0.05],
    -0.7,
  ),
  wearLife: rule(
    'Wear life',
    ['gone soon', 'lasts'],
    [-0.3, -0.2, 0.1, 0.4, 1.45, 1.2, 1.1, 0.15, 0.15, 0.15, 0, -0.1, -0.1],
    -0.5,
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
