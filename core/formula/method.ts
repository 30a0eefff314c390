import type { FormulaDocument } from '#contracts/formula'
import type { Pattern } from '#contracts/words'

/**
 * How the batter is poured: the first of its patterns, which decides the batter it wants; plain where none is named.
 * @example patternOf(example) // 'plain'
 */
export const patternOf = ({ method }: Pick<FormulaDocument, 'method'>): Pattern =>
  method.patterns[0] ?? 'plain'

/**
 * All the ways it is poured, each once, in the order of the work; plain where none is named.
 * @example patternsOf(example) // ['plain']
 */
export const patternsOf = ({ method }: Pick<FormulaDocument, 'method'>): Pattern[] =>
  method.patterns.length ? [...new Set(method.patterns)] : ['plain']

/**
 * Whether a blender brings it together; by hand it takes longer.
 * @example byBlender(example) // true
 */
export const byBlender = ({ method }: Pick<FormulaDocument, 'method'>): boolean =>
  method.tool === 'blender'
