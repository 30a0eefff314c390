import type { PageFound, ShortWord } from '#contracts/journal'
import { judgeRecipe, type RecipeReport } from '../recipe/judge'
import { piecesOf } from '../recipe/pieces'
import { readRecipe, weighed, type RecipeLine } from '../recipe/read'
import { tokensOf, type Token } from '../materials/tokens'
import type { Formatter } from '../units/formatter'
import type { LineReading, ReadingContext } from '../words/reading'
import { spelledOut } from './shortWords'

/** What was seen of a soap, as a line of a page says it. */
export interface Seen {
  traceMinutes: number | null
  strengths: PageFound['strengths']
}
/** A line of a page, as it was typed and what it was taken for. */
export interface PageLine {
  typed: string
  /** What the answers belong to: the piece with its short words written out. */
  piece: string
  used: ShortWord[]
  /** Part of the recipe; null where it tells what was seen. */
  recipe: RecipeLine | null
  seen: Seen | null
}
export interface ReadPage {
  lines: PageLine[]
  report: RecipeReport
  found: PageFound
}
/** What a page is read with. */
export interface PageContext extends ReadingContext {
  words: readonly ShortWord[]
  /** What bare figures are; null where that is asked. */
  unit: 'g' | 'oz' | null
  answers: Readonly<Record<string, readonly number[]>>
}

const strengthWords: Record<string, number> = {
  gone: 0,
  none: 0,
  weak: 1,
  faint: 1,
  clear: 2,
  good: 2,
  strong: 3,
}
const daysIn: Record<string, number> = {
  d: 1,
  day: 1,
  days: 1,
  wk: 7,
  wks: 7,
  week: 7,
  weeks: 7,
  mo: 30,
  month: 30,
  months: 30,
}
const strengthOf = (token: Token | undefined): number | null => {
  if (!token) return null
  if (token.kind === 'word') return strengthWords[token.text] ?? null
  return token.kind === 'number' && [0, 1, 2, 3].includes(token.value) ? token.value : null
}

/**
 * What a line tells of a soap rather than of its recipe: minutes to trace, and how strong its scent was after a time. Null where it
 * tells neither.
 * @example seenIn('trace 20 min, 4 wk weak').strengths // [{ days: 28, strength: 1 }]
 */
export function seenIn(line: string): Seen | null {
  const tokens = tokensOf(line)
  const strengths: Seen['strengths'] = []
  let traceMinutes: number | null = null
  tokens.forEach((token, at) => {
    const next = tokens[at + 1]
    if (token.kind === 'word' && (token.text === 'trace' || token.text === 'tr')) {
      const figure = tokens.slice(at + 1, at + 4).find(({ kind }) => kind === 'number')
      if (figure) {
        const unit = tokens[tokens.indexOf(figure) + 1]?.text ?? ''
        traceMinutes = figure.value * (/^h(our|ours|r|rs)?$/.test(unit) ? 60 : 1)
      }
    }
    if (token.kind !== 'number' || next?.kind !== 'word') return
    const days = daysIn[next.text]
    const after = tokens[at + 2]
    const strength = strengthOf(after)
    // A number after it belongs to the next time where that has a unit of its own: "1 wk 4 wk weak".
    const nextTime = after?.kind === 'number' && daysIn[tokens[at + 3]?.text ?? ''] !== undefined
    if (days !== undefined && strength !== null && !nextTime)
      strengths.push({ days: Math.round(token.value * days), strength })
  })
  return traceMinutes !== null || strengths.length ? { traceMinutes, strengths } : null
}

/** A reading in the page's unit, where its bare figure is all that is asked. */
function inPagesUnit(reading: LineReading, unit: PageContext['unit']): LineReading {
  if (!unit || !reading.doubtful || reading.amount?.kind !== 'number') return reading
  const inUnit = reading.options.find(
    ({ reading: { amount, doubtful } }) =>
      !doubtful && amount?.kind === 'grams' && amount.unit === unit,
  )
  return inUnit ? { ...inUnit.reading, text: reading.text } : reading
}

