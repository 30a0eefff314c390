/* The words of the bench that are lists of choices, and how a run begins before anybody changes anything. */

/** Vessels whose temperature is watched. */
export const vesselKinds = ['lye', 'oils'] as const
export type VesselKind = (typeof vesselKinds)[number]

/** How a vessel stands: in the room's air, in ice water, or being warmed. */
export const treatments = ['air', 'ice', 'heat'] as const
export type Treatment = (typeof treatments)[number]

/** What a batter goes through, as keys 1 to 6. */
export const batterStages = ['cloudy', 'emulsion', 'light', 'medium', 'thick', 'too-far'] as const
export type BatterStage = (typeof batterStages)[number]

/**
 * What was done about a batter that thickened too soon: the blender taken out, what was seen then (it weeps, or it is smooth), what
 * the maker is sure of, and how it was poured after all. `waited` stands in runs from before anybody was asked what was seen.
 */
export const rescues = [
  'stopped',
  'weeps',
  'smooth',
  'is-trace',
  'waited',
  'simpler-pour',
  'dough',
] as const
export type Rescue = (typeof rescues)[number]

/** Why a lye is thrown away and made anew. */
export const lyeFaults = ['weak', 'scorched', 'other'] as const
export type LyeFault = (typeof lyeFaults)[number]

/** What jugs, pots and cups are made of; `plastic` is one that is not PP or HDPE, or of which nobody knows. */
export const vesselStuffs = ['steel', 'pp', 'hdpe', 'glass', 'silicone', 'plastic'] as const
export type VesselStuff = (typeof vesselStuffs)[number]

/** An ordinary day at the bench. Apart from the schema, so that a screen that only begins with it does not load what validates. */
export const usualSetup = {
  roomC: 20,
  /** 150 g of PP. */
  jug: { grams: 150, stuff: 'pp' as const },
  scaleMax: 5000,
  guardC: 38,
  thermometer: true,
  meltBy: 'stove' as const,
  frozen: null,
  tool: null,
  sends: true,
  oilsOntoLye: false,
  divide: null,
  bulkScent: true,
  day: null,
  order: [],
  leftOut: [],
  own: [],
}
