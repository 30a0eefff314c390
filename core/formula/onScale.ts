import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { naohPerKoh } from '../chemistry/elements'
import { superfatAsWeighed } from '../chemistry/superfat'
import type { Library } from '../materials/library'
import { waysFrom } from '../water/ways'
import { byWeights, computeFormula, fatGrams } from './compute'
import { documentOfPart, sumOfPots } from './parts'
import { lyeWeighed, weighPot } from './pot'
import { sum, sumOf } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'

/** What a scale can show of a formula, and what superfat those weights really have. */
export interface OnScale {
  result: FormulaResult
  /** Resolution the weights were rounded to, g. */
  scale: number
  /** Superfat of the rounded weights, by the forward calculation. */
  superfat: number
  secondOpinion: SecondOpinion
  /** Whether every pot has a lye jug of its own; else one jug serves all, rounded once. */
  ownJugs: boolean
  /** Pots and cups that this scale is too coarse for. */
  coarse: CoarseCup[]
}

/** A pot that the scale can hardly weigh. */
export interface CoarseCup {
  /** Place among the pots; 0 where there is one. */
  pot: number
  name: string
  /** How far half a step of the scale moves its superfat, a fraction. */
  points: number
  /** Something that has to be in it weighs less than the scale can show. */
  tooSmall: boolean
}

/** The inverse calculation's answer to the weights that are about to be shown. */
export interface SecondOpinion {
  agrees: boolean
  superfat: number
}

/** A millionth of a step is noise of the computer's own arithmetic, and no step less of lye. */
const hair = 1e-6
const nearest = (grams: number, scale: number) => Math.round(grams / scale) * scale
const down = (grams: number, scale: number) => Math.floor(grams / scale + hair) * scale

/** Two paths to one superfat may differ by rounding in the computer, never by more than this. */
const agreement = 1e-6

/**
 * Asks the inverse: what superfat do these weights have? It shares no step with the forward calculation.
 * @param forward superfat that the forward calculation gives for the same weights
 * @example secondOpinion(example, made, shipped, 0.05) // { superfat: 0.05, agrees: true }
 */
export function secondOpinion(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  forward: number,
): SecondOpinion {
  const { solutionStrength, naohPurity, kohPurity } = document.alkali
  const fats = result.fats.map(({ grams, sap }) => ({ grams, sap }))
  for (const liquid of result.liquids)
    fats.push({ grams: liquid.fatGrams, sap: library.liquids.get(liquid.id)?.fatSap ?? 0 })
  for (const { id, fatGrams } of result.additives)
    if (fatGrams > 0) fats.push({ grams: fatGrams, sap: library.additives.get(id)?.fatSap ?? 0 })
  for (const { id, grams, from } of result.carriers)
    if (from === 'extra') fats.push({ grams, sap: library.fats.get(id)?.sap.typical ?? 0 })
  const superfat = superfatAsWeighed({
    fats,
    acids: result.additives.flatMap(({ id, grams }) => {
      const acid = library.additives.get(id)?.acid
      return acid ? [{ acid, grams }] : []
    }),
    sour: result.liquids.flatMap(({ id, grams }) => {
      const naohPerGram = library.liquids.get(id)?.naohTaken ?? 0
      return naohPerGram > 0 ? [{ grams, naohPerGram }] : []
    }),
    naoh:
      solutionStrength === null
        ? { grams: result.lye.naoh, purity: naohPurity }
        : { grams: result.lye.solution ?? 0, purity: solutionStrength },
    koh: { grams: result.lye.koh, purity: kohPurity },
  })
  return { superfat, agrees: Math.abs(superfat - forward) < agreement }
}

/** What a line is given by no longer, once it is given in grams. */
const inGrams = { rate: undefined, of: undefined, amount: undefined }

/** The document with every fat, additive and scent set to what the scale can weigh of it. */
function inScaleSteps(
  document: FormulaDocument,
  library: Library,
  grams: number[],
  scale: number,
): FormulaDocument {
  const exact = computeFormula(byWeights(document, grams), library)
  return {
    ...byWeights(
      document,
      grams.map((one) => nearest(one, scale)),
    ),
    additives: document.additives.map((line, index) => ({
      ...line,
      ...inGrams,
      grams: nearest(exact.additives[index]!.grams, scale),
    })),
    scents: document.scents.map((line, index) => ({
      ...line,
      ...inGrams,
      grams: nearest(exact.scents[index]!.grams, scale),
    })),
  }
}

/** By what each weight of a jug is to be multiplied so that the scale can show it. */
interface Steps {
  naoh: number
  koh: number
  solution: number
  water: number
  ice: number
  /** By the id and moment of a liquid. */
  liquids: Map<string, number>
}

const liquidKey = ({ id, moment }: FormulaResult['liquids'][number]) => `${id} ${moment}`
const factor = (exact: number, round: (grams: number, scale: number) => number, scale: number) =>
  exact > 0 ? round(exact, scale) / exact : 1

