import type { Fault } from '#contracts/faults'
import type { AdditiveLine, FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { ownPrefix } from '../materials/own'
import { waterFloor } from '../water/ways'
import { meansLyeOrWater } from '../materials/lyeWords'
import { computeFormula, shareTolerance, sumOfShares } from './compute'
import type { Measure } from './measure'
import { sumOf } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'

type Add = (path: string, says: string) => void
type MouldLine = Omit<Extract<FormulaDocument['size'], { by: 'mould' }>, 'by'>

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
    const inLibrary = library.fats.get(line.id)
    if (line.name !== undefined) checkName(`${path}.name`, line.name, add)
    if (!inLibrary) checkName(`${path}.id`, line.id, add)
    if (inLibrary && line.sap == null && !(inLibrary.sap.typical > 0))
      add(
        `${path}.sap`,
        `${inLibrary.name} has no saponification value; give it as "sap". What takes no lye is an extra, not a fat.`,
      )
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
        add(
          `${path}.grams`,
          'Every fat has a share here, not grams; grams go with size by "lines".',
        )
      within(add, `${path}.share`, line.share, 0, 1)
    }
  })
  if (!byLines) {
    const sum = sumOfShares(document)
    const complete = document.fats.every((line) => line.share != null)
    if (document.fats.length && complete && Math.abs(sum - 1) > shareTolerance)
      add('fats', `The shares must sum to 1; they sum to ${roundTo(sum)}.`)
  } else if (
    document.fats.length &&
    document.fats.every((line) => line.grams != null) &&
    !document.fats.some((line) => line.grams! > 0)
  )
    add('fats', 'At least one fat must weigh more than nothing.')
}

function checkMould(path: string, { mould, fill }: MouldLine, add: Add) {
  const millimetres = (key: string, value: number | null) =>
    within(add, `${path}mould.${key}`, value, 1, 5000)
  within(add, `${path}fill`, fill, 0.05, 1)
  if (mould.shape === 'cavities') {
    within(add, `${path}mould.count`, mould.count, 1, 10_000)
    return within(add, `${path}mould.millilitres`, mould.millilitres, 1, 100_000)
  }
  millimetres('depthMm', mould.depthMm)
  if (mould.shape === 'cylinder') return millimetres('diameterMm', mould.diameterMm)
  millimetres('lengthMm', mould.lengthMm)
  millimetres('widthMm', mould.widthMm)
}

function checkSize({ size }: FormulaDocument, add: Add) {
  const grams = (path: string, value: number | null) => within(add, path, value, 1, 1_000_000)
  switch (size.by) {
    case 'lines':
      return
    case 'oils':
    case 'batter':
      return grams('size.grams', size.grams)
    case 'bars':
      within(add, 'size.count', size.count, 1, 100_000)
      return within(add, 'size.grams', size.grams, 1, 10_000)
    case 'fattyMatter':
      grams('size.batterGrams', size.batterGrams)
      return within(add, 'size.share', size.share, 0.05, 0.95)
    case 'mould':
      return checkMould('size.', size, add)
    case 'moulds':
      if (size.moulds.length === 0) add('size.moulds', 'Name at least one mould.')
      size.moulds.forEach((line, index) => checkMould(`size.moulds[${index}].`, line, add))
  }
}

function checkLiquids(document: FormulaDocument, library: Library, add: Add) {
  document.liquids.forEach((line, index) => {
    const path = `liquids[${index}]`
    if (!library.liquids.has(line.id)) add(`${path}.id`, `No liquid is called "${line.id}".`)
    if (line.grams != null && line.share != null)
      add(path, 'A liquid has a share of all liquid or grams that are held, not both.')
    else if (line.grams !== undefined) within(add, `${path}.grams`, line.grams, 0, 1_000_000)
    else within(add, `${path}.share`, line.share, 0, 1)
  })
  const sum = sumOf(document.liquids, (line) => line.share ?? 0)
  if (sum > 1 + shareTolerance)
    add('liquids', `The shares of liquid may sum to at most 1; they sum to ${roundTo(sum)}.`)
}

