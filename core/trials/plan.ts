import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { KnownScent } from '#contracts/scent'
import type { Trial, TrialPot, TrialSummary } from '#contracts/trial'
import type { TrialStage } from '#contracts/trialWords'
import { mixingC, workingTime } from '../batter/workingTime'
import { usualMinutes } from '../bench/run/batter'
import { computeFormula } from '../formula/compute'
import { byBlender } from '../formula/method'
import { toProportions } from '../formula/sizing'
import { gelForecast, type GelForecast } from '../heat/gel'
import type { Library } from '../materials/library'
import { effectOf, sameWater } from '../scents/effect'
import { median } from '../statistics/quantile'
import { sumOf } from '../statistics/sum'
import { batterFor } from './dose'

/** A plain batter of a formula as pots get it: before colour and scent, from one pot, at a water of its own. */
function plainOf(
  formula: FormulaDocument,
  ratio: number | null,
  grams: number,
  library: Library,
): FormulaDocument {
  const whole = toProportions(formula, library)
  return {
    ...whole,
    scents: [],
    parts: [],
    additives: whole.additives.filter(({ id }) => !library.additives.get(id)?.tints),
    size: { by: 'oils', grams },
    ...(ratio === null ? {} : { water: { held: 'ratio', value: ratio } }),
  }
}

/**
 * The water : lye that a formula's plain batter has.
 * @example plainRatio(example, shipped) // 2.2
 */
export const plainRatio = (formula: FormulaDocument, library: Library): number =>
  computeFormula(plainOf(formula, null, 1000, library), library).water.ratio

/**
 * Oils in a formula's plain batter, 0–1: what a dose is a share of.
 * @param ratio water : lye of the pot; null for the formula's own
 * @example plainOilShare(example, 2.2, shipped) // 0.708334
 */
export function plainOilShare(
  formula: FormulaDocument,
  ratio: number | null,
  library: Library,
): number {
  const { oils, batter } = computeFormula(plainOf(formula, ratio, 1000, library), library)
  return batter > 0 ? oils / batter : 0
}

/**
 * What a bar of a formula without scent comes to when it is as dry as it gets, per gram of oils: what a maximum on the bar is of.
 * @example plainBarPerOils(example, shipped) // 1.21363
 */
export function plainBarPerOils(formula: FormulaDocument, library: Library): number {
  const { oils, longDried } = computeFormula(plainOf(formula, null, 1000, library), library)
  return oils > 0 ? longDried / oils : 1
}

/** The batter to make for pots of one water: a lye cup each. */
export interface TrialBatter {
  ratio: number
  pots: number
  /** g, what sticks to bowl and spoon included. */
  grams: number
  document: FormulaDocument
  result: FormulaResult
}

/**
 * What to make for a trial day, by water, the driest first.
 * @example trialBatters({ formula: example, pots: [{ ratio: 2.2, grams: 60 }] }, shipped)[0].grams // 64.8
 */
export function trialBatters(
  {
    formula,
    pots,
  }: { formula: FormulaDocument; pots: readonly Pick<TrialPot, 'ratio' | 'grams'>[] },
  library: Library,
): TrialBatter[] {
  const ratios = [...new Set(pots.map(({ ratio }) => ratio))].sort((a, b) => a - b)
  return ratios.map((ratio) => {
    const here = pots.filter((pot) => pot.ratio === ratio)
    const grams = batterFor(here.map((pot) => pot.grams))
    const oils = grams * plainOilShare(formula, ratio, library)
    const document = plainOf(formula, ratio, oils, library)
    return {
      ratio,
      pots: here.length,
      grams,
      document,
      result: computeFormula(document, library),
    }
  })
}

/** Minutes to medium, from a pot's own zero: the likely one and its range, nine in ten. */
export interface Foretold {
  at: number
  from: number
  to: number
  /** Earlier plain pots it rests on; 0 while the model alone speaks. */
  plain: number
  /** Earlier pots of this scent. */
  pots: number
}

/** How far a plain batter comes sooner or later than the model says, and than its own earlier days (judgement). */
const [modelSpread, ownSpread] = [1.6, 1.25]

/**
 * Minutes to medium of a formula's plain batter at a water: by earlier plain pots where there are some, else by the model.
 * @param earlier trial days, of whatever formula
 * @example plainMinutes({ formula: example, formulaId: null }, 2.2, [], shipped).plain // 0
 */
export function plainMinutes(
  { formula, formulaId }: Pick<Trial, 'formula' | 'formulaId'>,
  ratio: number,
  earlier: readonly Pick<TrialSummary, 'document' | 'found'>[],
  library: Library,
): Foretold {
  const seen = earlier
    .filter(({ document }) => formulaId !== null && document.formulaId === formulaId)
    .flatMap(({ found }) => found)
    .filter((pot) => pot.scentId === null && Math.abs(pot.ratio - ratio) <= sameWater)
    .flatMap(({ stages }) => stages.medium?.minutes ?? [])
  if (seen.length) {
    const at = median(seen)
    return { at, from: at / ownSpread, to: at * ownSpread, plain: seen.length, pots: 0 }
  }
  const document = plainOf(formula, ratio, 1000, library)
  const { minutes } = workingTime(document, computeFormula(document, library), library)
  const at = usualMinutes(minutes, byBlender(document)).medium
  return { at, from: at / modelSpread, to: at * modelSpread, plain: 0, pots: 0 }
}

