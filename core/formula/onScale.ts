import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { naohPerKoh } from '../chemistry/elements'
import { superfatAsWeighed } from '../chemistry/superfat'
import type { Library } from '../materials/library'
import { waysFrom } from '../water/ways'
import { computeFormula, fatGrams } from './compute'
import { documentOfPart, sumOfPots } from './parts'

/** What a scale can show of a formula, and what superfat those weights really have. */
export interface OnScale {
  result: FormulaResult
  /** Resolution the weights were rounded to, g. */
  scale: number
  /** Superfat of the rounded weights, by the forward calculation. */
  superfat: number
  secondOpinion: SecondOpinion
}

/** The inverse calculation's answer to the weights that are about to be shown. */
export interface SecondOpinion {
  agrees: boolean
  superfat: number
}

const nearest = (grams: number, scale: number) => Math.round(grams / scale) * scale
const down = (grams: number, scale: number) => Math.floor(grams / scale + 1e-9) * scale

/** Two paths to one superfat may differ by rounding in the computer, never by more than this. */
const agreement = 1e-6

/**
 * Asks the inverse: what superfat do these weights have? It shares no step with the forward calculation.
 * @param forward superfat that the forward calculation gives for the same weights
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
  for (const { id, grams, from } of result.carriers)
    if (from === 'extra') fats.push({ grams, sap: library.fats.get(id)?.sap.typical ?? 0 })
  const superfat = superfatAsWeighed({
    fats,
    acids: result.additives.flatMap(({ id, grams }) => {
      const acid = library.additives.get(id)?.acid
      return acid ? [{ acid, grams }] : []
    }),
    naoh:
      solutionStrength === null
        ? { grams: result.lye.naoh, purity: naohPurity }
        : { grams: result.lye.solution ?? 0, purity: solutionStrength },
    koh: { grams: result.lye.koh, purity: kohPurity },
  })
  return { superfat, agrees: Math.abs(superfat - forward) < agreement }
}

/** The document with every fat, additive and scent set to what the scale can weigh of it. */
function inScaleSteps(
  document: FormulaDocument,
  library: Library,
  grams: number[],
  scale: number,
): FormulaDocument {
  const byLines: FormulaDocument = {
    ...document,
    size: { by: 'lines' },
    fats: document.fats.map((line, index) => ({ ...line, share: undefined, grams: grams[index]! })),
  }
  const exact = computeFormula(byLines, library)
  const weighed = { rate: undefined, of: undefined, amount: undefined }
  return {
    ...byLines,
    fats: byLines.fats.map((line) => ({ ...line, grams: nearest(line.grams!, scale) })),
    additives: document.additives.map((line, index) => ({
      ...line,
      ...weighed,
      grams: nearest(exact.additives[index]!.grams, scale),
    })),
    scents: document.scents.map((line, index) => ({
      ...line,
      ...weighed,
      grams: nearest(exact.scents[index]!.grams, scale),
    })),
  }
}