/** A line with the answers it was given, or in the page's unit where that settles it. */
function answered(line: RecipeLine, { answers, unit, ...context }: PageContext): RecipeLine {
  const given = answers[line.text]
  let now: LineReading = given ? line : inPagesUnit(line, unit)
  for (const choice of given ?? []) {
    const option = now.options[choice]
    if (!option) break
    now = inPagesUnit({ ...option.reading, text: line.text }, unit)
  }
  return now === line ? line : weighed(now, context)
}

/**
 * Reads a page line by line, as a recipe and as what was seen, always by the one careful reader: what is not understood comes back as
 * a question, and nothing is dropped.
 * @example readPage('olive oil 500 g\nlye 60 g\nwater 150 g', { ...reading, words: [], unit: null, answers: {} }, say).found.superfat
 *   // 0.114056
 */
export function readPage(typed: string, context: PageContext, say: Formatter): ReadPage {
  const { spoons } = context.library
  const rows = typed
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const { text, used } = spelledOut(line, context.words)
      return { typed: line, text, used, seen: seenIn(text) }
    })
  const recipeRows = rows
    .filter(({ seen }) => !seen)
    .flatMap((row) => piecesOf(row.text, spoons).map((piece) => ({ row, piece })))
  // Read as one, since lines lend each other their unit.
  const read = readRecipe(recipeRows.map(({ piece }) => piece).join('\n'), context)
  const recipe = read.map((line) => answered(line, context))
  const lines: PageLine[] = []
  let at = 0
  for (const row of rows) {
    if (row.seen) {
      lines.push({
        typed: row.typed,
        piece: row.text,
        used: row.used,
        recipe: null,
        seen: row.seen,
      })
      continue
    }
    const pieces = recipeRows.filter((one) => one.row === row).length
    for (let piece = 0; piece < pieces; piece++) {
      const line = recipe[at++]
      if (line)
        lines.push({
          typed: pieces === 1 ? row.typed : line.text,
          piece: line.text,
          used: row.used,
          recipe: line,
          seen: null,
        })
    }
  }
  const report = judgeRecipe(recipe, context, say)
  const seen = rows.flatMap((row) => row.seen ?? [])
  const of = (kinds: readonly string[]) => recipe.some(({ kind }) => kinds.includes(kind))
  return {
    lines,
    report,
    found: {
      superfat: report.oils > 0 && of(['lye', 'naoh', 'koh']) ? report.superfat : null,
      ratio: report.ratio,
      lye: of(['lye', 'naoh', 'koh']),
      water: of(['water', 'ratio', 'liquid', 'ice']),
      traceMinutes: seen.find(({ traceMinutes }) => traceMinutes !== null)?.traceMinutes ?? null,
      strengths: seen.flatMap(({ strengths }) => strengths).slice(0, 12),
      materials: [
        ...new Set(recipe.flatMap(({ id, doubtful }) => (id && !doubtful ? [id] : []))),
      ].slice(0, 40),
      open: report.open.length,
    },
  }
}

/** Superfat under which a bar for skin is thin: what a count after an import speaks of. */
export const thinSuperfat = 0.02

/**
 * What stands out among pages that came in together: how many have little superfat, say no water, are gaps.
 * @example importCounts([{ what: 'gap', found: null }]).gaps // 1
 */
export function importCounts(pages: readonly { what: string; found: PageFound | null }[]): {
  thin: number
  dry: number
  gaps: number
  open: number
} {
  const count = (which: (found: PageFound, what: string) => boolean) =>
    pages.filter(({ what, found }) => found && which(found, what)).length
  return {
    thin: count(({ superfat }) => superfat !== null && superfat < thinSuperfat),
    dry: count(({ lye, water }) => lye && !water),
    gaps: pages.filter(({ what }) => what === 'gap').length,
    open: count(({ open }) => open > 0),
  }
}
