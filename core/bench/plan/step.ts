import type { BatterStage, VesselKind, VesselStuff } from '#contracts/benchWords'
import type { Substance } from '../../formula/makingOrder'

/** What is weighed. `share` is a part of what is really in the jug, poured off by weight. */
export type WeighedKind =
  | 'water'
  | 'ice'
  | 'naoh'
  | 'koh'
  | 'solution'
  | 'fat'
  | 'carrier'
  | 'liquid'
  | 'additive'
  | 'scent'
  | 'share'

export interface Weighing {
  kind: WeighedKind
  /** Id of the material; for a share what is divided: "oils", "lye", "batter". */
  id: string
  name: string
  substance: Substance
  /** g as planned. */
  grams: number
  /** g by which it may miss to either side. */
  tolerance: number
  /** The pot it is for; null when it is for all of them. */
  pot: number | null
  /** Share of what is divided, 0–1; 0 for everything else. */
  share: number
  /** Whether it can be spooned out again: it lies in a cup of its own. */
  alone: boolean
  /** Oil for a colour that comes on top of the formula's own. */
  onTop?: boolean
}

export type StepKind =
  | 'safety-check'
  | 'do'
  | 'weigh'
  | 'dissolve'
  | 'cool'
  | 'melt'
  | 'stir-in'
  | 'meet'
  | 'check'
  | 'combine'
  | 'batter'
  | 'pour'
  | 'cover'
  | 'rinse'

/** One step of the bench. */
export interface Step {
  id: string
  kind: StepKind
  /** What to do, as a heading. */
  says: string
  /** The same for the list at the side. */
  short: string
  /** How, in one or two lines. */
  how: string
  why?: string
  /** Attended minutes, usually. */
  minutes: number
  /** Steps that must be finished first. */
  after: string[]
  weigh?: Weighing
  /** Vessel that it goes into or concerns. */
  vessel?: string
  /** The vessel whose temperature counts, and the most it may be, °C. */
  watch?: { vessel: VesselKind; most: number }
  /** The pot it concerns; not there when it is for all of them. */
  pot?: number
  /** The stage a batter is brought to; where the pour decides it, not there. */
  until?: BatterStage
  /** Cannot be left out. */
  needed: boolean
  /** Shows an amount of lye, or handles it. */
  lye?: boolean
}

export interface PotPlan {
  name: string
  share: number
  colour: string
  /** g of batter as planned. */
  batter: number
  /** Minutes from emulsion to too thick, by the model: by its own water, scent and extras. */
  working: number
  /** Minutes from its emulsion until it is poured; null where all pots are poured together. */
  takes: number | null
  /** Whether it is too thick before its pour is over, or in half the time of the others. */
  races: boolean
}

/** A vessel to lay out. */
export interface VesselPlan {
  id: string
  says: string
  /** The same without whose it is: those of a plan that are called alike are laid out together. */
  called: string
  /** ml that it will hold. */
  millilitres: number
  /** ml that it should take, with room to stir. */
  size: number
  of: string
  /** What it may be made of; every other would melt, crack, or be eaten. */
  fits: readonly VesselStuff[]
}
