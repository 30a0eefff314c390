import { createHash } from 'node:crypto'
import { createWriteStream, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { crc32 } from 'node:zlib'
import Database from 'better-sqlite3'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { makeFolder } from '../db/files'
import { troubleOf, StorageTrouble } from '../db/troubles'
import {
  countsOf,
  databaseEntry,
  hashOfFile,
  isSound,
  manifestEntry,
  manifestSchema,
  photoName,
  readableName,
  sealOf,
  type Manifest,
} from './archive'
import { sumOf } from '#core/statistics/sum'

/*
 * Archives are unpacked into a folder of their own and looked over there, whole, before anything of the workshop is touched.
 */

/** An archive that cannot be used; nothing was changed. */
export class Unusable extends StorageTrouble {
  constructor(says: string) {
    super(says, 422)
    this.name = 'Unusable'
  }
}

/** An archive as it lies unpacked, every entry checked. */
export interface Opened {
  /** Where it lies; `close` removes it. */
  folder: string
  database: string
  photos: { id: string; file: string; sha256: string }[]
  /** Null for an archive of an older Mantle, which had none: then only the zip's own sums were checked. */
  manifest: Manifest | null
  close(): void
}

/** Most entries an archive may have, and how much longer an entry may become by unpacking: a bomb has thousands of times. */
const mostEntries = 200_000
const mostManifest = 64 * 1024 * 1024
const mostPhoto = 16 * 1024 * 1024
const mostReadable = 2 * 1024 * 1024 * 1024
const mostRatio = 200
/** Bytes that are small whatever the ratio. */
const small = 1024 * 1024

async function checkSeal(archive: string): Promise<boolean> {
  const seal = sealOf(archive)
  if (!seal) return false
  if ((await hashOfFile(archive, seal.from)).sha256 !== seal.sha256)
    throw new Unusable('This archive is damaged: it is not as it was written. Take another one.')
  return true
}

async function listed(zip: ZipFile): Promise<Entry[]> {
  const entries: Entry[] = []
  for await (const entry of zip.eachEntry()) {
    if (entries.push(entry) > mostEntries)
      throw new Unusable('This archive has more entries than any workshop.')
  }
  return entries
}

/** How much of an entry is taken: what it may be at most, declared or not. */
function allowed(entry: Entry): number {
  const { fileName, compressedSize, uncompressedSize } = entry
  const most =
    fileName === databaseEntry
      ? Number.MAX_SAFE_INTEGER
      : fileName === manifestEntry
        ? mostManifest
        : readableName.test(fileName)
          ? mostReadable
          : mostPhoto
  const bomb = uncompressedSize > small && uncompressedSize > mostRatio * compressedSize
  if (uncompressedSize > most || bomb)
    throw new Unusable(
      `"${fileName}" in this archive says that it unpacks to ${Math.round(uncompressedSize / 1e6)} MB, which no workshop's does. Nothing was unpacked.`,
    )
  return uncompressedSize
}

/** Unpacks one entry to a file, piece by piece; gives its SHA-256. */
async function unpack(zip: ZipFile, entry: Entry, file: string): Promise<string> {
  const most = allowed(entry)
  const hash = createHash('sha256')
  let bytes = 0
  const counted = new Transform({
    transform(part: Buffer, _, done) {
      bytes += part.length
      hash.update(part)
      if (bytes > most) done(new Unusable(`"${entry.fileName}" is longer than it says.`))
      else done(null, part)
    },
  })
  let crc = 0
  counted.on('data', (part: Buffer) => (crc = crc32(part, crc)))
  await pipeline(await zip.openReadStreamPromise(entry), counted, createWriteStream(file))
  if (bytes !== entry.uncompressedSize || crc >>> 0 !== entry.crc32 >>> 0)
    throw new Unusable(`"${entry.fileName}" in this archive is damaged.`)
  return hash.digest('hex')
}

function roomFor(bytes: number, folder: string): void {
  const { bavail, bsize } = statfsSync(folder)
  if (bavail * bsize < bytes * 1.05)
    throw new StorageTrouble(
      `There is not enough room beside the database: the archive unpacks to ${Math.ceil(bytes / 1e6)} MB, and ${Math.floor((bavail * bsize) / 1e6)} MB are free. Nothing was changed.`,
      507,
    )
}

/**
 * Unpacks an archive beside a database and checks all of it: the seal, every entry's length and SHA-256, that nothing is missing or too
 * many, that the database is sound, of a Mantle this one knows, and holds as much as the manifest says.
 * @param known the newest version of the database's form that this Mantle knows
 * @throws Unusable, or Trouble of the disk; what was unpacked is removed again
 */
export async function openArchive(archive: string, beside: string, known: number): Promise<Opened> {
  makeFolder(dirname(beside))
  const folder = mkdtempSync(`${beside}.unpacked-`)
  const close = () => rmSync(folder, { recursive: true, force: true })
  let zip: ZipFile | undefined
  try {
    const sealed = await checkSeal(archive)
    zip = await openPromise(archive, { validateEntrySizes: true, autoClose: false })
    const entries = await listed(zip)
    roomFor(
      sumOf(entries, (entry) => allowed(entry)),
      folder,
    )
    return { ...(await unpacked(zip, entries, folder, sealed, known)), folder, close }
  } catch (error) {
    close()
    if (error instanceof StorageTrouble) throw error
    throw (
      troubleOf(error, archive) ?? new Unusable(`${archive} is not an archive that can be read.`)
    )
  } finally {
    zip?.close()
  }
}

async function unpacked(
  zip: ZipFile,
  entries: Entry[],
  folder: string,
  sealed: boolean,
  known: number,
): Promise<Pick<Opened, 'database' | 'photos' | 'manifest'>> {
  const named = new Map(entries.map((entry) => [entry.fileName, entry]))
  if (named.size !== entries.length) throw new Unusable('This archive names an entry twice.')
  const hasManifest = named.has(manifestEntry)
  if (hasManifest !== sealed)
    throw new Unusable('This archive is damaged: its seal and its manifest do not go together.')
  if (!named.has(databaseEntry)) throw new Unusable('The archive does not hold a Mantle database.')
  const manifest = hasManifest ? await manifestIn(zip, named.get(manifestEntry)!, folder) : null
  const told = manifest && new Map(manifest.entries.map((entry) => [entry.name, entry]))
  const photos: Opened['photos'] = []
  for (const entry of entries) {
    const { fileName } = entry
    if (fileName === manifestEntry) continue
    const id = fileName.startsWith('photos/') ? fileName.slice('photos/'.length) : ''
    const expected = told?.get(fileName)
    if (told && !expected) throw new Unusable(`"${fileName}" does not belong into this archive.`)
    const isReadable = told !== null && readableName.test(fileName)
    // Of an archive without a manifest only what is known is taken.
    if (fileName !== databaseEntry && !photoName.test(id) && !isReadable) continue
    const file = join(folder, isReadable ? 'read' : id || databaseEntry)
    const sha256 = await unpack(zip, entry, file)
    if (expected && (expected.sha256 !== sha256 || expected.bytes !== entry.uncompressedSize))
      throw new Unusable(`"${fileName}" in this archive is damaged.`)
    told?.delete(fileName)
    // Looked over like all else, and not kept: nothing is restored from it.
    if (isReadable) rmSync(file)
    else if (id) photos.push({ id, file, sha256 })
  }
  if (told?.size) throw new Unusable(`The archive is not whole: ${[...told.keys()][0]} is missing.`)
  const database = join(folder, databaseEntry)
  checkDatabase(database, manifest, new Set(photos.map(({ id }) => id)), known)
  return { database, photos, manifest }
}

async function manifestIn(zip: ZipFile, entry: Entry, folder: string): Promise<Manifest> {
  const file = join(folder, manifestEntry)
  await unpack(zip, entry, file)
  const text = readFileSync(file, 'utf8')
  rmSync(file)
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    throw new Unusable('The manifest of this archive cannot be read.')
  }
  const manifest = manifestSchema.safeParse(raw)
  if (!manifest.success)
    throw new Unusable('The manifest of this archive is not one that this Mantle knows.')
  return manifest.data
}

