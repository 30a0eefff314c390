import { createHash } from 'node:crypto'
import {
  closeSync,
  createReadStream,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import Database from 'better-sqlite3'
import { ZipFile } from 'yazl'
import { z } from 'zod'
import { flush, makeFolder, photosOf } from '../db/files'
import { StorageTrouble } from '../db/troubles'
import { writeReadable } from './readable'

/*
 * An archive is a zip with the database, the photos, all of it once more as JSON and CSV, and a manifest: what is in it, how long each entry is and its SHA-256, and
 * how much the workshop held. The zip's comment seals the whole file with one more SHA-256, so that not a single bit of it can
 * change unnoticed.
 */

/** The database as it is called inside an archive. */
export const databaseEntry = 'mantle.sqlite'
export const manifestEntry = 'manifest.json'
/** What is there for people and other programs: nothing is restored from it. */
export const readableFolder = 'readable'
export const readableName = /^readable\/[\w.-]+(\/[\w.-]+)?$/
/** Photos lie under their id, in the archive as beside the database. */
export const photoName = /^[0-9a-f-]{36}$/

/** Tables that belong to this machine and not to the workshop: they neither leave it nor come back with an old archive. */
export const ofThisMachine = ['paired', 'reach', 'calendar_feed', 'backup_plan'] as const

/** What is counted, by the table it lies in. */
const countedTables = {
  formulas: 'formulas',
  versions: 'formula_versions',
  batches: 'batches',
  events: 'batch_events',
  runs: 'runs',
  runEvents: 'run_events',
  materials: 'materials',
  moulds: 'moulds',
  goals: 'goals',
  scents: 'scents',
  suppliers: 'suppliers',
  colours: 'colours',
  trials: 'trials',
  trialEvents: 'trial_events',
  lots: 'lots',
  moves: 'moves',
  blends: 'blends',
  orders: 'orders',
  markets: 'markets',
  marketEvents: 'market_events',
  designs: 'designs',
  soapWords: 'soap_words',
  gifts: 'gifts',
  notes: 'notes',
  imports: 'imports',
  shortWords: 'short_words',
  lessons: 'lessons',
  ribbons: 'ribbons',
  paths: 'paths',
  makingDays: 'making_days',
  photos: 'photos',
} as const
export type Counts = Record<keyof typeof countedTables, number>

export const manifestSchema = z.strictObject({
  format: z.literal('mantle.archive'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  /** The version of the database's form. */
  database: z.number().int().min(1),
  counts: z.record(z.string(), z.number().int().min(0)),
  /** Photos the workshop knows and whose file was not there. */
  missing: z.array(z.string()),
  entries: z.array(
    z.strictObject({
      name: z.string(),
      bytes: z.number().int().min(0),
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
    }),
  ),
})
export type Manifest = z.infer<typeof manifestSchema>

/** How much a workshop holds. Tables that an older one did not have count nothing. */
export function countsOf(db: Database.Database): Counts {
  const tables = new Set(
    db.prepare<[], string>("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all(),
  )
  return Object.fromEntries(
    Object.entries(countedTables).map(([what, table]) => [
      what,
      tables.has(table) ? db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() : 0,
    ]),
  ) as Counts
}

/** Whether SQLite finds nothing wrong with a database. */
export function isSound(db: Database.Database): boolean {
  const first = (db.pragma('integrity_check(1)') as { integrity_check: string }[])[0]
  return (
    first?.integrity_check === 'ok' && (db.pragma('foreign_key_check') as unknown[]).length === 0
  )
}

/** SHA-256 and length of a file, read piece by piece; of its first bytes only where `end` says how many. */
export async function hashOfFile(
  file: string,
  end = Infinity,
): Promise<{ bytes: number; sha256: string }> {
  const hash = createHash('sha256')
  let bytes = 0
  for await (const part of createReadStream(file, { end: end - 1 }) as AsyncIterable<Buffer>) {
    hash.update(part)
    bytes += part.length
  }
  return { bytes, sha256: hash.digest('hex') }
}

/** Before the seal's figure in the comment of the zip. */
export const sealMark = 'mantle sha256 '

/** Writes the comment that seals a zip without one: the hash of everything before the figure, the comment's length included. */
async function seal(file: string): Promise<void> {
  const size = statSync(file).size
  const length = sealMark.length + 64
  const handle = openSync(file, 'r+')
  try {
    const end = Buffer.alloc(2)
    end.writeUInt16LE(length)
    writeSync(handle, end, 0, 2, size - 2)
    writeSync(handle, sealMark, size)
    const { sha256 } = await hashOfFile(file)
    writeSync(handle, sha256, size + sealMark.length)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** The figure in a seal and where it begins; null where the file has none. */
export function sealOf(file: string): { sha256: string; from: number } | null {
  const from = statSync(file).size - 64
  if (from < sealMark.length) return null
  const handle = openSync(file, 'r')
  try {
    const end = Buffer.alloc(sealMark.length + 64)
    readSync(handle, end, 0, end.length, from - sealMark.length)
    const text = end.toString('latin1')
    return text.startsWith(sealMark) ? { sha256: text.slice(sealMark.length), from } : null
  } finally {
    closeSync(handle)
  }
}

/** Folders that an earlier backup left when it was cut short. */
function sweep(folder: string): void {
  for (const name of readdirSync(folder))
    if (/^\.mantle-backup-\w{6}$/.test(name) || /^mantle-.*\.zip\.part$/.test(name))
      if (Date.now() - statSync(join(folder, name)).mtimeMs > 3_600_000)
        rmSync(join(folder, name), { recursive: true, force: true })
}

export interface Backup {
  archive: string
  counts: Counts
  /** Photos the workshop knows and whose file is not there: they are not in the archive either. */
  missing: string[]
}

/**
 * Writes one archive with a consistent copy of the database and all photos, also while the server runs: photos are never
 * changed, and one that comes after the copy is left to the next backup.
 * @throws Trouble when there is no database, or it is damaged
 */
export async function backup(database: string, archive: string, now: Date): Promise<Backup> {
  if (!existsSync(database)) throw new StorageTrouble(`There is no database at ${database}.`)
  const folder = dirname(archive)
  makeFolder(folder)
  sweep(folder)
  const work = mkdtempSync(join(folder, '.mantle-backup-'))
  const part = `${archive}.part`
  try {
    const copy = join(work, databaseEntry)
    const db = new Database(database, { readonly: true })
    try {
      await db.backup(copy)
    } finally {
      db.close()
    }
    const open = join(work, readableFolder)
    const { counts, photos, version, readable } = ownTablesLeftOut(
      copy,
      database,
      open,
      now.toISOString(),
    )
    const there = photos.filter((id) => existsSync(join(photosOf(database), id)))
    const entries = [
      { name: databaseEntry, file: copy, compress: true },
      // A picture is packed already.
      ...there.map((id) => ({
        name: `photos/${id}`,
        file: join(photosOf(database), id),
        compress: false,
      })),
      ...readable.map((name) => ({
        name: `${readableFolder}/${name}`,
        file: join(open, name),
        compress: true,
      })),
    ]
    const manifest: Manifest = {
      format: 'mantle.archive',
      version: 1,
      madeAt: now.toISOString(),
      database: version,
      counts,
      missing: photos.filter((id) => !there.includes(id)),
      entries: [],
    }
    const zip = new ZipFile()
    for (const { name, file, compress } of entries) {
      manifest.entries.push({ name, ...(await hashOfFile(file)) })
      zip.addFile(file, name, { compress })
    }
    zip.addBuffer(Buffer.from(JSON.stringify(manifest)), manifestEntry)
    zip.end()
    await pipeline(zip.outputStream, createWriteStream(part))
    await seal(part)
    renameSync(part, archive)
    flush(folder)
    return { archive, counts, missing: manifest.missing }
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  } finally {
    rmSync(work, { recursive: true, force: true })
  }
}

/** Takes out of a copy what belongs to this machine alone, looks the copy over, and writes it out for other programs. */
function ownTablesLeftOut(copy: string, database: string, open: string, madeAt: string) {
  const db = new Database(copy)
  try {
    const tables = db.prepare<[], string>('SELECT name FROM sqlite_master').pluck().all()
    // secure_delete: a key that was deleted must not lie in the free pages of the archive.
    db.pragma('secure_delete = ON')
    for (const table of ofThisMachine) if (tables.includes(table)) db.exec(`DELETE FROM ${table}`)
    if (!isSound(db))
      throw new StorageTrouble(
        `${database} is damaged: SQLite's check of it fails. No archive was made of it, so that a good one is not taken for newer. Restore the last good archive.`,
      )
    const photos = tables.includes('photos')
      ? db.prepare<[], string>('SELECT id FROM photos').pluck().all()
      : []
    db.pragma('journal_mode = DELETE')
    const version = db.pragma('user_version', { simple: true }) as number
    return {
      counts: countsOf(db),
      photos,
      version,
      readable: writeReadable(db, open, madeAt),
    }
  } finally {
    db.close()
  }
}
