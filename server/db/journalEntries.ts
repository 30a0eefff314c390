import { addDays, daysBetween } from '#core/units/days'
import { formatter } from '#core/units/formatter'
import type { Db } from './connection'
import { moulds } from './documents'
import { lessonsByBatch, writers, type Known } from './journalWriters'
import { workshopLibrary } from './library'
import { getWorkshop } from './workshop'

/*
 * The time line, written down. Every owner (a batch, a note, a trial, a count, a lesson of no batch) has its entries written anew when
 * something of it changed: triggers of the database say which.
 */

/** Room for so many entries of one day. */
const perDay = 100_000
const firstDay = '1900-01-01'
/** A day as the beginning of the ids of its entries; what has no day lies before all of them. */
export const idsFrom = (day: string | null): number =>
  day ? Math.max(1, daysBetween(firstDay, day)) * perDay : perDay

/** The year of an entry by its id; null where its day is not known. */
export const yearOfEntry = (id: number): number | null => {
  const days = Math.floor(id / perDay)
  return days <= 1 ? null : Number(addDays(firstDay, days).slice(0, 4))
}

/** How many owners still wait to be written down. */
export const staleEntries = (db: Db): number =>
  db.prepare<[], number>('SELECT count(*) FROM entries_stale').pluck().get()!

/**
 * Writes the entries of owners that changed anew, so many at most.
 * @returns how many still wait
 */
export function refreshEntries(db: Db, most = Number.MAX_SAFE_INTEGER): number {
  const owners = db
    .prepare<[number], string>('SELECT owner FROM entries_stale LIMIT ?')
    .pluck()
    .all(Math.min(most, 1_000_000))
  if (!owners.length) return 0
  const { units, degrees, scale } = getWorkshop(db)
  const known: Known = {
    db,
    say: formatter({ system: units, degrees, scale }),
    library: workshopLibrary(db),
    moulds: moulds.list(db).map(({ document }) => document),
    lessons: lessonsByBatch(db),
  }
  db.transaction(() => {
    const gone = db.prepare('DELETE FROM entries WHERE owner = ?')
    const settled = db.prepare('DELETE FROM entries_stale WHERE owner = ?')
    const last = db
      .prepare<[number, number], number | null>(
        'SELECT max(id) FROM entries WHERE id >= ? AND id < ?',
      )
      .pluck()
    const insert = db.prepare(
      `INSERT INTO entries (id, owner, day, who, mould, weather, paper, words, around, card)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    )
    for (const owner of owners) {
      const [kind = '', id = ''] = owner.split(' ')
      gone.run(owner)
      settled.run(owner)
      writers[kind]?.(id, known, ({ when, card, words, around, mould, weather, marks }) => {
        const from = idsFrom(when.day)
        const place = (last.get(from, from + perDay) ?? from) + 1
        insert.run(
          place,
          owner,
          when.day ?? '',
          card.who,
          mould,
          weather[0] ?? '',
          Number(card.fromPaper),
          words,
          `${around} ${marks.join(' ')}`,
          JSON.stringify(card),
        )
      })
    }
  }).immediate()
  return staleEntries(db)
}
