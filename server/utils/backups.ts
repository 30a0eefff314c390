import { accessSync, constants, createWriteStream, existsSync, renameSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { H3Event } from 'h3'
import type { Backups, RestorePreview } from '#contracts/backup'
import { dayIn, timeIn } from '#core/units/days'
import { backup, type Backup } from '../backup/archive'
import { differences } from '../backup/difference'
import { openArchive } from '../backup/opened'
import { restore, undoRestore } from '../backup/restore'
import { archivesIn, letGo, nameNow, nameOfDay } from '../backup/shelf'
import { backupPlan } from '../db/backupPlan'
import { openDatabase, safetyCopies, type Db } from '../db/connection'
import { makeFolder } from '../db/files'
import { sentenceOfTrouble } from '../db/troubles'
import { getWorkshop } from '../db/workshop'
import { endStreams } from '../lan/streams'

/* Backups and restores of the running workshop: one at a time. */

let busy = false
/** Why the plan could not be kept the last time. */
let problem = ''

async function alone<T>(act: () => Promise<T>): Promise<T> {
  if (busy) refuse(409, 'A backup or a restore is under way. Wait until it is done.')
  busy = true
  try {
    return await act()
  } finally {
    busy = false
  }
}

export async function backupsTold(db: Db): Promise<Backups> {
  const plan = backupPlan(db)
  const safety = safetyCopies(db.name).at(-1)
  return {
    plan,
    archives: await archivesIn(plan.folder, db.name),
    problem,
    busy,
    undoable: safety ? stampOf(safety) : null,
  }
}

/** When a safety copy was made, from its name. */
function stampOf(safety: string): string {
  const [, day = '', time = ''] = /before-(\d{8})-(\d{6})/.exec(safety) ?? []
  return `${day.slice(0, 4)}-${day.slice(4, 6)}-${day.slice(6)}T${time.slice(0, 2)}:${time.slice(2, 4)}:${time.slice(4)}Z`
}

/** Why archives cannot be kept in a folder; null when they can. It is made if need be. */
export function whyNotFolder(folder: string): string | null {
  try {
    makeFolder(folder)
    accessSync(folder, constants.W_OK)
    return null
  } catch (error) {
    return sentenceOfTrouble(error, resolve(folder))
  }
}

/** Makes an archive now. */
export const backupNow = (db: Db, now: Date): Promise<Backup> =>
  alone(async () => {
    const { folder } = backupPlan(db)
    const { timeZone } = getWorkshop(db)
    const name = nameNow(db.name, dayIn(timeZone, now), timeIn(timeZone, now))
    return await backup(db.name, join(folder, name), now)
  })

/** Makes the archive of the day where the plan asks for one, and lets older ones go. */
export async function backupAsPlanned(db: Db, now: Date): Promise<void> {
  const { on, folder, at } = backupPlan(db)
  const { timeZone } = getWorkshop(db)
  const archive = join(folder, nameOfDay(db.name, dayIn(timeZone, now)))
  if (!on || busy || timeIn(timeZone, now) < at || existsSync(archive)) return
  try {
    // A folder that went (a stick that was pulled) is not made anew where it hung.
    if (!existsSync(folder)) throw Object.assign(new Error(folder), { code: 'ENOENT' })
    await alone(() => backup(db.name, archive, now))
    letGo(folder, db.name)
    problem = ''
  } catch (error) {
    problem = sentenceOfTrouble(error, resolve(folder))
    log(`The backup of the day was not made. ${problem}`)
  }
}

/** An archive of the folder by its name, or 404. */
export function archivePath(db: Db, name: string): string {
  const file = join(backupPlan(db).folder, name)
  return existsSync(file) ? file : refuse(404, 'This archive is not in the folder (any more).')
}

/** Takes an archive that somebody brings, written to the disk as it comes. Gives its name in the folder. */
export async function takeArchive(
  event: H3Event,
  db: Db,
  now: Date,
  most: number,
): Promise<string> {
  const { folder } = backupPlan(db)
  makeFolder(folder)
  const { timeZone } = getWorkshop(db)
  const name = nameNow(db.name, dayIn(timeZone, now), timeIn(timeZone, now)).replace(
    /\.zip$/,
    `-brought-${Date.now().toString(36)}.zip`,
  )
  const part = join(folder, `${name}.part`)
  let bytes = 0
  const counted = new Transform({
    transform(piece: Buffer, _, done) {
      bytes += piece.length
      done(
        bytes > most ? new Refusal(413, [{ path: '', says: 'This file is too long.' }]) : null,
        piece,
      )
    },
  })
  try {
    await pipeline(event.node.req, counted, createWriteStream(part))
    renameSync(part, join(folder, name))
    return name
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
}

/** What putting an archive in place would change. All of the archive is checked for it. */
export const previewOf = (db: Db, name: string): Promise<RestorePreview> =>
  alone(async () => {
    const all = await migrations()
    const opened = await openArchive(archivePath(db, name), db.name, all.at(-1)!.version)
    try {
      // Compared in today's form.
      openDatabase(opened.database, all).close()
      const { manifest, photos } = opened
      return {
        name,
        madeAt: manifest?.madeAt ?? '',
        counts: manifest?.counts ?? null,
        photos: photos.length,
        missing: manifest?.missing.length ?? 0,
        ...differences(db.name, opened.database),
      }
    } finally {
      opened.close()
    }
  })

/** Puts an archive in place of the running workshop. Every browser hears of it and looks again. */
export const restoreNow = (db: Db, name: string, now: Date): Promise<void> =>
  alone(async () => {
    const archive = archivePath(db, name)
    const all = await migrations()
    const opened = await openArchive(archive, db.name, all.at(-1)!.version)
    try {
      await whileClosed((file) => restore(opened, archive, file, all, now))
    } finally {
      opened.close()
    }
    endStreams()
  })

/** Brings back what the last restore replaced. */
export const undoNow = (now: Date): Promise<void> =>
  alone(async () => {
    const all = await migrations()
    await whileClosed((file) => undoRestore(file, all, now))
    endStreams()
  })