/** One pot as the scale can weigh it. */
function potOnScale(
  document: FormulaDocument,
  library: Library,
  grams: number[],
  scale: number,
): FormulaResult {
  const exact = computeFormula(inScaleSteps(document, library, grams, scale), library)
  const { naohPurity, kohPurity, solutionStrength } = document.alkali

  const naoh = down(exact.lye.naoh, scale)
  const koh = down(exact.lye.koh, scale)
  const solution = exact.lye.solution === null ? null : down(exact.lye.solution, scale)
  const pureNaoh = solution === null ? naoh * naohPurity : solution * solutionStrength!
  const pureKoh = koh * kohPurity
  const pureAsNaoh = pureNaoh + pureKoh * naohPerKoh

  const liquids = exact.liquids.map((liquid) => {
    const grams = nearest(liquid.grams, scale)
    const kept = liquid.grams > 0 ? grams / liquid.grams : 0
    return {
      ...liquid,
      grams,
      waterGrams: liquid.waterGrams * kept,
      fatGrams: liquid.fatGrams * kept,
    }
  })
  const milkFatDemand = liquids.reduce(
    (sum, { id, fatGrams }) =>
      sum + fatGrams * naohPerGramOfFat(library.liquids.get(id)?.fatSap ?? 0),
    0,
  )
  const carriers = exact.carriers.map((carrier) => ({
    ...carrier,
    grams: nearest(carrier.grams, scale),
  }))
  const extra = carriers.filter(({ from }) => from === 'extra')
  const extraDemand = extra.reduce(
    (sum, { id, grams }) => sum + grams * naohPerGramOfFat(library.fats.get(id)?.sap.typical ?? 0),
    0,
  )
  const demand = exact.lye.fullFatDemand + milkFatDemand + extraDemand
  const superfat = demand > 0 ? 1 - (pureAsNaoh - exact.lye.acidDemand) / demand : 0

  const weighed = nearest(exact.water.weighed, scale)
  const inSolution = solution === null ? 0 : solution - pureNaoh
  const content = weighed + inSolution + liquids.reduce((sum, liquid) => sum + liquid.waterGrams, 0)
  const lyeGrams = pureNaoh + pureKoh
  const portions = [...exact.fats, ...liquids, ...exact.additives, ...extra, ...exact.scents]
  return {
    ...exact,
    liquids,
    carriers,
    lye: { ...exact.lye, naoh, koh, solution, pureNaoh, pureKoh, pureAsNaoh },
    water: {
      ...exact.water,
      ...(lyeGrams > 0 ? waysFrom(content / lyeGrams, lyeGrams, exact.oils) : {}),
      weighed,
      inSolution,
      content,
    },
    superfat: { ...exact.superfat, total: superfat },
    batter:
      portions.reduce((sum, portion) => sum + portion.grams, 0) +
      naoh +
      koh +
      (solution ?? 0) +
      weighed,
  }
}

/**
 * A formula as a scale of a given resolution can weigh it: fats, acids and liquids to the nearest step, the lye worked
 * out again from them and rounded *down*, the water from that lye. A divided batter is rounded pot by pot, and the batch
 * is their sum.
 * @param scale resolution, g, above 0
 */
export function onScale(document: FormulaDocument, library: Library, scale: number): OnScale {
  const grams = fatGrams(document, library)
  const pots = document.parts.map((part) => ({
    name: part.name,
    share: part.share ?? 0,
    result: potOnScale(
      documentOfPart(document, part),
      library,
      grams.map((fat) => fat * (part.share ?? 0)),
      scale,
    ),
  }))
  const result = pots.length
    ? sumOfPots(document, pots)
    : potOnScale(document, library, grams, scale)
  const superfat = result.superfat.total
  return {
    result,
    scale,
    superfat,
    secondOpinion: secondOpinion(document, result, library, superfat),
  }
}

/**
 * The formula with every weight one that the scale can show, and the superfat that those weights really have: lye rounded
 * down leaves a little more. One pot only; a divided batter is rounded pot by pot on its sheet.
 * @param scale resolution, g, above 0
 */
export function roundedToScale(
  document: FormulaDocument,
  library: Library,
  scale: number,
): FormulaDocument {
  const { result } = onScale(document, library, scale)
  const inLye = result.fats.reduce((sum, fat) => sum + (fat.inLye ? fat.naohDemand : 0), 0)
  if (document.parts.length || inLye <= 0) return document
  const tidy = (grams: number) => Number(grams.toFixed(6))
  const rounded = inScaleSteps(document, library, fatGrams(document, library), scale)
  const weighed = <T extends { grams?: number | null }>(line: T) => ({
    ...line,
    grams: tidy(line.grams ?? 0),
  })
  return {
    ...rounded,
    fats: rounded.fats.map(weighed),
    additives: rounded.additives.map(weighed),
    scents: rounded.scents.map(weighed),
    superfat: Number((1 - (result.lye.pureAsNaoh - result.lye.acidDemand) / inLye).toFixed(10)),
  }
}
