import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { blankFormula } from '#core/formula/blank'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openDatabase } from './connection'
import { formulas } from './documents'
import { migrate } from './migrate'
import { migrationFiles } from './migrationFiles'

let folder: string
const file = () => join(folder, 'deep', 'mantle.sqlite')
const id = '0199a1b2-0000-7000-8000-000000000001'
const now = '2026-03-01T09:00:00.000Z'
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mantle-db-'))
})
afterEach(() => rmSync(folder, { recursive: true }))

describe('opening the database', () => {
  it('makes the folder, uses WAL, foreign keys and full synchronous', () => {
    const db = openDatabase(file(), migrationFiles())
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
    db.close()
  })

  it('refuses a newer database with a sentence and leaves it alone', () => {
    const db = openDatabase(file(), migrationFiles())
    db.pragma('user_version = 999')
    db.close()
    expect(() => openDatabase(file(), migrationFiles())).toThrow(
      /newer Mantle.*999.*Nothing was changed/,
    )
    const again = new Database(file(), { readonly: true })
    expect(again.pragma('user_version', { simple: true })).toBe(999)
    again.close()
  })

  it('applies new migrations to kept data, and nothing at all when one of them fails', () => {
    const db = openDatabase(file(), migrationFiles())
    formulas.save(db, id, 0, blankFormula('Kept'), now)
    const latest = migrationFiles().at(-1)!.version
    const next = [
      { version: latest + 1, sql: 'ALTER TABLE formulas ADD COLUMN colour TEXT' },
      { version: latest + 2, sql: 'SELECT nonsense FROM nowhere' },
    ]
    expect(() => migrate(db, next)).toThrow()
    expect(db.pragma('user_version', { simple: true })).toBe(latest)
    migrate(db, next.slice(0, 1))
    expect(db.prepare("SELECT document ->> 'name' AS name, colour FROM formulas").get()).toEqual({
      name: 'Kept',
      colour: null,
    })
    db.close()
  })
})

describe('keeping formulas', () => {
  it('saves, notices a stale save, deletes and takes it back', () => {
    const db = openDatabase(':memory:', migrationFiles())
    expect(formulas.save(db, id, 0, blankFormula('One'), now)).toMatchObject({
      kind: 'saved',
      stored: { revision: 1 },
    })
    expect(formulas.save(db, id, 1, blankFormula('Two'), now)).toMatchObject({
      stored: { revision: 2 },
    })
    expect(formulas.save(db, id, 1, blankFormula('Late'), now)).toMatchObject({
      kind: 'stale',
      stored: { revision: 2, document: { name: 'Two' } },
    })
    expect(formulas.save(db, id, 1, blankFormula('Two'), now).kind).toBe('saved')
    expect(formulas.remove(db, id, now)).toBe(true)
    expect(formulas.remove(db, id, now)).toBe(false)
    expect(formulas.get(db, id)).toBeNull()
    expect(formulas.save(db, id, 2, blankFormula('Ghost'), now).kind).toBe('gone')
    expect(formulas.restore(db, id)?.document.name).toBe('Two')
    expect(formulas.list(db)).toHaveLength(1)
    db.close()
  })
})