/**
 * When a pot will be medium: the plain batter's time, and what is known of its scent at this rate and water.
 * @example foretoldOf({ at: 40, from: 32, to: 50, plain: 1, pots: 0 }, null, { rate: 0.05, ratio: 2.14 }).at // 40
 */
export function foretoldOf(
  plain: Foretold,
  known: KnownScent | null,
  at: { rate: number; ratio: number },
): Foretold {
  if (!known) return plain
  const effect = known.fromParts
    ? known.effect
    : effectOf(known.scent.claims.pace, known.readings, at)
  // Both are uncertain by a factor: their logarithms' spreads add as squares.
  const wide = (side: 'from' | 'to') =>
    Math.exp(
      (side === 'from' ? -1 : 1) *
        Math.hypot(Math.log(effect[side] / effect.factor), Math.log(plain[side] / plain.at)),
    )
  const middle = plain.at * effect.factor
  return {
    at: middle,
    from: middle * wide('from'),
    to: middle * wide('to'),
    plain: plain.plain,
    pots: effect.pots,
  }
}

/** When each stage comes, for a minute of medium: as makers' soft batters go (judgement). */
const ofMedium: readonly [stage: TrialStage, times: number][] = [
  ['emulsion', 0],
  ['light', 0.5],
  ['medium', 1],
  ['thick', 1.57],
  ['too-far', 2.14],
]

/**
 * The stage that comes next in a pot, and at which of its minutes; null where none does.
 * @example nextStage('light', { at: 20 }) // { stage: 'medium', at: 20 }
 */
export function nextStage(
  now: TrialStage,
  foretold: Pick<Foretold, 'at'>,
): { stage: TrialStage; at: number } | null {
  const next = ofMedium[ofMedium.findIndex(([stage]) => stage === now) + 1]
  return next ? { stage: next[0], at: foretold.at * next[1] } : null
}

/**
 * The order in which pots are dosed: a plain one first, then slow ones, racers last, so that a racer does not set while others wait;
 * a second plain one in the middle of the rest.
 * @param minutes foretold for each pot, in their order
 * @returns places of the pots in the order in which they are to stand
 * @example potOrder([{ scentId: 'a' }, { scentId: null }, { scentId: 'b' }], [5, 30, 40]) // [1, 2, 0]
 */
export function potOrder(
  pots: readonly Pick<TrialPot, 'scentId'>[],
  minutes: readonly number[],
): number[] {
  const places = pots.map((_, place) => place)
  const plain = places.filter((place) => pots[place]!.scentId === null)
  const scented = places
    .filter((place) => pots[place]!.scentId !== null)
    .sort((a, b) => minutes[b]! - minutes[a]! || a - b)
  // Evenly among the others: the batter ages while they are dosed, and the plain ones tell by how much.
  const order = [...scented]
  plain.forEach((place, nth) => {
    const at = Math.round((nth * pots.length) / plain.length)
    order.splice(Math.min(at, order.length), 0, place)
  })
  return order
}

/** Whether a pot gels as the loaf does. */
export interface PotGel {
  pot: GelForecast
  loaf: GelForecast
  same: boolean
}

/**
 * Whether small pots gel as the loaf of the formula does: they lose their heat in minutes, and colours then differ.
 * @param grams of batter in a pot
 * @param keptC °C that the pots are kept at; null for the room
 * @example potGel({ formula: example, grams: 60, keptC: null }, shipped).pot.verdict // 'stays'
 */
export function potGel(
  { formula, grams, keptC }: { formula: FormulaDocument; grams: number; keptC: number | null },
  library: Library,
): PotGel {
  const loafResult = computeFormula(formula, library)
  const loaf = gelForecast(formula, loafResult, mixingC(formula, loafResult))
  const plain = plainOf(formula, null, 1000, library)
  const result = computeFormula(plain, library)
  const cup: FormulaDocument = {
    ...plain,
    // About a gram a millilitre.
    size: { by: 'mould', mould: { shape: 'cavities', count: 1, millilitres: grams }, fill: 1 },
  }
  // Kept warm they do not fall below what they are kept at.
  const pot = gelForecast(cup, result, Math.max(keptC ?? 0, mixingC(plain, result)))
  return { pot, loaf, same: gels(pot) === gels(loaf) }
}
const gels = ({ verdict }: GelForecast) => verdict === 'gels'

/**
 * g of each scent that a day takes, by scent.
 * @example scentsNeeded([{ scentId: 'a', grams: 60, oilShare: 0.7, rate: 0.05 }]) // [{ scentId: 'a', grams: 2.1, pots: 1 }]
 */
export function scentsNeeded(
  pots: readonly Pick<TrialPot, 'scentId' | 'grams' | 'oilShare' | 'rate'>[],
): { scentId: string; grams: number; pots: number }[] {
  const ids = [...new Set(pots.flatMap(({ scentId }) => scentId ?? []))]
  return ids.map((scentId) => {
    const here = pots.filter((pot) => pot.scentId === scentId)
    return {
      scentId,
      grams: sumOf(here, ({ grams, oilShare, rate }) => grams * oilShare * rate),
      pots: here.length,
    }
  })
}
