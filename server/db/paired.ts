import { rights as allRights, type Right } from '#contracts/rights'
import type { Db } from './connection'

export interface Paired {
  id: string
  name: string
  rights: Right[]
  pairedAt: string
  /** When it last asked for something; null before that. */
  seenAt: string | null
}

interface Row extends Omit<Paired, 'rights'> {
  rights: string
}

const columns = 'id, name, rights, paired_at AS pairedAt, seen_at AS seenAt'
const paired = (row: Row): Paired => ({
  ...row,
  rights: (JSON.parse(row.rights) as string[]).filter((right): right is Right =>
    allRights.some((known) => known === right),
  ),
})

export const isOpen = (db: Db): boolean =>
  db.prepare<[], { open: number }>('SELECT open FROM reach').get()?.open === 1

export function setOpen(db: Db, open: boolean): void {
  db.prepare(
    'INSERT INTO reach (id, open) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET open = excluded.open',
  ).run(open ? 1 : 0)
}

export const listPaired = (db: Db): Paired[] =>
  db
    .prepare<[], Row>(`SELECT ${columns} FROM paired WHERE ended_at IS NULL ORDER BY paired_at`)
    .all()
    .map(paired)

export function addPaired(
  db: Db,
  { id, name, rights }: { id: string; name: string; rights: readonly Right[] },
  secretHash: string,
  now: string,
): void {
  db.prepare(
    'INSERT INTO paired (id, name, rights, secret_hash, paired_at) VALUES (?, ?, ?, ?, ?)',
  ).run(id, name, JSON.stringify(rights), secretHash, now)
}

/** The device that proves itself with a secret of this hash; null when there is none (any more). */
export function pairedWith(db: Db, secretHash: string): Paired | null {
  const row = db
    .prepare<[string], Row>(
      `SELECT ${columns} FROM paired WHERE secret_hash = ? AND ended_at IS NULL`,
    )
    .get(secretHash)
  return row ? paired(row) : null
}

/** Says what a device may do from now on. Null when there is none. */
export function setRights(db: Db, id: string, rights: readonly Right[]): Paired | null {
  db.prepare('UPDATE paired SET rights = ? WHERE id = ? AND ended_at IS NULL').run(
    JSON.stringify(rights),
    id,
  )
  const row = db.prepare<[string], Row>(`SELECT ${columns} FROM paired WHERE id = ?`).get(id)
  return row ? paired(row) : null
}

export const sawPaired = (db: Db, id: string, now: string): void =>
  void db.prepare('UPDATE paired SET seen_at = ? WHERE id = ?').run(now, id)

/** Ends a pairing; what that device sends from now on is refused. */
export const endPaired = (db: Db, id: string, now: string): boolean =>
  db.prepare('UPDATE paired SET ended_at = ? WHERE id = ? AND ended_at IS NULL').run(now, id)
    .changes > 0
