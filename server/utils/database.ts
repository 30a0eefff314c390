import { existsSync } from 'node:fs'
import { identityOf, openDatabase, type Db } from '../db/connection'
import { takeDatabase } from '../db/lock'
import { migrationsFrom, type Migration } from '../db/migrate'
import { unpackPhotos } from '../db/photos'
import { sentenceOfTrouble, StorageTrouble } from '../db/troubles'
import { unfinishedRestore } from '../backup/restore'
import { queueStale } from '../facts/queue'

/*
 * The server's one connection. The database is this process's alone while it runs; a file that was replaced or taken away
 * under it is noticed before anything more is written to what is no longer there.
 */

export const databaseFile = (): string => process.env.MANTLE_DB || './data/mantle.sqlite'

let opening: Promise<Db> | undefined
let identity = ''
let release: (() => void) | undefined

export async function migrations(): Promise<Migration[]> {
  const assets = useStorage('assets:migrations')
  const names = (await assets.getKeys()).filter((name) => name.endsWith('.sql'))
  return migrationsFrom(
    await Promise.all(
      names.map(async (name) => ({ name, sql: String(await assets.getItem(name)) })),
    ),
  )
}

async function open(): Promise<Db> {
  const file = databaseFile()
  release ??= takeDatabase(file)
  const unfinished = unfinishedRestore(file)
  if (unfinished) log(unfinished)
  const db = openDatabase(file, await migrations())
  identity = identityOf(file)
  unpackPhotos(db)
  queueStale(db)
  return db
}

/** The server's one connection, opened and brought up to date on first use. */
export function database(): Promise<Db> {
  opening ??= open()
  return opening
}

/** Closes the database, lets something happen to its file, and opens it anew; requests meanwhile wait for the new one. */
export async function whileClosed<T>(act: (file: string) => T | Promise<T>): Promise<T> {
  const db = await database()
  let reopen: (db: Db) => void = () => undefined
  let fail: (error: unknown) => void = () => undefined
  opening = new Promise<Db>((done, failed) => {
    reopen = done
    fail = failed
  })
  opening.catch(() => undefined)
  db.close()
  identity = ''
  try {
    return await act(databaseFile())
  } finally {
    await open().then(reopen, fail)
  }
}

/** Why the file is no longer the one that was opened; null while it is. */
function strayed(): string | null {
  const file = databaseFile()
  if (!identity) return null
  if (!existsSync(file))
    return `${file} is gone: it was moved or removed while Mantle ran. Mantle stops so that nothing is written to nowhere. Put it back (or restore a backup: npm run restore -- FILE.zip) and start again.`
  if (identityOf(file) !== identity)
    return `${file} was replaced by another file while Mantle ran. Mantle stops so that nothing is written to the old one. Start again to go on with the new one.`
  return null
}

/** Ends the server with a sentence when its file is gone or another one. */
export function stopIfStrayed(): void {
  const says = strayed()
  if (!says) return
  log(says)
  // What is being answered gets its answer first.
  setTimeout(() => process.exit(1), 100).unref()
  identity = ''
  throw new StorageTrouble(says)
}

/** What to say of an error that came from the workshop's files. */
export const sentenceOfDatabase = (error: unknown): string =>
  sentenceOfTrouble(error, databaseFile())

export async function closeDatabase(): Promise<void> {
  const db = await opening
  db?.close()
  release?.()
}