/** Lye is rounded down, all else to the nearest step. */
function stepsOf({ lye, water, liquids }: FormulaResult, scale: number): Steps {
  const sums = new Map<string, number>()
  for (const liquid of liquids)
    sums.set(liquidKey(liquid), (sums.get(liquidKey(liquid)) ?? 0) + liquid.grams)
  return {
    naoh: factor(lye.naoh, down, scale),
    koh: factor(lye.koh, down, scale),
    solution: factor(lye.solution ?? 0, down, scale),
    water: factor(water.weighed, nearest, scale),
    ice: factor(water.ice, nearest, scale),
    liquids: new Map([...sums].map(([key, grams]) => [key, factor(grams, nearest, scale)])),
  }
}

/** A pot with its lye, water and liquids in steps of the scale, and the superfat and water that follow from them. */
function settled(
  exact: FormulaResult,
  document: FormulaDocument,
  library: Library,
  steps: Steps,
  scale: number,
): FormulaResult {
  const { naohPurity, kohPurity, solutionStrength } = document.alkali
  const naoh = exact.lye.naoh * steps.naoh
  const koh = exact.lye.koh * steps.koh
  const solution = exact.lye.solution === null ? null : exact.lye.solution * steps.solution
  const pureNaoh = solution === null ? naoh * naohPurity : solution * solutionStrength!
  const pureKoh = koh * kohPurity
  const pureAsNaoh = pureNaoh + pureKoh * naohPerKoh

  const liquids = exact.liquids.map((liquid) => {
    const kept = steps.liquids.get(liquidKey(liquid)) ?? 1
    return {
      ...liquid,
      grams: liquid.grams * kept,
      waterGrams: liquid.waterGrams * kept,
      fatGrams: liquid.fatGrams * kept,
      naohTaken: liquid.naohTaken * kept,
    }
  })
  const demandOf = (grams: number, sap: number | undefined) => grams * naohPerGramOfFat(sap ?? 0)
  const carriers = exact.carriers.map((carrier) => ({
    ...carrier,
    grams: nearest(carrier.grams, scale),
  }))
  const extra = carriers.filter(({ from }) => from === 'extra')
  const demand =
    exact.lye.fullFatDemand +
    sum(liquids.map(({ id, fatGrams }) => demandOf(fatGrams, library.liquids.get(id)?.fatSap))) +
    sum(
      exact.additives.map(({ id, fatGrams }) =>
        demandOf(fatGrams, library.additives.get(id)?.fatSap),
      ),
    ) +
    sum(extra.map(({ id, grams }) => demandOf(grams, library.fats.get(id)?.sap.typical)))
  const acidDemand = sum([...exact.additives, ...liquids].map(({ naohTaken }) => naohTaken))
  const total = exact.unknownFats.length
    ? exact.superfat.total
    : demand > 0
      ? 1 - (pureAsNaoh - acidDemand) / demand
      : 0

  const weighed = exact.water.weighed * steps.water
  const inSolution = solution === null ? 0 : solution - pureNaoh
  const content = weighed + inSolution + sum(liquids.map(({ waterGrams }) => waterGrams))
  const lyeGrams = pureNaoh + pureKoh
  const portions = [...exact.fats, ...liquids, ...exact.additives, ...extra, ...exact.scents]
  return {
    ...exact,
    liquids,
    carriers,
    lye: { ...exact.lye, naoh, koh, solution, pureNaoh, pureKoh, pureAsNaoh, acidDemand },
    water: {
      ...exact.water,
      ...(lyeGrams > 0 ? waysFrom(content / lyeGrams, lyeGrams, exact.oils) : {}),
      weighed,
      ice: Math.min(Math.max(0, weighed), exact.water.ice * steps.ice),
      inSolution,
      content,
    },
    superfat: { ...exact.superfat, total },
    batter: sum(portions.map(({ grams }) => grams)) + naoh + koh + (solution ?? 0) + weighed,
  }
}

/** Moments of what is weighed once for all pots where they share a jug; what goes in later is weighed pot by pot. */
const inCommon = (moment: string, ownJugs: boolean) =>
  moment === 'oils' || (!ownJugs && moment !== 'trace')

/** The pots of a divided batter with fats, extras and scents as they are weighed: once where they are shared, else pot by pot. */
function potsInSteps(
  document: FormulaDocument,
  library: Library,
  fats: number[],
  ownJugs: boolean,
  scale: number,
) {
  const weighedFats = fats.map((grams) => nearest(grams, scale))
  const common = document.additives.length
  const drafts = document.parts.map((part) => {
    const own = documentOfPart(document, part)
    const grams = fats.map((fat) => fat * (part.share ?? 0))
    return { part, own, exact: weighPot(own, library, grams) }
  })
  const sumOver = (list: 'additives' | 'scents', index: number) =>
    sumOf(drafts, ({ exact }) => exact[list][index]?.grams ?? 0)
  const inSteps = (
    list: 'additives' | 'scents',
    index: number,
    line: FormulaResult['additives'][number] | FormulaResult['scents'][number],
  ) => {
    const shared = (list === 'scents' || index < common) && inCommon(line.moment, ownJugs)
    if (!shared) return nearest(line.grams, scale)
    const whole = sumOver(list, index)
    return whole > 0 ? (nearest(whole, scale) * line.grams) / whole : 0
  }
  return drafts.map(({ part, own, exact }) => {
    const rounded: FormulaDocument = {
      ...own,
      additives: own.additives.map((line, index) => ({
        ...line,
        ...inGrams,
        grams: inSteps('additives', index, exact.additives[index]!),
      })),
      scents: own.scents.map((line, index) => ({
        ...line,
        ...inGrams,
        grams: inSteps('scents', index, exact.scents[index]!),
      })),
    }
    const grams = weighedFats.map((fat) => fat * (part.share ?? 0))
    return { name: part.name, share: part.share ?? 0, result: weighPot(rounded, library, grams) }
  })
}

