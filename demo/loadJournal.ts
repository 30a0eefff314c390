import { v7 } from 'uuid'
import { noteSchema } from '#contracts/journal'
import { richText } from '#core/journal/plainText'
import { addDays, type Day } from '#core/units/days'
import type { Db } from '../server/db/connection'
import { imports, lessons, notes, ribbons, shortWords } from '../server/db/documents'
import { refreshEntries } from '../server/db/journalEntries'
import { keepPhoto } from '../server/db/photos'
import { demoBooks, demoLesson, demoLines, demoRibbons, demoRows, demoShortWords } from './journal'
import { drawnPage } from './pictures'

const noon = (day: Day) => `${day}T12:00:00.000Z`
const idAt = (day: Day, minute: number) => v7({ msecs: Date.parse(noon(day)) + minute * 60_000 })

/** Puts the journal of the Slate Shed into its database, and writes the time line of all of it. */
export function loadJournal(db: Db, today: Day): void {
  const batchOf = db.prepare<[number], string>('SELECT id FROM batches WHERE number = ?').pluck()
  let minute = 0
  for (const [nth, book] of demoBooks.entries()) {
    const { document, pages } = book(today)
    const id = idAt(document.day, minute++)
    imports.save(db, id, 0, document, noon(document.day))
    for (const [place, { note, photo }] of pages(id).entries()) {
      const noteId = idAt(document.day, minute++)
      const photoId = idAt(document.day, minute++)
      notes.save(db, noteId, 0, { ...note, photos: photo ? [photoId] : [] }, noon(document.day))
      if (photo)
        keepPhoto(
          db,
          { id: photoId, type: 'image/png', bytes: drawnPage(100 * (nth + 1) + place) },
          { noteId },
          noon(document.day),
        )
    }
  }
  const tableId = idAt(addDays(today, -94), minute++)
  const { document, notes: rows } = demoRows(today, tableId)
  imports.save(db, tableId, 0, document, noon(document.day))
  for (const row of rows) notes.save(db, idAt(document.day, minute++), 0, row, noon(document.day))
  for (const word of demoShortWords)
    shortWords.save(db, idAt(addDays(today, -96), minute++), 0, word, noon(addDays(today, -96)))
  for (const { ago, says, batch, ...line } of demoLines) {
    const day = addDays(today, -ago)
    const note = noteSchema.parse({
      ...line,
      text: richText(says),
      when: { day, known: 'day' },
      batchId: batch === undefined ? null : batchOf.get(batch)!,
    })
    notes.save(db, idAt(day, minute++), 0, note, noon(day))
  }
  const { ago, batch, document: lesson, seen } = demoLesson
  const on = addDays(today, -ago)
  lessons.save(
    db,
    idAt(on, minute++),
    0,
    {
      ...lesson,
      on,
      batchId: batchOf.get(batch)!,
      seen: seen.map(([number, held, note = '']) => ({
        batchId: batchOf.get(number)!,
        held,
        note,
      })),
      dropped: null,
    },
    noon(on),
  )
  for (const ribbon of demoRibbons)
    ribbons.save(db, idAt(addDays(today, -40), minute++), 0, ribbon, noon(addDays(today, -40)))
  refreshEntries(db)
}
