import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { basename, join } from 'node:path'
import { openPromise } from 'yauzl'
import type { ArchiveFile } from '#contracts/backup'
import { manifestEntry, manifestSchema, type Manifest } from './archive'
import { toLetGo } from './keep'

/*
 * The folder that archives lie in. They are called after the database, so that a demo's are not taken for the workshop's.
 */

const kindOf = (database: string) => basename(database).replace(/\.sqlite$/, '')

/** Name of an archive made by hand at a moment, by the workshop's clock. */
export const nameNow = (database: string, day: string, time: string): string =>
  `${kindOf(database)}-${day}-${time.replace(':', '')}.zip`
/** Name of the one that the plan makes on a day. */
export const nameOfDay = (database: string, day: string): string =>
  `${kindOf(database)}-${day}-daily.zip`

const dayOf = (name: string) => /\d{4}-\d{2}-\d{2}/.exec(name)?.[0] ?? ''
const isDaily = (name: string) => name.endsWith('-daily.zip')

/** The manifest of an archive, without looking at the rest of it; null where there is none that can be read. */
async function manifestOf(file: string): Promise<Manifest | null> {
  try {
    const zip = await openPromise(file, { autoClose: false })
    try {
      for await (const entry of zip.eachEntry()) {
        if (entry.fileName !== manifestEntry || entry.uncompressedSize > 64 * 1024 * 1024) continue
        const parts: Buffer[] = []
        for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer)
        return manifestSchema.parse(JSON.parse(Buffer.concat(parts).toString('utf8')))
      }
      return null
    } finally {
      zip.close()
    }
  } catch {
    return null
  }
}

/** What was read of an archive, by its file: they do not change. */
const read = new Map<string, ArchiveFile>()

async function fileOf(folder: string, name: string): Promise<ArchiveFile> {
  const { size, mtimeMs } = statSync(join(folder, name))
  const key = `${folder} ${name} ${size} ${mtimeMs}`
  const before = read.get(key)
  if (before) return before
  const manifest = await manifestOf(join(folder, name))
  const file: ArchiveFile = {
    name,
    madeAt: manifest?.madeAt ?? new Date(mtimeMs).toISOString(),
    bytes: size,
    counts: manifest?.counts ?? null,
    missing: manifest?.missing.length ?? 0,
    daily: isDaily(name),
  }
  if (read.size > 500) read.clear()
  read.set(key, file)
  return file
}

/** The archives of a database in a folder, newest first. A folder that is not there (a stick that was pulled) holds none. */
export async function archivesIn(folder: string, database: string): Promise<ArchiveFile[]> {
  if (!existsSync(folder)) return []
  const names = readdirSync(folder).filter(
    (name) => name.startsWith(`${kindOf(database)}-`) && name.endsWith('.zip'),
  )
  const files = await Promise.all(names.map((name) => fileOf(folder, name)))
  return files.sort((a, b) => b.madeAt.localeCompare(a.madeAt) || b.name.localeCompare(a.name))
}

/** Removes the daily archives that need not stay. Those made by hand stay until a hand removes them. */
export function letGo(folder: string, database: string): void {
  const daily = readdirSync(folder)
    .filter((name) => name.startsWith(`${kindOf(database)}-`) && isDaily(name))
    .map((name) => ({ name, day: dayOf(name) }))
  for (const name of toLetGo(daily)) rmSync(join(folder, name), { force: true })
}
