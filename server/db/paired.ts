import type { Db } from './connection'

export interface Paired {
  id: string
  name: string
  pairedAt: string
}

export const isOpen = (db: Db): boolean =>
  db.prepare<[], { open: number }>('SELECT open FROM reach').get()?.open === 1

export function setOpen(db: Db, open: boolean): void {
  db.prepare(
    'INSERT INTO reach (id, open) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET open = excluded.open',
  ).run(open ? 1 : 0)
}

export const listPaired = (db: Db): Paired[] =>
  db
    .prepare<[], Paired>(
      'SELECT id, name, paired_at AS pairedAt FROM paired WHERE ended_at IS NULL ORDER BY paired_at',
    )
    .all()

export function addPaired(db: Db, id: string, name: string, secretHash: string, now: string): void {
  db.prepare('INSERT INTO paired (id, name, secret_hash, paired_at) VALUES (?, ?, ?, ?)').run(
    id,
    name,
    secretHash,
    now,
  )
}

export const isPaired = (db: Db, secretHash: string): boolean =>
  db.prepare('SELECT 1 FROM paired WHERE secret_hash = ? AND ended_at IS NULL').get(secretHash) !==
  undefined

/** Ends a pairing; what that device sends from now on is refused. */
export const endPaired = (db: Db, id: string, now: string): boolean =>
  db.prepare('UPDATE paired SET ended_at = ? WHERE id = ? AND ended_at IS NULL').run(now, id)
    .changes > 0