/** An extra says how much in exactly one way. */
function checkMeasure(path: string, line: Measure, most: number, needsOf: boolean, add: Add) {
  const ways = [line.rate, line.grams, line.amount].filter((value) => value != null).length
  if (ways === 0 && line.rate === null) return add(`${path}.rate`, 'This needs a number.')
  if (ways === 0 && line.grams === null) return add(`${path}.grams`, 'This needs a number.')
  if (ways !== 1) return add(path, 'Give exactly one of a rate (with "of"), grams, or an amount.')
  if (line.rate != null) {
    within(add, `${path}.rate`, line.rate, 0, most)
    if (needsOf && !line.of)
      add(`${path}.of`, 'A rate needs to say what it is a rate of: "oils" or "batter".')
  } else if (line.of) add(`${path}.of`, '"of" goes with a rate.')
  if (line.grams != null) within(add, `${path}.grams`, line.grams, 0, 1_000_000)
  if (line.amount) within(add, `${path}.amount.value`, line.amount.value, 0, 1_000_000)
}

function checkAdditives(
  document: FormulaDocument,
  lines: AdditiveLine[],
  where: string,
  library: Library,
  add: Add,
) {
  lines.forEach((line, index) => {
    const path = `${where}[${index}]`
    const additive = library.additives.get(line.id)
    if (!additive) {
      add(`${path}.id`, `No additive is called "${line.id}".`)
      checkName(`${path}.id`, line.id, add)
    } else if (line.id.startsWith(ownPrefix)) checkName(`${path}.id`, additive.name, add)
    checkMeasure(path, line, 2, true, add)
    if (!line.carrier) return
    const { carrier } = line
    within(add, `${path}.carrier.ratio`, carrier.ratio, 0.1, 20)
    if (!library.fats.has(carrier.id))
      add(`${path}.carrier.id`, `No fat is called "${carrier.id}".`)
    else if (carrier.from === 'formula' && !document.fats.some((fat) => fat.id === carrier.id))
      add(`${path}.carrier.id`, `The formula has no "${carrier.id}" to take the oil from.`)
  })
}

/** Words for lye and water stand for the formula's own figures; as a line they would be in the pot twice, or unseen. */
function checkName(path: string, name: string, add: Add) {
  const meant = meansLyeOrWater(name)
  if (meant)
    add(
      path,
      meant === 'lye'
        ? `"${name}" means lye, and a formula works its lye out from the fats; it cannot be a line of its own.`
        : `"${name}" means water, and a formula has its own figure for that; it cannot be a line of its own.`,
    )
}

function checkExtras(document: FormulaDocument, library: Library, add: Add) {
  checkAdditives(document, document.additives, 'additives', library, add)
  document.scents.forEach((line, index) => {
    const path = `scents[${index}]`
    checkMeasure(path, line, 0.5, false, add)
    checkName(line.name === undefined ? `${path}.id` : `${path}.name`, line.name ?? line.id, add)
    if (line.maxOfBar != null && (line.maxOfBar <= 0 || line.maxOfBar > 1))
      add(`${path}.maxOfBar`, 'This must be more than 0 and at most 1.')
  })
}

function checkParts(document: FormulaDocument, library: Library, add: Add) {
  document.parts.forEach((part, index) => {
    const path = `parts[${index}]`
    within(add, `${path}.share`, part.share, 0.001, 1)
    if (part.water) checkWater(part.water, `${path}.water.value`, add)
    checkAdditives(document, part.additives, `${path}.additives`, library, add)
  })
  const sum = sumOf(document.parts, (part) => part.share ?? 0)
  if (document.parts.length && Math.abs(sum - 1) > shareTolerance)
    add('parts', `The shares of the pots must sum to 1; they sum to ${roundTo(sum)}.`)
}

const waterRanges = {
  ratio: [0.1, 20],
  strength: [0.05, 0.9],
  shareOfOils: [0.01, 3],
  grams: [0.1, 1_000_000],
} as const

function checkWater(water: FormulaDocument['water'], path: string, add: Add) {
  const [low, high] = waterRanges[water.held]
  within(add, path, water.value, low, high)
}

