import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { computeFormula } from '../formula/compute'
import type { Formatter } from '../units/formatter'
import type { ReadingContext } from '../words/reading'
import { usualKohPurity } from '../chemistry/alkali'
import { amounts } from './amounts'
import { sum } from '../statistics/sum'
import { openLines, outcomesOf, spanOf, type Outcome } from './outcomes'
import type { RecipeLine } from './read'
import { superfatOf } from './superfat'
import { documentOf } from './takeOver'
import { lyeCheck, superfatVerdict, waterVerdict, type Verdict } from './verdicts'

/** What somebody's recipe really is. Figures are null where the recipe does not give enough to know them. */
export interface RecipeReport {
  oils: number
  /** Null while anything in it is open. */
  superfat: number | null
  /**
   * Superfat when every fat lies at one end of its published range: lowest and highest. While something is open, over every soap
   * that fits the words.
   */
  superfatRange: [number, number] | null
  ratio: number | null
  strength: number | null
  verdicts: Verdict[]
  /** Places of the lines that wait for an answer. */
  open: number[]
  outcomes: Outcome[]
  document: FormulaDocument
  result: FormulaResult
}

/**
 * Works out what a recipe is: superfat, lye strength, a verdict with its reason. Lye is taken as pure unless it says otherwise.
 * @example judgeRecipe(recipe('450 g olive oil\n58 g lye\n128 g water'), reading, say).superfat // 0.0484302
 */
export function judgeRecipe(
  lines: RecipeLine[],
  context: ReadingContext,
  say: Formatter,
): RecipeReport {
  const { library } = context
  const known = amounts(lines, library)
  const { oils, naoh, koh, of, byShare, size, fats } = known
  const stated = known.lines.find((line) => line.kind === 'superfat')?.share ?? null
  const hasLye = naoh + koh > 0
  const open = openLines(lines)
  const outcomes = open.length ? outcomesOf(lines, context) : []
  const span = spanOf(outcomes)
  const superfat = open.length ? null : superfatOf(lines, library)
  const superfatRange: [number, number] | null = open.length
    ? span
    : superfat === null
      ? null
      : [superfatOf(lines, library, 'low')!, superfatOf(lines, library, 'high')!]
  const pure = naoh + koh * usualKohPurity
  const liquidWater = sum(
    known.lines
      .filter(({ kind }) => kind === 'liquid')
      .map((line) => of(line) * (library.liquids.get(line.id!)?.water ?? 1)),
  )
  const content = known.water + known.inSolution + liquidWater
  const ratio = pure > 0 && content > 0 ? content / pure : null

  const verdicts: Verdict[] = []
  if (open.length) {
    const ways = outcomes.filter(({ superfat: one }) => one !== null).length
    const count = `${say.count(open.length, 'line is', 'lines are')} open.`
    if (span && span[1] < 0)
      verdicts.push({
        tone: 'stop',
        says: `Do not make this: however its words are taken, it is lye-heavy by ${say.percent(-span[1])} or more.`,
        because: `${count} There is more lye than these fats can take, and what is left over burns.`,
      })
    else
      verdicts.push({
        tone: 'open',
        says: 'Not said yet.',
        because:
          span && ways > 1
            ? `${count} ${say.number(ways)} different soaps fit these words, from ${say.percent(span[0])} to ${say.percent(span[1])} superfat.`
            : `${count} While a word is open, nobody can tell what soap this is.`,
      })
  }
  if (fats.length === 0 && !open.length)
    verdicts.push({
      tone: 'open',
      says: 'No fat found yet.',
      because: 'Write the fats with their weights, as "500 g olive oil".',
    })
  else if (byShare && hasLye && size === null)
    verdicts.push({
      tone: 'open',
      says: 'The fats are in per cent but the lye is in grams.',
      because: 'Without the weight of the fats nobody can tell whether the lye is right.',
    })
  else if (!hasLye && fats.length && !open.length)
    verdicts.push({
      tone: 'open',
      says: 'No lye found in it.',
      because: `Taken over as a formula it gets the lye for ${say.percent(stated ?? 0.05)} superfat.`,
    })
  if (superfat !== null && superfatRange)
    verdicts.push(superfatVerdict(superfat, superfatRange, say))
  if (superfat !== null && stated !== null && Math.abs(stated - superfat) > 0.01)
    verdicts.push({
      tone: 'think',
      says: `It says ${say.percent(stated)} superfat, but its weights have ${say.percent(superfat)}.`,
      because: 'What is weighed decides, not what is written above it.',
    })
  if (!open.length) {
    const unsure = lyeCheck(lines, superfat, (changed) => superfatOf(changed, library), say)
    if (unsure) verdicts.push(unsure)
  }
  if (ratio !== null && (!open.length || ratio < 1)) verdicts.push(waterVerdict(ratio, say))
  else if (hasLye && !open.length)
    verdicts.push({
      tone: 'open',
      says: 'No water found in it.',
      because: 'Lye is always dissolved in water first; 2.2 : 1 is put in if you take it over.',
    })

  const document = documentOf(lines, library)
  return {
    oils,
    superfat,
    superfatRange,
    ratio,
    strength: ratio === null ? null : 1 / (1 + ratio),
    verdicts,
    open,
    outcomes,
    document,
    result: computeFormula(document, library),
  }
}
