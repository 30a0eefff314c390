import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Db } from './connection'
import { makeFolder, photosOf, writeWhole } from './files'

const fileOf = (db: Db, id: string) => join(photosOf(db.name), id)

/** What a photo is of. */
export type PhotoOf =
  | { batchId: string }
  | { trialId: string }
  | { lotId: string }
  | { designId: string }
  | { noteId: string }

/** Keeps a photo. The same again is kept once; false when another one is kept under this id. */
export function keepPhoto(
  db: Db,
  photo: { id: string; type: string; bytes: Uint8Array },
  of: PhotoOf,
  now: string,
): boolean {
  const { id, type, bytes } = photo
  const owner = {
    batchId: 'batchId' in of ? of.batchId : null,
    trialId: 'trialId' in of ? of.trialId : null,
    lotId: 'lotId' in of ? of.lotId : null,
    designId: 'designId' in of ? of.designId : null,
    noteId: 'noteId' in of ? of.noteId : null,
  }
  const file = fileOf(db, id)
  makeFolder(photosOf(db.name))
  const row = db
    .prepare<[string], typeof owner>(
      'SELECT batch_id AS batchId, trial_id AS trialId, lot_id AS lotId, design_id AS designId, note_id AS noteId FROM photos WHERE id = ?',
    )
    .get(id)
  const same = JSON.stringify(row) === JSON.stringify(owner)
  if (row && existsSync(file)) return same && Buffer.from(bytes).equals(readFileSync(file))
  // A file without its row is of a write that was cut short: it was never acknowledged.
  writeWhole(file, bytes)
  db.prepare(
    `INSERT INTO photos (id, batch_id, trial_id, lot_id, design_id, note_id, type, bytes, kept_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (id) DO NOTHING`,
  ).run(
    id,
    owner.batchId,
    owner.trialId,
    owner.lotId,
    owner.designId,
    owner.noteId,
    type,
    bytes.length,
    now,
  )
  return true
}

/** A photo with its content type; null when there is none, or its file is gone. */
export function getPhoto(db: Db, id: string): { type: string; bytes: Buffer } | null {
  const row = db.prepare<[string], { type: string }>('SELECT type FROM photos WHERE id = ?').get(id)
  if (!row || !existsSync(fileOf(db, id))) return null
  return { type: row.type, bytes: readFileSync(fileOf(db, id)) }
}

/** Photos that an older Mantle kept inside the database become files. */
export function unpackPhotos(db: Db): void {
  const packed = db
    .prepare<[], { id: string; batchId: string; bytes: Buffer; kept_at: string }>(
      `SELECT run_photos.id, batch_id AS batchId, bytes, kept_at
       FROM run_photos JOIN runs ON runs.id = run_id`,
    )
    .all()
  for (const photo of packed) {
    const { id, batchId, bytes } = photo
    keepPhoto(db, { id, type: 'image/jpeg', bytes }, { batchId }, photo.kept_at)
    db.prepare('DELETE FROM run_photos WHERE id = ?').run(photo.id)
  }
}