function checkLyeAndWater(document: FormulaDocument, add: Add) {
  const { alkali } = document
  within(add, 'superfat', document.superfat, -0.5, 0.9)
  within(add, 'alkali.naohPurity', alkali.naohPurity, 0.8, 1)
  within(add, 'alkali.kohShare', alkali.kohShare, 0, 1)
  within(add, 'alkali.kohPurity', alkali.kohPurity, 0.8, 1)
  if (alkali.solutionStrength != null)
    within(add, 'alkali.solutionStrength', alkali.solutionStrength, 0.1, 0.55)
  checkWater(document.water, 'water.value', add)
  within(add, 'iceShare', document.iceShare, 0, 1)
  if (document.iceGrams != null) {
    within(add, 'iceGrams', document.iceGrams, 0, 1_000_000)
    if (document.iceShare > 0) add('iceGrams', 'Give the ice as a share or in grams, not both.')
  }
}

/** Liquids held by weight may not bring more water than is wanted, nor keep it from the lye. */
function checkHeld(document: FormulaDocument, { water, lye }: FormulaResult, add: Add): boolean {
  const index = document.liquids.findIndex(({ grams }) => grams != null && grams > 0)
  if (index < 0 || lye.pureAsNaoh <= 0) return false
  const dissolved = lye.solution !== null && lye.koh === 0
  if (water.weighed < -1e-9) {
    add(
      `liquids[${index}].grams`,
      'The liquids held by weight bring more water than this formula wants: hold less of them, or take more water.',
    )
    return true
  }
  if (dissolved || water.ratioInLye >= waterFloor - 1e-9) return false
  add(
    `liquids[${index}].grams`,
    `They leave only ${roundTo(water.ratioInLye, 3)} of water to one of lye in the lye jug, where it will not dissolve: 1 is the least.`,
  )
  return true
}

/** A ready-mixed lye must leave water to weigh, or none; never less. */
function checkSolution(path: string, water: FormulaResult['water'], add: Add) {
  if (water.weighed >= -1e-9) return
  add(
    path,
    Number.isFinite(water.smallestRatio)
      ? `The ready-mixed lye alone brings more water than this; the smallest ratio that works is ${roundTo(water.smallestRatio!, 4)}.`
      : 'The ready-mixed lye brings water, but the other liquids leave no room for any.',
  )
}

/**
 * What keeps a document from being a valid formula: one that can be weighed. An empty list means it is valid;
 * it may still be unsafe, which is for the remarks to say.
 * @example faultsInFormula(blankFormula('Tide Pool'), shipped).map(({ says }) => says) // ['A formula needs at least one fat.']
 */
export function faultsInFormula(document: FormulaDocument, library: Library): Fault[] {
  const faults: Fault[] = []
  const add: Add = (path, says) => faults.push({ path, says })
  checkFats(document, library, add)
  checkSize(document, add)
  checkLiquids(document, library, add)
  checkExtras(document, library, add)
  checkParts(document, library, add)
  checkLyeAndWater(document, add)
  if (faults.length === 0) {
    const result = computeFormula(document, library)
    const { water, oils, carriers, fats, parts } = result
    if (!(oils > 0)) add('size', 'What is given in grams is already more than this size.')
    for (const carrier of carriers) {
      const there = sumOf(fats, (fat) => (fat.id === carrier.id ? fat.grams : 0))
      if (carrier.from === 'formula' && carrier.grams > there)
        add('additives', `Dispersing takes more ${carrier.name} than the formula has.`)
    }
    const held = (parts.length ? parts.map((part) => part.result) : [result]).some((pot) =>
      checkHeld(document, pot, add),
    )
    if (held) return faults
    if (document.iceGrams != null && document.iceGrams > Math.max(0, water.weighed) + 1e-9)
      add('iceGrams', 'That is more ice than the water this formula wants.')
    checkSolution('water.value', water, add)
    parts.forEach((part, index) => {
      const path = document.parts[index]!.water ? `parts[${index}].water.value` : 'water.value'
      if (water.weighed >= -1e-9) checkSolution(path, part.result.water, add)
    })
  }
  return faults
}
