import type { FatLine, FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'

/**
 * What a fat line is called: its own name, the library's, or its id.
 * @example nameOfFat({ id: 'olive' }, shipped) // 'Olive oil'
 */
export const nameOfFat = (line: Pick<FatLine, 'id' | 'name'>, library: Library): string =>
  line.name ?? library.fats.get(line.id)?.name ?? line.id
/**
 * What a liquid is called in the library; its id where nobody knows it.
 * @example nameOfLiquid('goat-milk', shipped) // 'Goat milk'
 */
export const nameOfLiquid = (id: string, library: Library): string =>
  library.liquids.get(id)?.name ?? id
/**
 * What an extra is called in the library; its id where nobody knows it.
 * @example nameOfExtra('kaolin', shipped) // 'Kaolin'
 */
export const nameOfExtra = (id: string, library: Library): string =>
  library.additives.get(id)?.name ?? id

/**
 * Water in the way it is held.
 * @example sayWater({ held: 'ratio', value: 2 }, say) // '2.0 : 1'
 */
export function sayWater({ held, value }: FormulaDocument['water'], say: Formatter): string {
  if (value === null) return 'open'
  if (held === 'ratio') return say.ratio(value)
  if (held === 'grams') return `${say.mass(value)} of water`
  return `${say.percent(value, 2)} ${held === 'strength' ? 'lye strength' : 'of oils'}`
}
