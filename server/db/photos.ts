import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Db } from './connection'
import { makeFolder, photosOf, writeWhole } from './files'

const fileOf = (db: Db, id: string) => join(photosOf(db.name), id)

/** Keeps a photo of a batch. The same again is kept once; false when another one is kept under this id. */
export function keepPhoto(
  db: Db,
  photo: { id: string; batchId: string; type: string; bytes: Uint8Array },
  now: string,
): boolean {
  const { id, batchId, type, bytes } = photo
  const file = fileOf(db, id)
  makeFolder(photosOf(db.name))
  const row = db
    .prepare<[string], { batch_id: string }>('SELECT batch_id FROM photos WHERE id = ?')
    .get(id)
  if (row && existsSync(file))
    return row.batch_id === batchId && Buffer.from(bytes).equals(readFileSync(file))
  // A file without its row is of a write that was cut short: it was never acknowledged.
  writeWhole(file, bytes)
  db.prepare(
    `INSERT INTO photos (id, batch_id, type, bytes, kept_at) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (id) DO NOTHING`,
  ).run(id, batchId, type, bytes.length, now)
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
    keepPhoto(db, { ...photo, type: 'image/jpeg' }, photo.kept_at)
    db.prepare('DELETE FROM run_photos WHERE id = ?').run(photo.id)
  }
}
