import type { FormulaDocument } from '#contracts/formula'
import type { Remark } from '#contracts/result'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'
import { shareTolerance, sumOfShares } from './compute'
import { nameOfFat } from './names'

/** Something a formula still lacks before anything can be said of it. */
export interface StillOpen {
  id: 'empty' | 'number' | 'value' | 'open' | 'over' | 'size' | 'water' | 'superfat'
  says: string
  fix?: Remark['fix']
}

/**
 * What is still open in a draft, in quiet words. While there is anything, nobody can judge it: no stop, no verdict, no odds and no
 * traits are shown.
 * @example stillOpen(example, shipped, say) // []
 */
export function stillOpen(
  document: FormulaDocument,
  library: Library,
  say: Formatter,
): StillOpen[] {
  const { fats, size } = document
  if (!fats.length) return [{ id: 'empty', says: 'Remarks appear here as the formula grows.' }]
  const open: StillOpen[] = []
  const byLines = size.by === 'lines'
  const numberless = fats.filter((line) => (byLines ? line.grams : line.share) == null)
  for (const line of numberless)
    open.push({ id: 'number', says: `${nameOfFat(line, library)} has no number yet.` })
  for (const line of fats)
    if (!((line.sap ?? library.fats.get(line.id)?.sap.typical ?? 0) > 0))
      open.push({
        id: 'value',
        says: `${nameOfFat(line, library)} has no saponification value yet: no lye can be worked out.`,
      })
  if (byLines) {
    if (!numberless.length && !fats.some(({ grams }) => (grams ?? 0) > 0))
      open.push({ id: 'number', says: 'No fat weighs anything yet.' })
  } else {
    const sum = sumOfShares(document)
    const missing = 1 - sum
    const spread: Remark['fix'] =
      sum > 0 && !numberless.length
        ? {
            label: 'Spread to 100 %',
            patch: fats.map((fat, index) => ({
              path: ['fats', index, 'share'],
              value: (fat.share ?? 0) / sum,
            })),
          }
        : undefined
    if (missing > shareTolerance)
      open.push({ id: 'open', says: `${say.percent(missing, 2)} still to place.`, fix: spread })
    else if (missing < -shareTolerance)
      open.push({
        id: 'over',
        says: `The fats are ${say.percent(-missing, 2)} over: all together make 100 %.`,
        fix: spread,
      })
  }
  const unsized = size.by === 'oils' || size.by === 'batter' ? !((size.grams ?? 0) > 0) : false
  if (unsized) open.push({ id: 'size', says: 'How large it is to be is still open.' })
  if (document.superfat === null) open.push({ id: 'superfat', says: 'The superfat is still open.' })
  if (document.water.value === null) open.push({ id: 'water', says: 'The water is still open.' })
  return open
}