/** How far half a step of the scale in the cup of lye or the cup of oils moves the superfat of a pot. */
function pointsOf(pot: FormulaResult, ownJug: boolean, scale: number): number {
  const { lye, water, superfat } = pot
  const forFats = lye.pureAsNaoh - lye.acidDemand
  const demand = superfat.total < 1 ? forFats / (1 - superfat.total) : 0
  if (!(demand > 0)) return 0
  const weighedLye = lyeWeighed(pot)
  const inJug =
    weighedLye +
    Math.max(0, water.weighed) +
    sumOf(pot.liquids, ({ moment, grams }) => (moment === 'lye' ? grams : 0))
  const alkaliPerGram = lye.pureAsNaoh / (ownJug ? weighedLye : inJug)
  const half = scale / 2
  return Math.max((half * alkaliPerGram) / demand, (half / pot.oils) * (1 - superfat.total))
}

/** A pot counts as coarse when half a step of the scale moves its superfat by more than this. */
const coarsePoint = 0.01

function coarseCups(
  pots: { name: string; result: FormulaResult }[],
  ownJugs: boolean,
  scale: number,
): CoarseCup[] {
  return pots.flatMap(({ name, result }, pot) => {
    const points = pointsOf(result, ownJugs, scale)
    const { water, oils } = result
    const needed = [lyeWeighed(result), oils, ...(water.weighed > 0 ? [water.weighed] : [])]
    const tooSmall = oils > 0 && needed.some((grams) => grams < scale - 1e-9)
    return points > coarsePoint || tooSmall ? [{ pot, name, points, tooSmall }] : []
  })
}

/**
 * A formula as a scale of a given resolution can weigh it: fats, acids and liquids to the nearest step, the lye worked
 * out again from them and rounded *down*, the water from that lye. Pots that share one lye jug share one rounding of it, and
 * each gets its part; a pot with water of its own has its jug and its own rounding.
 * @param scale resolution, g, above 0
 * @example onScale(example, shipped, 1).result.lye.naoh // 128
 */
export function onScale(document: FormulaDocument, library: Library, scale: number): OnScale {
  const grams = fatGrams(document, library)
  const ownJugs = document.parts.some(({ water }) => water)
  let result: FormulaResult
  if (document.parts.length) {
    const exact = potsInSteps(document, library, grams, ownJugs, scale)
    const shared = ownJugs ? null : stepsOf(sumOfPots(document, exact), scale)
    result = sumOfPots(
      document,
      exact.map((pot) => ({
        ...pot,
        result: settled(pot.result, document, library, shared ?? stepsOf(pot.result, scale), scale),
      })),
    )
  } else {
    const exact = computeFormula(inScaleSteps(document, library, grams, scale), library)
    result = settled(exact, document, library, stepsOf(exact, scale), scale)
  }
  const superfat = result.superfat.total
  const pots = result.parts.length ? result.parts : [{ name: '', result }]
  return {
    result,
    scale,
    superfat,
    secondOpinion: secondOpinion(document, result, library, superfat),
    ownJugs,
    coarse: coarseCups(pots, ownJugs || !result.parts.length, scale),
  }
}

/**
 * The formula with every weight one that the scale can show, and the superfat that those weights really have: lye rounded
 * down leaves a little more. One pot only; a divided batter is rounded pot by pot on its sheet.
 * @param scale resolution, g, above 0
 * @example roundedToScale(example, shipped, 1).superfat // 0.0549927
 */
export function roundedToScale(
  document: FormulaDocument,
  library: Library,
  scale: number,
): FormulaDocument {
  const { result } = onScale(document, library, scale)
  const inLye = sumOf(result.fats, (fat) => (fat.inLye ? fat.naohDemand : 0))
  if (document.parts.length || inLye <= 0) return document
  const rounded = inScaleSteps(document, library, fatGrams(document, library), scale)
  const weighed = <T extends { grams?: number | null }>(line: T) => ({
    ...line,
    grams: roundTo(line.grams ?? 0),
  })
  return {
    ...rounded,
    fats: rounded.fats.map(weighed),
    additives: rounded.additives.map(weighed),
    scents: rounded.scents.map(weighed),
    superfat: roundTo(1 - (result.lye.pureAsNaoh - result.lye.acidDemand) / inLye, 10),
  }
}
