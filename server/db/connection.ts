import { existsSync, readdirSync, statSync } from 'node:fs'
import { basename, dirname } from 'node:path'
import Database from 'better-sqlite3'
import { plainWord } from '#core/materials/tokens'
import { formatter } from '#core/units/formatter'
import { makeFolder, photosOf } from './files'
import { migrate, type Migration } from './migrate'
import { StorageTrouble } from './troubles'

const say = formatter()

export type Db = Database.Database

/** Where a safety copy of a database lies: each restore has its own, by its moment. */
export const safetyCopies = (database: string): string[] => {
  const folder = dirname(database)
  const begin = `${basename(database)}.before-`
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .filter((name) => name.startsWith(begin) && name.endsWith('.sqlite'))
    .sort()
    .map((name) => `${folder}/${name}`)
}

/**
 * Refuses what would silently begin an empty workshop where there was one: a database of 0 bytes, or none at all beside its
 * photos or its safety copies.
 * @throws Trouble
 */
function refuseEmptied(file: string): void {
  if (existsSync(file)) {
    if (statSync(file).size === 0 && !existsSync(`${file}-wal`))
      throw new StorageTrouble(
        `${file} is empty: 0 bytes, where a workshop should be. Restore a backup (npm run restore -- FILE.zip), or remove that file to begin a new workshop.`,
      )
    return
  }
  const photos = photosOf(file)
  const left = [
    ...(existsSync(photos) && readdirSync(photos).length ? [photos] : []),
    ...safetyCopies(file).slice(-1),
  ]
  if (left.length)
    throw new StorageTrouble(
      `There is no database at ${file}, but ${say.list(left, 'and')} ${say.plural(left.length, 'is', 'are')} there, so a workshop was. Restore a backup (npm run restore -- FILE.zip, or npm run restore -- --undo), or move that away to begin a new workshop.`,
    )
}

/**
 * Opens the database file, makes its folder if need be, and brings it up to date.
 * @throws TooNew when the file was written by a newer Mantle, Trouble when it is empty or gone
 */
export function openDatabase(file: string, migrations: Migration[]): Db {
  if (file !== ':memory:') {
    makeFolder(dirname(file))
    refuseEmptied(file)
  }
  const db = new Database(file)
  try {
    db.pragma('journal_mode = WAL')
    db.pragma('foreign_keys = ON')
    // FULL: in WAL mode NORMAL may lose the last commits when the power goes, and what Mantle has acknowledged must be
    // kept. The price is one flush per save, and a person saves a few times a second at most.
    db.pragma('synchronous = FULL')
    db.pragma('busy_timeout = 5000')
    // Names are found by what they sound like in print: accents, ligatures and capitals do not count.
    db.function('plain', { deterministic: true }, (text) => plainWord(String(text ?? '')))
    migrate(db, migrations)
  } catch (error) {
    db.close()
    throw error
  }
  return db
}

/** Which file a name stands for: another one under the same name has another identity. */
export function identityOf(file: string): string {
  const { dev, ino } = statSync(file)
  return `${dev}:${ino}`
}
