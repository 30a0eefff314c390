import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { makeFolder } from './files'
import { codeOf, StorageTrouble } from './troubles'

/** Lets the database go. */
export type Release = () => void

/**
 * Takes a database for this process alone: a server, a restore and a second server respect each other by it. What is locked
 * is a file beside the database, since restoring replaces the database itself. SQLite's own lock on it ends with the process,
 * however that ends, so nothing stale is ever left.
 * @throws Trouble when another process has it, or the folder cannot be written to
 */
export function takeDatabase(database: string): Release {
  let holder: Database.Database | undefined
  try {
    makeFolder(dirname(database))
    holder = new Database(`${database}.lock`, { timeout: 0 })
    // No journal file: nothing is ever written to it.
    holder.pragma('journal_mode = MEMORY')
    holder.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    holder?.close()
    if (!/^SQLITE_(BUSY|LOCKED)/.test(codeOf(error))) throw error
    throw new StorageTrouble(
      `Another Mantle is using ${database}. Stop that one first (Ctrl C where it runs), or point MANTLE_DB to another file. Nothing was changed.`,
      503,
    )
  }
  const held = holder
  return () => void held.close()
}
