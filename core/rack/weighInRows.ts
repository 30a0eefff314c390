import type { BatchSummary } from '#contracts/batch'
import type { Row } from '../exchange/rows'
import { readNumber } from '../units/readNumber'
import type { Formatter } from '../units/formatter'
import type { Day } from '../units/days'
import { oddWeight } from './oddWeight'

/* Weigh-ins from a spreadsheet: a row for each bar, with the columns batch, day, bar and grams. */

export interface WeighInRow {
  /** The row of the table, the heading being 1. */
  row: number
  batch: BatchSummary | null
  day: Day
  bar: number
  grams: number
  /** What is wrong with it, so that it cannot be taken. */
  fault: string | null
  /** What is odd about it: it is asked about. */
  odd: string | null
}

const names = {
  batch: ['batch', 'number', 'no', 'batch number'],
  day: ['day', 'date', 'on'],
  bar: ['bar', 'mark', 'sample'],
  grams: ['grams', 'g', 'weight', 'mass'],
} as const
const cell = (row: Row, column: keyof typeof names): string =>
  names[column].map((name) => row[name]?.trim() ?? '').find((text) => text !== '') ?? ''

/** A day as 2026-11-23 or 23.11.2026; null for anything else: 3/4 may be two days. */
function dayFrom(text: string): Day | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text)
  const dotted = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(text)
  const [year, month, day] = iso
    ? [iso[1], iso[2], iso[3]]
    : dotted
      ? [dotted[3], dotted[2], dotted[1]]
      : []
  if (!year || !month || !day) return null
  const date = new Date(Date.UTC(Number(year), Number(month) - 1, Number(day)))
  const same = date.getUTCDate() === Number(day) && date.getUTCMonth() === Number(month) - 1
  return same ? date.toISOString().slice(0, 10) : null
}

/**
 * What the rows of a table say. None is dropped: what cannot be taken says why.
 * @param batches that are on the rack
 * @param today nothing is weighed after it
 * @example weighInsFromRows([{ batch: '1', bar: '1', grams: '120', day: '2026-03-08' }], [cut], '2026-03-15', say)[0].grams // 120
 */
export function weighInsFromRows(
  rows: readonly Row[],
  batches: readonly BatchSummary[],
  today: Day,
  say: Formatter,
  lines?: readonly number[],
): WeighInRow[] {
  const byNumber = new Map(batches.map((batch) => [batch.number, batch]))
  const seen = new Set<string>()
  return rows.map((raw, index) => {
    const number = readNumber(cell(raw, 'batch').replace(/^#|^batch\s*/i, ''))
    const batch = byNumber.get(number) ?? null
    const day = dayFrom(cell(raw, 'day'))
    const bar = cell(raw, 'bar') === '' ? 1 : readNumber(cell(raw, 'bar'))
    const grams = readNumber(cell(raw, 'grams').replace(/\s*g$/i, ''))
    const key = `${number} ${day} ${bar}`
    const fault = (() => {
      if (Number.isNaN(number)) return 'Which batch? Give its number.'
      if (!batch) return `No batch ${number} is on the rack.`
      if (!batch.facts.cutOn) return 'It is not cut yet.'
      if (!day) return 'Not a day, as 2026-11-23 or 23.11.2026.'
      if (day > today) return 'That day has not come yet.'
      if (day < batch.facts.pouredOn!) return 'That was before it was poured.'
      if (!Number.isInteger(bar) || bar < 1 || bar > 99) return 'A bar has a mark from 1 to 99.'
      if (!(grams >= 0.1 && grams <= 20_000)) return 'Not a weight in grams.'
      if (seen.has(key)) return 'This bar stands in the table twice for that day.'
      return null
    })()
    seen.add(key)
    return {
      row: lines?.[index] ?? index + 2,
      batch,
      day: day ?? '',
      bar,
      grams,
      fault,
      odd: fault || !batch || !day ? null : oddWeight(batch.facts, bar, grams, day, say),
    }
  })
}

/**
 * The rows that are taken, as weigh-ins: one for each batch and day.
 * @example weighInsOfRows([{ row: 2, batch: null, day: null, bar: null, grams: null, fault: 'No bar.', odd: null }]) // []
 */
export function weighInsOfRows(
  rows: readonly WeighInRow[],
): { batch: BatchSummary; day: Day; bars: { bar: number; grams: number }[] }[] {
  const all = new Map<
    string,
    { batch: BatchSummary; day: Day; bars: { bar: number; grams: number }[] }
  >()
  for (const { batch, day, bar, grams, fault } of rows) {
    if (fault || !batch) continue
    const key = `${batch.id} ${day}`
    const one = all.get(key) ?? { batch, day, bars: [] }
    one.bars.push({ bar, grams })
    all.set(key, one)
  }
  return [...all.values()].sort((a, b) => a.day.localeCompare(b.day))
}
