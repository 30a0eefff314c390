import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import { afterAll, describe, expect, it } from 'vitest'
import { blankFormula } from '#core/formula/blank'
import { openDatabase } from '../server/db/connection'
import { formulas } from '../server/db/documents'
import { migrationFiles } from '../server/db/migrationFiles'
import { photosOf } from '../server/db/photos'
import { backup, restore } from './archive'

const folder = mkdtempSync(join(tmpdir(), 'mantle-archive-'))
afterAll(() => rmSync(folder, { recursive: true }))
const at = (name: string) => join(folder, name)
const id = '0199a1b2-0000-7000-8000-000000000001'
const names = (file: string) => {
  const db = openDatabase(file, migrationFiles())
  const list = formulas.list(db).map(({ document }) => document.name)
  db.close()
  return list
}

describe('backup and restore', () => {
  it('copy an open database and put it back, keeping what was there', async () => {
    const db = openDatabase(at('a.sqlite'), migrationFiles())
    formulas.save(db, id, 0, blankFormula('Before'), '2026-03-01T09:00:00Z')
    await backup(at('a.sqlite'), at('out/a.zip'))
    formulas.save(db, id, 1, blankFormula('After'), '2026-03-02T09:00:00Z')
    db.close()
    const before = restore(at('out/a.zip'), at('a.sqlite'))
    expect(names(at('a.sqlite'))).toEqual(['Before'])
    expect(names(before!)).toEqual(['After'])
  })

  it('restore into an empty place', () => {
    expect(restore(at('out/a.zip'), at('new/b.sqlite'))).toBeNull()
    expect(names(at('new/b.sqlite'))).toEqual(['Before'])
  })

  it('take the photos along, and nothing that only pretends to be one', async () => {
    const db = openDatabase(at('p.sqlite'), migrationFiles())
    db.close()
    mkdirSync(photosOf(at('p.sqlite')))
    writeFileSync(join(photosOf(at('p.sqlite')), id), 'picture')
    await backup(at('p.sqlite'), at('p.zip'))
    const files = unzipSync(readFileSync(at('p.zip')))
    const sly = { ...files, 'photos/../../sly': new Uint8Array([1]) }
    writeFileSync(at('sly.zip'), zipSync(sly))
    restore(at('sly.zip'), at('there/q.sqlite'))
    expect(readdirSync(photosOf(at('there/q.sqlite')))).toEqual([id])
    expect(readFileSync(join(photosOf(at('there/q.sqlite')), id), 'utf8')).toBe('picture')
    expect(existsSync(at('sly'))).toBe(false)
  })

  it('refuse what is no archive, holds no database, or holds another one, and leave the data alone', async () => {
    writeFileSync(at('text.zip'), 'not a zip')
    writeFileSync(at('other.zip'), zipSync({ 'readme.txt': new Uint8Array([1]) }))
    writeFileSync(at('broken.zip'), zipSync({ 'mantle.sqlite': new Uint8Array(5000).fill(7) }))
    for (const archive of ['text.zip', 'other.zip', 'broken.zip', 'missing.zip'])
      expect(() => restore(at(archive), at('a.sqlite'))).toThrow(/archive/)
    expect(names(at('a.sqlite'))).toEqual(['Before'])
    await expect(backup(at('nowhere.sqlite'), at('x.zip'))).rejects.toThrow(/no database/)
  })

  it('refuse an archive of a newer Mantle', async () => {
    const db = openDatabase(at('newer.sqlite'), migrationFiles())
    db.pragma('user_version = 4000')
    db.close()
    await backup(at('newer.sqlite'), at('newer.zip'))
    expect(() => restore(at('newer.zip'), at('a.sqlite'))).toThrow(/newer Mantle/)
  })
})
