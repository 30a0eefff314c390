import type { Offsets } from './learning'
import type { FormulaDocument, WaterHeld } from './formula'
import type { FattyAcid, LiquidMoment, SpoonKind, WayOfLiquid } from './words'

export type { FattyAcid } from './words'

/** stop: not safe to make; think: a judgement to take; know: good to know. */
export type Severity = 'stop' | 'think' | 'know'

/** One place in the document and what it becomes. */
export interface PatchStep {
  path: (string | number)[]
  value: unknown
}

export interface Remark {
  id: string
  severity: Severity
  says: string
  because: string
  /** The pot it is said of, where it is not true of the whole. */
  pot?: string
  /** A stop that the maker may overrule with a reason, since it is a matter of judgement. */
  overridable?: boolean
  fix?: { label: string; patch: PatchStep[] }
}

/** One thing in the pot. `grams` is what is weighed. */
export interface Portion {
  id: string
  name: string
  grams: number
}

export interface FatPortion extends Portion {
  /** Share of all the formula's fats. */
  share: number
  /** Saponification value used, mg KOH per g. */
  sap: number
  moment: 'pot' | 'trace'
  /** g pure NaOH that this much of the fat takes up in full. */
  naohDemand: number
  inLye: boolean
}

export interface LiquidPortion extends Portion {
  waterGrams: number
  fatGrams: number
  /** g pure NaOH that its acid neutralises; 0 for all but sour ones. */
  naohTaken: number
  moment: LiquidMoment
  way: WayOfLiquid
}

export interface AdditivePortion extends Portion {
  /** Grams worked out from a volume. */
  estimated: boolean
  /** g pure NaOH that this much neutralises; 0 for all but acids. */
  naohTaken: number
  /** Fat in it, as in milk powder. */
  fatGrams: number
  moment: 'water' | 'lye' | 'cooled-lye' | 'oils' | 'trace'
}

export interface ScentPortion extends Portion {
  estimated: boolean
  moment: 'oils' | 'trace'
  /** Share of the long-dried bar, the low end of its mass. */
  shareOfBar: number
  maxOfBar: number | null
}

/** Oil that an additive was stirred into. */
export interface CarrierPortion extends Portion {
  /** Taken out of the formula's own fats, or weighed on top of them. */
  from: 'formula' | 'extra'
}

/** One pot of a batter that is divided: everything as for a formula of its own. */
export interface PartResult {
  name: string
  share: number
  result: FormulaResult
}

/** What a formula weighs. Grams and fractions at full precision. */
export interface FormulaResult {
  oils: number
  fats: FatPortion[]
  liquids: LiquidPortion[]
  additives: AdditivePortion[]
  scents: ScentPortion[]
  carriers: CarrierPortion[]
  /** The pots of a divided batter; empty when there is one pot. */
  parts: PartResult[]
  /** Names of fats without a saponification value: while there are any, no lye is worked out. */
  unknownFats: string[]
  lye: {
    /** Pure alkali wanted, counted as NaOH, acids included. */
    pureAsNaoh: number
    /** What the fats alone would take at no superfat, g NaOH. */
    fullFatDemand: number
    /** What acids take, g NaOH. */
    acidDemand: number
    pureNaoh: number
    pureKoh: number
    /** Weighed at the stated purity; 0 when a ready-mixed solution is used. */
    naoh: number
    koh: number
    solution: number | null
  }
  water: {
    held: WaterHeld
    ratio: number
    strength: number
    shareOfOils: number
    /** Water content of everything that is counted as liquid. */
    content: number
    /** Water weighed as water. */
    weighed: number
    /** Of the water weighed, what goes in as ice. */
    ice: number
    /** Water that the ready-mixed solution brings. */
    inSolution: number
    /** Water per gram of pure alkali in the lye jug alone. */
    ratioInLye: number
    /** Smallest ratio that the ready-mixed solution allows; null without one. */
    smallestRatio: number | null
  }
  superfat: { asked: number; total: number }
  batter: number
  /** The low end of what is left of the batter when long dried. */
  longDried: number
  /** Fatty acids bound or free, g. */
  fattyMatter: number
  fattyAcids: Partial<Record<FattyAcid, number>>
}

/** What a batch keeps of its formula, so that later library changes never touch it. */
export interface Frozen {
  core: string
  document: FormulaDocument
  materials: FrozenMaterial[]
  result: FormulaResult
  remarks: Remark[]
  /** Which spoons its amounts were measured with. */
  spoons?: SpoonKind
  /** What the workshop's records moved its forecasts by on that day. */
  offsets?: Offsets
  /** Why a stop was overruled, by remark id. */
  overruled: Record<string, string>
}

export interface FrozenMaterial {
  id: string
  name: string
  kind: 'fat' | 'liquid' | 'additive' | 'scent'
  values: unknown
}