/** Looks an archive's database over before anything is replaced. */
function checkDatabase(
  file: string,
  manifest: Manifest | null,
  photos: Set<string>,
  known: number,
): void {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { readonly: true })
    const version = db.pragma('user_version', { simple: true }) as number
    if (version < 1 || !db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'formulas'").get())
      throw new Unusable('The archive does not hold a Mantle database.')
    if (version > known)
      throw new Unusable(
        `The archive was written by a newer Mantle (${version}, this one knows ${known}).`,
      )
    if (!isSound(db)) throw new Unusable('The database in the archive is damaged.')
    if (!manifest) return
    const counts = countsOf(db) as Record<string, number>
    const wrong = Object.entries(manifest.counts).find(([what, count]) => counts[what] !== count)
    if (wrong)
      throw new Unusable(
        `The archive is not whole: it should hold ${wrong[1]} ${wrong[0]} and holds ${counts[wrong[0]] ?? 0}.`,
      )
    const without = db
      .prepare<[], string>('SELECT id FROM photos')
      .pluck()
      .all()
      .filter((id) => !photos.has(id) && !manifest.missing.includes(id))
    if (without.length)
      throw new Unusable(`The archive is not whole: ${without.length} of its photos are missing.`)
  } catch (error) {
    if (error instanceof StorageTrouble) throw error
    throw troubleOf(error, file)?.status === 507
      ? troubleOf(error, file)!
      : new Unusable('The archive does not hold a database that can be read.')
  } finally {
    db?.close()
  }
}
