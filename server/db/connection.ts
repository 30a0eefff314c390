import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { migrate, type Migration } from './migrate'

export type Db = Database.Database

/**
 * Opens the database file, makes its folder if need be, and brings it up to date.
 * @throws TooNew when the file was written by a newer Mantle
 */
export function openDatabase(file: string, migrations: Migration[]): Db {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const db = new Database(file)
  try {
    db.pragma('journal_mode = WAL')
    db.pragma('foreign_keys = ON')
    // FULL: in WAL mode NORMAL may lose the last commits when the power goes, and what Mantle has acknowledged must be
    // kept. The price is one flush per save, and a person saves a few times a second at most.
    db.pragma('synchronous = FULL')
    db.pragma('busy_timeout = 5000')
    migrate(db, migrations)
  } catch (error) {
    db.close()
    throw error
  }
  return db
}
