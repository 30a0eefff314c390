import { blankFormula } from '#core/formula/blank'
import { makeBatch } from '../../server/db/batches'
import { openDatabase, type Db } from '../../server/db/connection'
import { formulas } from '../../server/db/documents'
import { migrationFiles } from '../../server/db/migrationFiles'
import { frozenOf } from './batchOf'

const frozen = frozenOf()

/** Puts a formula and batches of it into a database. */
export function putBatches(db: Db, formula: string, ...batches: string[]): void {
  const now = '2026-03-01T09:00:00Z'
  formulas.save(db, formula, 0, blankFormula(formula), now)
  for (const id of batches)
    makeBatch(
      db,
      {
        id,
        formulaId: formula,
        bars: 12,
        cure: { rule: 'most', days: 42 },
        frozen,
        thumbnail: { pattern: 'plain', colours: ['#eeeeee'] },
      },
      now,
    )
}

/** A database in memory with a formula and batches of it. */
export function shedWith(formula: string, ...batches: string[]): Db {
  const db = openDatabase(':memory:', migrationFiles())
  putBatches(db, formula, ...batches)
  return db
}
