import type { Fault } from '#contracts/faults'
import type { FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'
import { computeFormula, shareTolerance, sumOfShares } from './compute'

type Add = (path: string, says: string) => void

/** Says so when a number is missing or outside its range; both ends belong to the range. */
function within(
  add: Add,
  path: string,
  value: number | null | undefined,
  low: number,
  high: number,
) {
  if (value === null || value === undefined) add(path, 'This needs a number.')
  else if (value < low || value > high) add(path, `This must be between ${low} and ${high}.`)
}

function checkFats(document: FormulaDocument, library: Library, add: Add) {
  const byLines = document.size.by === 'lines'
  if (document.fats.length === 0) add('fats', 'A formula needs at least one fat.')
  document.fats.forEach((line, index) => {
    const path = `fats[${index}]`
    const known = library.fats.has(line.id)
    if (!known && line.sap == null)
      add(
        `${path}.id`,
        `No fat is called "${line.id}"; give its saponification value as "sap" to use it all the same.`,
      )
    if (!known && line.sap != null && !line.name)
      add(`${path}.name`, 'A fat that is not in the library needs a name.')
    if (line.sap != null && (line.sap < 20 || line.sap > 400))
      add(
        `${path}.sap`,
        'A saponification value is mg KOH per g fat, between 20 and 400. A figure like 0.135 is g NaOH per g: multiply it by 1402.8.',
      )
    if (byLines) {
      if (line.share != null)
        add(`${path}.share`, 'With size by "lines" every fat has grams, not a share.')
      within(add, `${path}.grams`, line.grams, 0, 1_000_000)
    } else {
      if (line.grams != null)
        add(`${path}.grams`, 'With size by "oils" every fat has a share, not grams.')
      within(add, `${path}.share`, line.share, 0, 1)
    }
  })
  if (document.size.by === 'oils') {
    within(add, 'size.grams', document.size.grams, 1, 1_000_000)
    const sum = sumOfShares(document)
    const complete = document.fats.every((line) => line.share != null)
    if (document.fats.length && complete && Math.abs(sum - 1) > shareTolerance)
      add('fats', `The shares must sum to 1; they sum to ${Number(sum.toFixed(6))}.`)
  } else if (
    document.fats.length &&
    document.fats.every((line) => line.grams != null) &&
    !document.fats.some((line) => line.grams! > 0)
  )
    add('fats', 'At least one fat must weigh more than nothing.')
}

function checkLiquids(document: FormulaDocument, library: Library, add: Add) {
  document.liquids.forEach((line, index) => {
    const path = `liquids[${index}]`
    if (!library.liquids.has(line.id)) add(`${path}.id`, `No liquid is called "${line.id}".`)
    within(add, `${path}.share`, line.share, 0, 1)
  })
  const sum = document.liquids.reduce((part, line) => part + (line.share ?? 0), 0)
  if (sum > 1 + shareTolerance)
    add(
      'liquids',
      `The shares of liquid may sum to at most 1; they sum to ${Number(sum.toFixed(6))}.`,
    )
}

function checkExtras(document: FormulaDocument, library: Library, add: Add) {
  document.additives.forEach((line, index) => {
    const path = `additives[${index}]`
    if (!library.additives.has(line.id)) add(`${path}.id`, `No additive is called "${line.id}".`)
    const ways = [line.rate, line.grams].filter((value) => value != null).length
    if (ways !== 1) add(path, 'Give exactly one of a rate (with "of") or grams.')
    if (line.rate != null) {
      within(add, `${path}.rate`, line.rate, 0, 2)
      if (!line.of) add(`${path}.of`, 'A rate needs to say what it is a rate of: "oils".')
    } else if (line.of) add(`${path}.of`, '"of" goes with a rate.')
    if (line.grams != null) within(add, `${path}.grams`, line.grams, 0, 1_000_000)
  })
  document.scents.forEach((line, index) => {
    const path = `scents[${index}]`
    within(add, `${path}.rate`, line.rate, 0, 0.5)
    if (line.maxOfBar != null && (line.maxOfBar <= 0 || line.maxOfBar > 1))
      add(`${path}.maxOfBar`, 'This must be more than 0 and at most 1.')
  })
}

function checkLyeAndWater(document: FormulaDocument, add: Add) {
  const { alkali } = document
  within(add, 'superfat', document.superfat, -0.5, 0.9)
  within(add, 'alkali.naohPurity', alkali.naohPurity, 0.8, 1)
  within(add, 'alkali.kohShare', alkali.kohShare, 0, 1)
  within(add, 'alkali.kohPurity', alkali.kohPurity, 0.8, 1)
  if (alkali.solutionStrength != null)
    within(add, 'alkali.solutionStrength', alkali.solutionStrength, 0.1, 0.55)
  const range = { ratio: [0.1, 20], strength: [0.05, 0.9], shareOfOils: [0.01, 3] }
  const [low, high] = range[document.water.held] as [number, number]
  within(add, 'water.value', document.water.value, low, high)
}

/**
 * What keeps a document from being a valid formula: one that can be weighed. An empty list means it is valid;
 * it may still be unsafe, which is for the remarks to say.
 */
export function faultsInFormula(document: FormulaDocument, library: Library): Fault[] {
  const faults: Fault[] = []
  const add: Add = (path, says) => faults.push({ path, says })
  checkFats(document, library, add)
  checkLiquids(document, library, add)
  checkExtras(document, library, add)
  checkLyeAndWater(document, add)
  if (faults.length === 0) {
    const { water } = computeFormula(document, library)
    if (water.weighed < -1e-9)
      add(
        'water.value',
        Number.isFinite(water.smallestRatio)
          ? `The ready-mixed lye alone brings more water than this; the smallest ratio that works is ${Number(water.smallestRatio!.toFixed(4))}.`
          : 'The ready-mixed lye brings water, but the other liquids leave no room for any.',
      )
  }
  return faults
}
