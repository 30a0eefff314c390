import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { unzipSync, zipSync, type Zippable } from 'fflate'
import { migrationFiles } from '../server/db/migrationFiles'
import { photosOf } from '../server/db/photos'

/** The database as it is called inside an archive. */
const entry = 'mantle.sqlite'

/** Photos lie under their id, in the archive as beside the database; no other name is taken out of an archive. */
const photoName = /^[0-9a-f-]{36}$/

/** An archive or database that cannot be used; nothing was changed. */
export class Unusable extends Error {}

/**
 * Writes one archive with a consistent copy of the database and all photos, also while the server runs: photos are never
 * changed, and one that comes after the copy is one too many, which harms nothing.
 * @throws Unusable when there is no database
 */
export async function backup(database: string, archive: string): Promise<void> {
  if (!existsSync(database)) throw new Unusable(`There is no database at ${database}.`)
  const folder = mkdtempSync(join(tmpdir(), 'mantle-backup-'))
  try {
    const copy = join(folder, entry)
    const db = new Database(database, { readonly: true })
    await db.backup(copy)
    db.close()
    mkdirSync(dirname(archive), { recursive: true })
    const files: Zippable = { [entry]: readFileSync(copy) }
    const photos = photosOf(database)
    // A picture is packed already.
    for (const id of existsSync(photos) ? readdirSync(photos) : [])
      if (photoName.test(id)) files[`photos/${id}`] = [readFileSync(join(photos, id)), { level: 0 }]
    writeFileSync(`${archive}.part`, zipSync(files))
    renameSync(`${archive}.part`, archive)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Looks an archive's database over before anything is replaced. */
function checkCopy(file: string): void {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { readonly: true })
    const [row] = db.pragma('integrity_check') as { integrity_check: string }[]
    if (row?.integrity_check !== 'ok') throw new Unusable('The database in the archive is damaged.')
    const version = db.pragma('user_version', { simple: true }) as number
    const known = migrationFiles().at(-1)!.version
    if (version < 1 || !db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'formulas'").get())
      throw new Unusable('The archive does not hold a Mantle database.')
    if (version > known)
      throw new Unusable(
        `The archive was written by a newer Mantle (${version}, this one knows ${known}).`,
      )
  } catch (error) {
    throw error instanceof Unusable ? error : new Unusable('The archive does not hold a database.')
  } finally {
    db?.close()
  }
}

/**
 * Puts an archive's database in place after checking it, and its photos beside it. What was there before is kept.
 * @returns where the former database lies now, or null when there was none
 * @throws Unusable before anything is changed
 */
export function restore(archive: string, database: string): string | null {
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(readFileSync(archive))
  } catch {
    throw new Unusable(`${archive} is not an archive that can be read.`)
  }
  const copy = files[entry]
  if (!copy) throw new Unusable('The archive does not hold a Mantle database.')
  mkdirSync(dirname(database), { recursive: true })
  const fresh = `${database}.restoring`
  writeFileSync(fresh, copy)
  try {
    checkCopy(fresh)
  } catch (error) {
    rmSync(fresh, { force: true })
    throw error
  }
  for (const ending of ['-wal', '-shm']) rmSync(`${fresh}${ending}`, { force: true })
  const before = existsSync(database) ? `${database}.before-restore` : null
  if (before) {
    // Opening and closing it folds its write-ahead log into the one file that is set aside.
    const db = new Database(database)
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    renameSync(database, before)
    for (const ending of ['-wal', '-shm']) rmSync(`${database}${ending}`, { force: true })
  }
  renameSync(fresh, database)
  const photos = photosOf(database)
  mkdirSync(photos, { recursive: true })
  for (const [path, bytes] of Object.entries(files)) {
    const id = path.startsWith('photos/') ? path.slice('photos/'.length) : ''
    if (photoName.test(id)) writeFileSync(join(photos, id), bytes)
  }
  return before
}
