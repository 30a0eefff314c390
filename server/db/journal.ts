import type {
  Entry,
  JournalEdge,
  JournalFilter,
  JournalPage,
  NearlyFound,
  Note,
} from '#contracts/journal'
import type { Stored } from '#contracts/document'
import { plainWord } from '#core/materials/tokens'
import { facet, matchOf, readSearch, type ReadTerm } from '#core/journal/query'
import { addDays } from '#core/units/days'
import { formatter } from '#core/units/formatter'
import type { Db } from './connection'
import { imports, lessons, notes } from './documents'
import { idsFrom, refreshEntries, yearOfEntry } from './journalEntries'
import { getWorkshop } from './workshop'

const say = formatter()

/** Owners that are written down before a question is answered; more of them settle by themselves afterwards. */
const settledAtOnce = 400
/** Entries of one answer. */
const perPage = 40

const termsOf = (db: Db, search: string): ReadTerm[] =>
  readSearch(search, getWorkshop(db).timeZone, say)

/** Ids of all entries that fit, the last first. */
const idsOf = (db: Db, match: string): number[] =>
  db
    .prepare<[string], number>(
      'SELECT rowid FROM entry_words WHERE entry_words MATCH ? ORDER BY rowid DESC',
    )
    .pluck()
    .all(match)

function cards(db: Db, ids: readonly number[]): Entry[] {
  const one = db.prepare<[number], string>('SELECT card FROM entries WHERE id = ?').pluck()
  return ids.flatMap((id) => {
    const card = one.get(id)
    return card ? [{ id, ...(JSON.parse(card) as Omit<Entry, 'id'>) }] : []
  })
}

/** Entries of the line between each found one and the one before it: by their days, so that an index answers. */
function gapsOf(db: Db, entries: readonly Entry[], before: number | null): number[] {
  const count = db
    .prepare<[string, string], number>('SELECT count(*) FROM entries WHERE day > ? AND day < ?')
    .pluck()
  return entries.map(({ when }, at) => {
    const later = at ? entries[at - 1]!.when.day : before === null ? '9999-12-31' : null
    return later ? count.get(when.day ?? '', later)! : 0
  })
}

/** How many of some ids are of each year, the last first. */
function byYear(ids: readonly number[]): [number, number][] {
  const years = new Map<number, number>()
  for (const id of ids) {
    const year = yearOfEntry(id)
    if (year !== null) years.set(year, (years.get(year) ?? 0) + 1)
  }
  return [...years]
}

/**
 * A stretch of the time line, or of what was found in it, the last first.
 * @param before the `next` of the stretch before it
 */
export function searchJournal(
  db: Db,
  search: string,
  filter: JournalFilter,
  before: number | null,
): JournalPage {
  const settling = refreshEntries(db, settledAtOnce)
  const terms = termsOf(db, search)
  const match = matchOf(terms, filter)
  const upTo = before ?? Number.MAX_SAFE_INTEGER
  let ids: number[]
  let found: number
  let years: JournalPage['years'] = []
  if (match) {
    const all = idsOf(db, match)
    found = all.length
    years = byYear(all)
    const from = all.findIndex((id) => id < upTo)
    ids = from < 0 ? [] : all.slice(from, from + perPage + 1)
  } else {
    found = db.prepare<[], number>('SELECT count(*) FROM entries').pluck().get()!
    ids = db
      .prepare<[number, number], number>(
        'SELECT id FROM entries WHERE id < ? ORDER BY id DESC LIMIT ?',
      )
      .pluck()
      .all(upTo, perPage + 1)
  }
  const shown = ids.slice(0, perPage)
  const entries = cards(db, shown)
  return {
    entries,
    between: match ? gapsOf(db, entries, before) : entries.map(() => 0),
    terms: terms.map(({ typed, says, marks }) => ({ typed, says, marks })),
    found,
    next: ids.length > perPage ? shown.at(-1)! : null,
    years,
    settling,
  }
}

/** One entry by what it is of: a batch, note, trial, count or lesson; null where there is none. */
export function entryOf(db: Db, ref: string): Entry | null {
  refreshEntries(db, settledAtOnce)
  const batch = lessons.get(db, ref)?.document.batchId
  const owners = [
    ...['note', 'batch', 'lesson', 'trial', 'count'].map((kind) => `${kind} ${ref}`),
    ...(batch ? [`batch ${batch}`] : []),
  ]
  const one = db
    .prepare<[string, string], number>(
      "SELECT id FROM entries WHERE owner = ? AND card ->> '$.ref' = ?",
    )
    .pluck()
  for (const owner of owners) {
    const [entry] = cards(db, one.all(owner, ref))
    if (entry) return entry
  }
  return null
}

/** What fits all words of a search but one, the last first; null where nothing does. */
export function nearlyFound(db: Db, search: string, filter: JournalFilter): NearlyFound | null {
  const terms = termsOf(db, search)
  if (terms.length < 2) return null
  const whole = new Set(idsOf(db, matchOf(terms, filter)))
  const lacks = new Map<number, string>()
  for (const left of terms) {
    const others = terms.filter((term) => term !== left)
    // What only speaks of time fits half a year of everything.
    if (others.every(({ time }) => time)) continue
    for (const id of idsOf(db, matchOf(others, filter)))
      if (!whole.has(id)) lacks.set(id, left.typed)
  }
  if (!lacks.size) return null
  const last = [...lacks.keys()].sort((one, other) => other - one).slice(0, 12)
  return {
    words: terms.length,
    found: lacks.size,
    hits: cards(db, last).map((entry) => ({ entry, without: lacks.get(entry.id)! })),
  }
}

