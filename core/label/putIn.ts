import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { bodiesOf, type FatBody } from './bodies'
import { merged, type LabelLine } from './line'
import { otherNames } from './names'

/**
 * A line of something that is no fat, by its id; one that has no name in the lists keeps its own.
 * @example otherLine('honey', 'Honey', 20).latin // 'Mel'
 */
export const otherLine = (
  id: string,
  name: string,
  grams: number,
  kind: LabelLine['kind'] = 'other',
): LabelLine => {
  const plain = name.split(',')[0]!
  return { ...(otherNames[id] ?? { latin: plain, english: plain }), kind, grams, id }
}

/**
 * A line of a fat that is still one.
 * @example fatLine({ id: 'olive', name: 'Olive oil', inci: 'Olea Europaea Fruit Oil' }, 20).latin // 'Olea Europaea Fruit Oil'
 */
export function fatLine(
  { id, name, inci }: Pick<FatBody, 'id' | 'name' | 'inci'>,
  grams: number,
): LabelLine {
  const plain = name.split(',')[0]!
  return { latin: inci || plain, english: plain, kind: 'fat', grams, id }
}

/**
 * The scents of a batch: a list has one word for all of them.
 * @example scentLines(made) // []
 */
export const scentLines = ({ scents }: Pick<FormulaResult, 'scents'>): LabelLine[] =>
  scents.map(({ id, grams }) => ({
    latin: 'Parfum',
    english: 'Fragrance',
    kind: 'scent',
    grams,
    id,
  }))

/**
 * The ingredients of a batch as they were put in, the heaviest first: fats, lye, water and the rest, as weighed. Blends count as their
 * parts, a ready-mixed lye as soda and water.
 * @param result g of a batch
 * @example putIn(made, shipped).map(({ latin }) => latin)[0] // 'Olea Europaea Fruit Oil'
 */
export function putIn(result: FormulaResult, library: Library): LabelLine[] {
  const { fats, others } = bodiesOf(result, library)
  const { lye, water } = result
  const inSolution = lye.solution ?? 0
  const soda = inSolution ? lye.pureNaoh : lye.naoh
  return merged([
    ...fats.map((fat) => fatLine(fat, fat.grams)),
    otherLine('naoh', 'Sodium hydroxide', soda, 'lye'),
    otherLine('koh', 'Potassium hydroxide', lye.koh, 'lye'),
    otherLine('water', 'Water', water.weighed + inSolution - (inSolution ? soda : 0), 'water'),
    ...others.map(({ id, name, grams, isColour }) =>
      otherLine(
        id,
        name,
        grams,
        otherNames[id]?.latin === 'Aqua' ? 'water' : isColour ? 'colour' : 'other',
      ),
    ),
    ...scentLines(result),
  ])
}
