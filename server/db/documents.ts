import type { z } from 'zod'
import type { Stored } from '#contracts/document'
import { colourSchema } from '#contracts/colour'
import { firstPathSchema } from '#contracts/firstSoap'
import { makingDaySchema } from '#contracts/day'
import { formulaSchema } from '#contracts/formula'
import { goalSchema } from '#contracts/goal'
import { ownMaterialSchema } from '#contracts/material'
import {
  importSchema,
  lessonSchema,
  noteSchema,
  ribbonSchema,
  shortWordSchema,
} from '#contracts/journal'
import { giftSchema, labelDesignSchema, soapWordsSchema } from '#contracts/label'
import { marketSchema } from '#contracts/market'
import { workshopMouldSchema } from '#contracts/mould'
import { scentSchema } from '#contracts/scent'
import { blendSchema, lotSchema, orderSchema } from '#contracts/store'
import { supplierSchema } from '#contracts/supplier'
import { trialSchema } from '#contracts/trial'
import type { Db } from './connection'

interface Row {
  id: string
  revision: number
  document: string
  changed_at: string
  changed_by: string
}

export type Saved<T> =
  { kind: 'saved'; stored: Stored<T> } | { kind: 'stale'; stored: Stored<T> } | { kind: 'gone' }

/**
 * One kind of document in a table of its own. Documents are parsed on the way out too, so that one written before a key
 * existed gets its default.
 */
function documentStore<T>(
  table:
    | 'formulas'
    | 'materials'
    | 'moulds'
    | 'goals'
    | 'scents'
    | 'suppliers'
    | 'trials'
    | 'colours'
    | 'lots'
    | 'blends'
    | 'markets'
    | 'orders'
    | 'designs'
    | 'soap_words'
    | 'gifts'
    | 'notes'
    | 'imports'
    | 'short_words'
    | 'lessons'
    | 'ribbons'
    | 'paths'
    | 'making_days',
  schema: z.ZodType<T>,
) {
  const columns = 'id, revision, document, changed_at, changed_by'
  const stored = (row: Row): Stored<T> => ({
    id: row.id,
    revision: row.revision,
    changedAt: row.changed_at,
    changedBy: row.changed_by,
    document: schema.parse(JSON.parse(row.document)),
  })

  /** All that are not deleted, the newest change first. */
  function list(db: Db): Stored<T>[] {
    return db
      .prepare<[], Row>(
        `SELECT ${columns} FROM ${table} WHERE deleted_at IS NULL ORDER BY changed_at DESC, id DESC`,
      )
      .all()
      .map(stored)
  }

  /** One of them, or null when there is none or it is deleted. */
  function get(db: Db, id: string): Stored<T> | null {
    const row = db
      .prepare<[string], Row>(`SELECT ${columns} FROM ${table} WHERE id = ? AND deleted_at IS NULL`)
      .get(id)
    return row ? stored(row) : null
  }

  /**
   * Keeps a document. Revision 0 creates it; any other must be the one that is kept now. The same document sent again
   * (an answer that was lost on the way) is not stale. An id that was deleted may be used anew.
   */
  function save(
    db: Db,
    id: string,
    revision: number,
    document: T,
    now: string,
    /** The device; empty for the computer Mantle runs on. */
    by = '',
  ): Saved<T> {
    const text = JSON.stringify(document)
    return db
      .transaction((): Saved<T> => {
        const row = db
          .prepare<[string], Row & { deleted_at: string | null }>(
            `SELECT ${columns}, deleted_at FROM ${table} WHERE id = ?`,
          )
          .get(id)
        const deleted = row?.deleted_at != null
        if (revision > 0 && (!row || deleted)) return { kind: 'gone' }
        if (row && !deleted && row.document === text) return { kind: 'saved', stored: stored(row) }
        if (row && !deleted && row.revision !== revision)
          return { kind: 'stale', stored: stored(row) }
        db.prepare(
          `INSERT INTO ${table} (id, revision, document, created_at, changed_at, changed_by)
           VALUES (?, 1, ?, ?, ?, ?)
           ON CONFLICT (id) DO UPDATE SET revision = revision + 1,
             document = excluded.document, changed_at = excluded.changed_at,
             changed_by = excluded.changed_by, deleted_at = NULL`,
        ).run(id, text, now, now, by)
        return { kind: 'saved', stored: get(db, id)! }
      })
      .immediate()
  }

  /** Marks it as deleted; what was made from it keeps its frozen copy. False when there is none to delete. */
  function remove(db: Db, id: string, now: string): boolean {
    return (
      db
        .prepare(`UPDATE ${table} SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL`)
        .run(now, id).changes > 0
    )
  }

  /** Takes a deletion back. */
  function restore(db: Db, id: string): Stored<T> | null {
    db.prepare(`UPDATE ${table} SET deleted_at = NULL WHERE id = ?`).run(id)
    return get(db, id)
  }

  return { list, get, save, remove, restore }
}
export type DocumentStore<T> = ReturnType<typeof documentStore<T>>

export const formulas = documentStore('formulas', formulaSchema)
export const materials = documentStore('materials', ownMaterialSchema)
export const moulds = documentStore('moulds', workshopMouldSchema)
export const goals = documentStore('goals', goalSchema)
export const scents = documentStore('scents', scentSchema)
/** By the id of the extra in the library. */
export const colours = documentStore('colours', colourSchema)
export const suppliers = documentStore('suppliers', supplierSchema)
/** Plans of trial days; what happened on them is in `db/trials.ts`. */
export const trials = documentStore('trials', trialSchema)
/** What a lot is; how much of it there is, is in `db/lots.ts`. */
export const lots = documentStore('lots', lotSchema)
/** What is made up ahead, by the id that formulas name it by. */
export const blends = documentStore('blends', blendSchema)
/** Market days; what happened on them is in `db/markets.ts`. */
export const markets = documentStore('markets', marketSchema)
export const orders = documentStore('orders', orderSchema)
export const designs = documentStore('designs', labelDesignSchema)
/** What customers read of a soap, by the id of its formula. */
export const soapWords = documentStore('soap_words', soapWordsSchema)
export const gifts = documentStore('gifts', giftSchema)
/** Notes and old pages of the journal. */
export const notes = documentStore('notes', noteSchema)
/** Pages or rows that came in together. */
export const imports = documentStore('imports', importSchema)
export const shortWords = documentStore('short_words', shortWordSchema)
/** Lessons that are followed, by the event that told each where there was one. */
export const lessons = documentStore('lessons', lessonSchema)
/** Searches of the journal that are kept. */
export const ribbons = documentStore('ribbons', ribbonSchema)
/** Ways up to a first soap. */
export const paths = documentStore('paths', firstPathSchema)
/** Making days; what was done on them stands in the runs of their batches. */
export const makingDays = documentStore('making_days', makingDaySchema)
