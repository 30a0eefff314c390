import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { RunSetup } from '#contracts/run'
import type { OnScale } from '../../formula/onScale'
import { pours } from '../../batter/patterns'
import { patternOf } from '../../formula/method'
import { documentOfPart } from '../../formula/parts'

/** One pot of the plan: its own document and its weights on the scale. */
export interface Pot {
  name: string
  share: number
  document: FormulaDocument
  result: FormulaResult
}

/**
 * The pots of a batter; a batter that is not divided is one pot without a name.
 * @example potsOf(example, { result: made }).length // 1
 */
export function potsOf(document: FormulaDocument, { result }: OnScale): Pot[] {
  if (!document.parts.length) return [{ name: '', share: 1, document, result }]
  return document.parts.map((part, index) => ({
    name: part.name,
    share: part.share ?? 0,
    document: documentOfPart(document, part),
    result: result.parts[index]!.result,
  }))
}

/**
 * Whether pots have lye of their own, since they have water of their own.
 * @example lyeByPot(example) // false
 */
export const lyeByPot = (document: FormulaDocument): boolean =>
  document.parts.some((part) => part.water)

export type Dividing = 'none' | 'upfront' | 'batter'

/**
 * Where a batter is divided: before the lye where pots have lye of their own or layers must each have their time, else at
 * emulsion; the maker may choose where the formula leaves a choice.
 * @example dividingOf(example, null) // 'none'
 */
export function dividingOf(document: FormulaDocument, choice: RunSetup['divide']): Dividing {
  if (document.parts.length < 2) return 'none'
  if (lyeByPot(document)) return 'upfront'
  const many = document.parts.length > 2
  return choice ?? (many && pours[patternOf(document)].oneByOne ? 'upfront' : 'batter')
}
