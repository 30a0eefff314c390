import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Formatter } from '../units/formatter'
import { patternOf } from '../formula/method'

const toolWords = {
  blender: 'stick blender',
  whisk: 'by hand with a whisk',
  spoon: 'stirred by hand with a spoon',
} as const
const gelWords = {
  leave: 'gel as it comes',
  force: 'gel forced',
  prevent: 'gel prevented',
} as const

/**
 * A formula as text for a question to other makers: it leaves nothing out that they need to judge it, neither lye strength
 * nor temperatures nor how it is made.
 * @example formulaAsText(example, made, say).split('\n')[0] // 'Salt Flat'
 */
export function formulaAsText(
  document: FormulaDocument,
  result: FormulaResult,
  say: Formatter,
): string {
  const { lye, water } = result
  const { method, alkali } = document
  const line = (name: string, grams: number, also = '') =>
    `${say.mass(grams)}  ${name}${also ? ` (${also})` : ''}`
  const pots = result.parts.map(
    (part) =>
      `${part.name}: ${say.percent(part.share)} of the batter, water to lye ${say.ratio(part.result.water.ratio)}${part.result.additives.map((item) => `, ${say.mass(item.grams)} ${item.name}`).join('')}`,
  )
  return [
    document.name,
    '',
    ...result.fats.map((fat) =>
      line(
        fat.name,
        fat.grams,
        [say.percent(fat.share, 2), fat.moment === 'trace' ? 'at trace' : '']
          .filter(Boolean)
          .join(', '),
      ),
    ),
    lye.solution === null
      ? line('sodium hydroxide', lye.naoh, `${say.percent(alkali.naohPurity)} pure`)
      : line('ready-mixed lye', lye.solution, `${say.percent(alkali.solutionStrength!)} NaOH`),
    ...(lye.koh > 0
      ? [line('potassium hydroxide', lye.koh, `${say.percent(alkali.kohPurity)} pure`)]
      : []),
    line('water', water.weighed, water.ice > 0 ? `${say.mass(water.ice)} of it ice` : ''),
    ...result.liquids.map((item) =>
      line(
        item.name,
        item.grams,
        item.moment === 'lye'
          ? 'in the lye'
          : item.moment === 'oils'
            ? 'into the oils'
            : 'at trace',
      ),
    ),
    ...result.additives.map((item) => line(item.name, item.grams, item.moment.replace('-', ' '))),
    ...result.carriers.map((item) =>
      line(
        `${item.name} to disperse in`,
        item.grams,
        item.from === 'extra' ? 'extra' : 'from the formula',
      ),
    ),
    ...result.scents.map((item) =>
      line(
        item.name,
        item.grams,
        item.moment === 'oils' ? 'scent, in the oils' : 'scent, at trace',
      ),
    ),
    '',
    `Superfat ${say.percent(result.superfat.total, 2)}. Water to lye ${say.ratio(water.ratio)}, lye ${say.percent(water.strength)} strong. Batter ${say.amount(result.batter)}.`,
    `Lye at ${say.temperature(method.lyeC)}, oils at ${say.temperature(method.oilsC)}, ${toolWords[method.tool]}, ${gelWords[method.gel]}, pour: ${patternOf(document).replace(/-/g, ' ')}.`,
    ...(pots.length ? ['', 'Pots:', ...pots] : []),
    ...(document.notes ? ['', document.notes] : []),
  ].join('\n')
}
