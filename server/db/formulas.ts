import { formulaSchema, type FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import type { Db } from './connection'

interface Row {
  id: string
  revision: number
  document: string
  changed_at: string
}

/** Parsed on the way out too, so that a document written before a key existed gets its default. */
const stored = (row: Row): StoredFormula => ({
  id: row.id,
  revision: row.revision,
  changedAt: row.changed_at,
  document: formulaSchema.parse(JSON.parse(row.document)),
})

export function listFormulas(db: Db): StoredFormula[] {
  return db
    .prepare<[], Row>(
      `SELECT id, revision, document, changed_at FROM formulas
       WHERE deleted_at IS NULL ORDER BY changed_at DESC, id DESC`,
    )
    .all()
    .map(stored)
}

/** A formula, or null when there is none or it is deleted. */
export function getFormula(db: Db, id: string): StoredFormula | null {
  const row = db
    .prepare<[string], Row>(
      `SELECT id, revision, document, changed_at FROM formulas
       WHERE id = ? AND deleted_at IS NULL`,
    )
    .get(id)
  return row ? stored(row) : null
}

export type Saved =
  | { kind: 'saved'; formula: StoredFormula }
  | { kind: 'stale'; formula: StoredFormula }
  | { kind: 'gone' }

/**
 * Keeps a document. Revision 0 creates it; any other must be the one that is kept now. The same document sent again
 * (an answer that was lost on the way) is not stale.
 */
export function saveFormula(
  db: Db,
  id: string,
  revision: number,
  document: FormulaDocument,
  now: string,
): Saved {
  const text = JSON.stringify(document)
  return db
    .transaction((): Saved => {
      const row = db
        .prepare<[string], Row & { deleted_at: string | null }>(
          'SELECT id, revision, document, changed_at, deleted_at FROM formulas WHERE id = ?',
        )
        .get(id)
      if (row?.deleted_at || (!row && revision > 0)) return { kind: 'gone' }
      if (row && row.document === text) return { kind: 'saved', formula: stored(row) }
      if (row && row.revision !== revision) return { kind: 'stale', formula: stored(row) }
      db.prepare(
        `INSERT INTO formulas (id, revision, name, document, created_at, changed_at)
         VALUES (?, 1, ?, ?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET revision = revision + 1, name = excluded.name,
           document = excluded.document, changed_at = excluded.changed_at`,
      ).run(id, document.name, text, now, now)
      return { kind: 'saved', formula: getFormula(db, id)! }
    })
    .immediate()
}

/** Marks a formula as deleted; its batches keep their frozen copy. False when there is none to delete. */
export function deleteFormula(db: Db, id: string, now: string): boolean {
  return (
    db
      .prepare('UPDATE formulas SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL')
      .run(now, id).changes > 0
  )
}

/** Takes a deletion back. */
export function restoreFormula(db: Db, id: string): StoredFormula | null {
  db.prepare('UPDATE formulas SET deleted_at = NULL WHERE id = ?').run(id)
  return getFormula(db, id)
}
