import {
  copyFileSync,
  existsSync,
  linkSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs'
import { basename, dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { z } from 'zod'
import { openDatabase, safetyCopies } from '../db/connection'
import { newEpoch } from '../db/epoch'
import type { Migration } from '../db/migrate'
import { flush, makeFolder, photosOf, writeWhole } from '../db/files'
import { StorageTrouble } from '../db/troubles'
import { hashOfFile, ofThisMachine } from './archive'
import type { Opened } from './opened'

/*
 * Putting a workshop back. In this order, so that a power cut anywhere leaves either what was or what was asked for:
 *
 *   1. the archive is unpacked beside the database and checked whole (openArchive);
 *   2. its database is brought into today's form, given what belongs to this machine, and flushed to the disk;
 *   3. a note says that a restore is under way;
 *   4. its photos are put beside those that are there; one that differs from the checked one is set aside first;
 *   5. what was there gets a safety copy with a date of its own;
 *   6. one rename puts the database in place;
 *   7. the note goes.
 *
 * The caller owns the database (takeDatabase) and has closed it.
 */

const noteSchema = z.strictObject({
  from: z.string(),
  begunAt: z.iso.datetime(),
  /** The epoch that the database has once it is in place. */
  epoch: z.string(),
})
const noteOf = (database: string) => `${database}.restoring.json`

/** What a restore did to the photos, kept beside the safety copy so that it can be taken back. */
const photosNoteSchema = z.strictObject({ added: z.array(z.string()) })

/** Beside a safety copy: the photos that were set aside. */
const photosBeside = (safety: string) => safety.replace(/\.sqlite$/, '-photos')
const noteBeside = (safety: string) => safety.replace(/\.sqlite$/, '.json')

/** A safety copy with all that belongs to it. */
export const besideSafety = (safety: string): string[] => [
  safety,
  `${safety}-wal`,
  photosBeside(safety),
  noteBeside(safety),
]

const stampOf = (now: Date) => now.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)

/** A name for a safety copy that nothing has yet. */
function freeSafety(database: string, now: Date): string {
  for (let number = 1; ; number++) {
    const name = `${database}.before-${stampOf(now)}-${String(number).padStart(2, '0')}.sqlite`
    if (!existsSync(name) && !existsSync(photosBeside(name))) return name
  }
}

/** A second name for the same file; a copy where the disk knows no second names. */
function alsoAs(file: string, name: string): void {
  try {
    linkSync(file, name)
  } catch {
    copyFileSync(file, name)
    flush(name)
  }
}

/** Brings a database into today's form, takes over what belongs to this machine, and begins another epoch. */
function prepare(fresh: string, current: string, migrations: Migration[]): string {
  const db = openDatabase(fresh, migrations)
  try {
    for (const table of ofThisMachine) db.exec(`DELETE FROM ${table}`)
    if (existsSync(current)) takeOver(db, current)
    const epoch = newEpoch(db)
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.pragma('journal_mode = DELETE')
    return epoch
  } finally {
    db.close()
    flush(fresh)
  }
}

/** Pairings, LAN access, the calendar's address and the plan of backups stay those of this machine. */
function takeOver(db: Database.Database, current: string): void {
  try {
    db.prepare('ATTACH ? AS here').run(current)
    for (const table of ofThisMachine) {
      const columns = db
        .prepare<[], string>(
          `SELECT name FROM pragma_table_info('${table}') WHERE name IN
             (SELECT name FROM pragma_table_info('${table}', 'here'))`,
        )
        .pluck()
        .all()
        .join()
      if (columns)
        db.exec(`INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM here.${table}`)
    }
    db.exec('DETACH here')
  } catch {
    // What is there is damaged: it is what is being replaced. Devices pair anew, LAN access is off.
    for (const table of ofThisMachine) db.exec(`DELETE FROM main.${table}`)
  }
}

/** Folds what was written ahead into the file itself, where it can be opened. */
function fold(database: string): void {
  try {
    const db = new Database(database)
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
  } catch {
    // damaged: kept as it is, its log beside it
  }
}

/** Puts checked photos beside those that are there. Gives which are new; others that differed are set aside. */
async function putPhotos(
  photos: Opened['photos'],
  folder: string,
  aside: string,
): Promise<string[]> {
  makeFolder(folder)
  const added: string[] = []
  for (const { id, file, sha256 } of photos) {
    const place = join(folder, id)
    if (existsSync(place)) {
      if ((await hashOfFile(place)).sha256 === sha256) continue
      makeFolder(aside)
      renameSync(place, join(aside, id))
    } else added.push(id)
    flush(file)
    renameSync(file, place)
  }
  flush(folder)
  return added
}

export interface Restored {
  /** Where what was there lies now; null when there was nothing. */
  safety: string | null
}

/** Puts an opened archive in place of a database. `from` names it in what is said. */
export async function restore(
  opened: Pick<Opened, 'database' | 'photos'>,
  from: string,
  database: string,
  migrations: Migration[],
  now: Date,
): Promise<Restored> {
  if (existsSync(database)) fold(database)
  const epoch = prepare(opened.database, database, migrations)
  const safety = freeSafety(database, now)
  writeWhole(
    noteOf(database),
    Buffer.from(JSON.stringify({ from, begunAt: now.toISOString(), epoch })),
  )
  const added = await putPhotos(opened.photos, photosOf(database), photosBeside(safety))
  const there = existsSync(database)
  if (there) {
    writeWhole(noteBeside(safety), Buffer.from(JSON.stringify({ added })))
    if (existsSync(`${database}-wal`)) copyFileSync(`${database}-wal`, `${safety}-wal`)
    alsoAs(database, safety)
    flush(dirname(database))
  }
  // A log of the old database must never be read into the new one.
  for (const ending of ['-wal', '-shm']) rmSync(`${database}${ending}`, { force: true })
  renameSync(opened.database, database)
  flush(dirname(database))
  rmSync(noteOf(database))
  return { safety: there ? safety : null }
}

/**
 * Takes the last restore back: what was there before it is put in place again, photos too. What is there now gets a safety copy of
 * its own, so that this can be taken back as well.
 * @throws Trouble when there is nothing to go back to
 */
export async function undoRestore(
  database: string,
  migrations: Migration[],
  now: Date,
): Promise<Restored & { back: string }> {
  const last = safetyCopies(database).at(-1)
  if (!last)
    throw new StorageTrouble(
      `There is no safety copy beside ${database}: nothing was restored here.`,
    )
  const photos = photosOf(database)
  const aside = photosBeside(last)
  const setAside = existsSync(aside) ? readdirSync(aside) : []
  const copy = `${database}.undoing`
  copyFileSync(last, copy)
  if (existsSync(`${last}-wal`)) copyFileSync(`${last}-wal`, `${copy}-wal`)
  fold(copy)
  const back = await Promise.all(
    setAside.map(async (id) => {
      const file = join(aside, id)
      return { id, file, sha256: (await hashOfFile(file)).sha256 }
    }),
  )
  const { safety } = await restore(
    { database: copy, photos: back },
    last,
    database,
    migrations,
    now,
  )
  // Photos that only the restore had brought go with what is set aside now.
  const added = addedBy(last)
  if (safety && added.length) {
    makeFolder(photosBeside(safety))
    for (const id of added)
      if (existsSync(join(photos, id))) renameSync(join(photos, id), join(photosBeside(safety), id))
  }
  for (const file of besideSafety(last)) rmSync(file, { recursive: true, force: true })
  return { safety, back: last }
}

function addedBy(safety: string): string[] {
  try {
    const note = photosNoteSchema.parse(JSON.parse(readFileSync(noteBeside(safety), 'utf8')))
    return note.added
  } catch {
    return []
  }
}

/**
 * What a restore that was cut short left, in a sentence; null when there is none. One that had come to its end is only tidied up.
 */
export function unfinishedRestore(database: string): string | null {
  const note = noteOf(database)
  for (const name of existsSync(dirname(database)) ? readdirSync(dirname(database)) : [])
    if (
      ['.unpacked-', '.undoing'].some((ending) => name.startsWith(`${basename(database)}${ending}`))
    )
      rmSync(join(dirname(database), name), { recursive: true, force: true })
  if (!existsSync(note)) return null
  let read: z.infer<typeof noteSchema> | undefined
  try {
    read = noteSchema.parse(JSON.parse(readFileSync(note, 'utf8')))
  } catch {
    // cut short itself: nothing had begun
  }
  rmSync(note, { force: true })
  if (!read || epochIn(database) === read.epoch) return null
  return `A restore from ${read.from}, begun at ${read.begunAt}, was cut short. The workshop is as it was before it; restore again if you still want to.`
}

function epochIn(database: string): string | null {
  try {
    const db = new Database(database, { readonly: true })
    try {
      return db.prepare<[], string>('SELECT epoch FROM epoch').pluck().get() ?? null
    } finally {
      db.close()
    }
  } catch {
    return null
  }
}