const distinct = (db: Db, column: 'who' | 'mould' | 'weather'): string[] =>
  db
    .prepare<[], string>(
      `SELECT DISTINCT ${column} FROM entries WHERE ${column} <> '' ORDER BY ${column} LIMIT 60`,
    )
    .pluck()
    .all()

/** Years back that "on this day" looks. */
const yearsBack = 20

/** The edge of the book: how much there is of each year, what may be chosen, and what was written on this day in earlier years. */
export function journalEdge(db: Db, today: string): JournalEdge {
  refreshEntries(db, settledAtOnce)
  const years = db
    .prepare<[], [string, number, number]>(
      `SELECT substr(day, 1, 4) AS year, count(*), sum(paper) FROM entries WHERE day <> '' GROUP BY year ORDER BY year DESC`,
    )
    .raw()
    .all()
    .map(([year, entries, paper]) => ({
      year: Number(year),
      entries,
      paper,
      before: idsFrom(`${Number(year) + 1}-01-01`),
    }))
  const thatDay = db
    .prepare<[string, string], number>(
      `SELECT id FROM entries WHERE day >= ? AND day <= ? AND card ->> '$.when.known' = 'day'
       AND card ->> '$.kind' IN ('batch', 'lesson', 'trouble', 'note', 'page', 'trial') ORDER BY id DESC LIMIT 2`,
    )
    .pluck()
  const [year, rest] = [Number(today.slice(0, 4)), today.slice(4)]
  const thisDay: number[] = []
  for (let back = 1; back <= yearsBack && thisDay.length < 3; back++) {
    const day = `${year - back}${rest === '-02-29' ? '-02-28' : rest}`
    thisDay.push(...thatDay.all(addDays(day, -1), addDays(day, 1)))
  }
  return {
    years,
    who: distinct(db, 'who'),
    mould: distinct(db, 'mould'),
    weather: distinct(db, 'weather'),
    thisDay: cards(db, thisDay.slice(0, 3)),
  }
}

/** What is said about any of some words, as a maker wants it beside a plan, the last first. Words in plain letters. */
export function journalAbout(db: Db, words: readonly string[], most: number): Entry[] {
  refreshEntries(db, settledAtOnce)
  const plain = words.flatMap((word) => plainWord(word).match(/[\p{L}\p{N}]+/gu) ?? [])
  if (!plain.length) return []
  const any = plain.map((word) => `"${word}"`).join(' OR ')
  const kinds = (['lesson', 'trouble', 'page', 'note'] as const)
    .map((kind) => `"${facet.kind(kind)}"`)
    .join(' OR ')
  return cards(db, idsOf(db, `words : (${any}) AND (${kinds})`).slice(0, most))
}

/** Pages and rows that came in with an import, in the order of their page or line. */
export const notesOfImport = (db: Db, importId: string): Stored<Note>[] =>
  db
    .prepare<[string], string>(
      `SELECT id FROM notes WHERE import_id = ? AND deleted_at IS NULL
       ORDER BY coalesce(document ->> '$.page.number', document ->> '$.line', 0), id`,
    )
    .pluck()
    .all(importId)
    .map((id) => notes.get(db, id)!)

/** Keeps many new notes of one import, all of them or none; one that is there already stays. */
export function addNotes(
  db: Db,
  importId: string,
  arrived: readonly { id: string; document: Note }[],
  now: string,
  by: string,
): number {
  return db
    .transaction(() => {
      for (const { id, document } of arrived)
        if (!notes.get(db, id)) notes.save(db, id, 0, { ...document, importId }, now, by)
      return notesOfImportCount(db, importId)
    })
    .immediate()
}

const notesOfImportCount = (db: Db, importId: string): number =>
  db
    .prepare<[string], number>(
      'SELECT count(*) FROM notes WHERE import_id = ? AND deleted_at IS NULL',
    )
    .pluck()
    .get(importId)!

/** How the deletion of a note that left with its import differs from one that somebody deleted by hand. */
const withImport = ' with its import'

/** Takes an import out again with all that came in with it, at once. False when there is none. */
export const takeOutImport = (db: Db, importId: string, now: string): boolean =>
  db
    .transaction(() => {
      if (!imports.remove(db, importId, now)) return false
      db.prepare('UPDATE notes SET deleted_at = ? WHERE import_id = ? AND deleted_at IS NULL').run(
        `${now}${withImport}`,
        importId,
      )
      return true
    })
    .immediate()

/** Takes that back: what went out with it comes in again; pages that had been deleted by hand before stay so. */
export const bringImportBack = (db: Db, importId: string): ReturnType<typeof imports.restore> =>
  db
    .transaction(() => {
      const back = imports.restore(db, importId)
      if (back)
        db.prepare(
          'UPDATE notes SET deleted_at = NULL WHERE import_id = ? AND deleted_at LIKE ?',
        ).run(importId, `%${withImport}`)
      return back
    })
    .immediate()
