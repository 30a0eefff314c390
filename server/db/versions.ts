import { formulaSchema, type FormulaDocument } from '#contracts/formula'
import {
  versionNotesSchema,
  type FormulaVersion,
  type VersionNotes,
  type VersionSummary,
} from '#contracts/version'
import type { Db } from './connection'

interface Row {
  id: string
  formula_id: string
  number: number
  document: string
  notes: string
  revision: number
  kept_at: string
}

const version = (row: Row): FormulaVersion => ({
  ...versionNotesSchema.parse(JSON.parse(row.notes)),
  id: row.id,
  revision: row.revision,
  formulaId: row.formula_id,
  number: row.number,
  keptAt: row.kept_at,
  document: formulaSchema.parse(JSON.parse(row.document)),
})

/** The named versions of a formula, the newest first. */
export function listVersions(db: Db, formulaId: string): FormulaVersion[] {
  return db
    .prepare<[string], Row>(
      'SELECT * FROM formula_versions WHERE formula_id = ? ORDER BY number DESC',
    )
    .all(formulaId)
    .map(version)
}

/** Every version of every formula that is not deleted, the newest first, without the documents. */
export function listAllVersions(db: Db): VersionSummary[] {
  return db
    .prepare<[], VersionSummary>(
      `SELECT v.id, v.formula_id AS formulaId, v.number, v.notes ->> 'name' AS name, v.kept_at AS keptAt
       FROM formula_versions v JOIN formulas f ON f.id = v.formula_id
       WHERE f.deleted_at IS NULL ORDER BY v.kept_at DESC, v.number DESC`,
    )
    .all()
}

export function getVersion(db: Db, id: string): FormulaVersion | null {
  const row = db.prepare<[string], Row>('SELECT * FROM formula_versions WHERE id = ?').get(id)
  return row ? version(row) : null
}

/** Keeps a formula's document under a name. The same id again gives the version that is already there. */
export function keepVersion(
  db: Db,
  { id, formulaId, document }: { id: string; formulaId: string; document: FormulaDocument },
  notes: VersionNotes,
  now: string,
): FormulaVersion {
  db.prepare(
    `INSERT INTO formula_versions (id, formula_id, number, document, notes, kept_at)
     VALUES (?, ?, (SELECT coalesce(max(number), 0) + 1 FROM formula_versions WHERE formula_id = ?), ?, ?, ?)
     ON CONFLICT (id) DO NOTHING`,
  ).run(id, formulaId, formulaId, JSON.stringify(document), JSON.stringify(notes), now)
  return getVersion(db, id)!
}

export type Noted = { kind: 'saved' | 'stale'; version: FormulaVersion } | { kind: 'none' }

const pick = ({ name, purpose, didIt, learned, changes }: VersionNotes): VersionNotes => ({
  name,
  purpose,
  didIt,
  learned,
  changes,
})

/** Writes down what a version was for and whether it did it. The same again is not stale. */
export function noteVersion(
  db: Db,
  id: string,
  revision: number,
  told: Omit<VersionNotes, 'changes'> & Partial<Pick<VersionNotes, 'changes'>>,
): Noted {
  return db
    .transaction((): Noted => {
      const version = getVersion(db, id)
      if (!version) return { kind: 'none' }
      const before = versionNotesSchema.parse(pick(version))
      const text = JSON.stringify(
        versionNotesSchema.parse({ ...told, changes: told.changes ?? before.changes }),
      )
      if (JSON.stringify(before) === text) return { kind: 'saved', version }
      if (version.revision !== revision) return { kind: 'stale', version }
      db.prepare('UPDATE formula_versions SET notes = ?, revision = revision + 1 WHERE id = ?').run(
        text,
        id,
      )
      return { kind: 'saved', version: getVersion(db, id)! }
    })
    .immediate()
}
