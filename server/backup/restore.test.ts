import { execFileSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { blankFormula } from '#core/formula/blank'
import { openDatabase, safetyCopies } from '../db/connection'
import { formulas } from '../db/documents'
import { epochOf } from '../db/epoch'
import { takeDatabase } from '../db/lock'
import { migrationFiles } from '../db/migrationFiles'
import { addPaired, listPaired, setOpen } from '../db/paired'
import { photosOf } from '../db/files'
import { backup, isSound } from './archive'
import { openArchive } from './opened'
import { restore, undoRestore, unfinishedRestore } from './restore'

const root = mkdtempSync(join(tmpdir(), 'mantle-archive-'))
afterAll(() => rmSync(root, { recursive: true }))
let folder = root
beforeEach(() => {
  folder = mkdtempSync(join(root, 'case-'))
})
const at = (name: string) => join(folder, name)
const id = '0199a1b2-0000-7000-8000-000000000001'
const known = migrationFiles().at(-1)!.version
const monday = new Date('2026-11-23T18:40:00Z')
const wednesday = new Date('2026-11-25T09:00:00Z')

/** A workshop with one formula and one photo. */
function workshop(name: string, formula: string, photo = 'picture'): string {
  const file = at(name)
  const db = openDatabase(file, migrationFiles())
  formulas.save(db, id, 0, blankFormula(formula), monday.toISOString())
  db.exec(
    `INSERT INTO batches VALUES ('${id}', 1, '${id}', '', 1, '', 1, '{}', '{}');
     INSERT INTO photos (id, batch_id, type, bytes, kept_at) VALUES ('${id}', '${id}', 'image/png', ${photo.length}, '')`,
  )
  db.close()
  mkdirSync(photosOf(file), { recursive: true })
  writeFileSync(join(photosOf(file), id), photo)
  return file
}
const rename = (file: string, name: string) => {
  const db = openDatabase(file, migrationFiles())
  const { revision } = formulas.get(db, id)!
  formulas.save(db, id, revision, blankFormula(name), wednesday.toISOString())
  db.close()
}
const nameIn = (file: string) => {
  const db = openDatabase(file, migrationFiles())
  const name = formulas.get(db, id)!.document.name
  db.close()
  return name
}
async function putBack(archive: string, database: string, now = wednesday) {
  const opened = await openArchive(archive, database, known)
  try {
    return await restore(opened, archive, database, migrationFiles(), now)
  } finally {
    opened.close()
  }
}

describe('backup and restore', () => {
  it('put a workshop back, keep what was there, and take that back too', async () => {
    const file = workshop('a.sqlite', 'Monday')
    const { counts, missing } = await backup(file, at('out/a.zip'), monday)
    expect(counts).toMatchObject({ formulas: 1, batches: 1, photos: 1, events: 0 })
    expect(missing).toEqual([])
    rename(file, 'Wednesday')
    const { safety } = await putBack(at('out/a.zip'), file)
    expect(nameIn(file)).toBe('Monday')
    expect(nameIn(safety!)).toBe('Wednesday')
    await undoRestore(file, migrationFiles(), wednesday)
    expect(nameIn(file)).toBe('Wednesday')
    await undoRestore(file, migrationFiles(), wednesday)
    expect(nameIn(file)).toBe('Monday')
    expect(readdirSync(folder).filter((name) => name.includes('.unpacked-'))).toEqual([])
  })

  it('give each safety copy a name of its own', async () => {
    const file = workshop('a.sqlite', 'One')
    await backup(file, at('a.zip'), monday)
    rename(file, 'Two')
    await putBack(at('a.zip'), file)
    rename(file, 'Three')
    await putBack(at('a.zip'), file)
    expect(safetyCopies(file).map(nameIn)).toEqual(['Two', 'Three'])
  })

  it('begin another epoch, since what was told since is gone', async () => {
    const file = workshop('a.sqlite', 'One')
    const epoch = () => {
      const db = openDatabase(file, migrationFiles())
      const now = epochOf(db)
      db.close()
      return now
    }
    const before = epoch()
    expect(epoch()).toBe(before)
    await backup(file, at('a.zip'), monday)
    await putBack(at('a.zip'), file)
    expect(epoch()).not.toBe(before)
  })

  it('leave pairings and LAN access as they are on this machine, and none of them in the archive', async () => {
    const file = workshop('a.sqlite', 'One')
    const pair = (name: string, hash: string) => {
      const db = openDatabase(file, migrationFiles())
      addPaired(db, { id: `${id}${name}`, name, rights: ['read'] }, hash, monday.toISOString())
      setOpen(db, true)
      db.close()
    }
    pair('Lost tablet', 'a-hash-that-must-stay-here')
    await backup(file, at('a.zip'), monday)
    const inside = Buffer.from(unzipSync(readFileSync(at('a.zip')))['mantle.sqlite']!)
    expect(inside.includes('a-hash-that-must-stay-here')).toBe(false)
    const db = openDatabase(file, migrationFiles())
    db.exec("UPDATE paired SET ended_at = ''")
    db.close()
    pair('Bench tablet', 'another')
    await putBack(at('a.zip'), file)
    const after = openDatabase(file, migrationFiles())
    expect(listPaired(after).map(({ name }) => name)).toEqual(['Bench tablet'])
    after.close()
    await putBack(at('a.zip'), at('elsewhere/b.sqlite'))
    const fresh = openDatabase(at('elsewhere/b.sqlite'), migrationFiles())
    expect(listPaired(fresh)).toEqual([])
    fresh.close()
  })

  it('replace a damaged photo by the whole one, and keep even that', async () => {
    const file = workshop('a.sqlite', 'One', 'the whole picture')
    await backup(file, at('a.zip'), monday)
    const photo = join(photosOf(file), id)
    writeFileSync(photo, 'half a pic')
    const { safety } = await putBack(at('a.zip'), file)
    expect(readFileSync(photo, 'utf8')).toBe('the whole picture')
    expect(readFileSync(join(safety!.replace(/\.sqlite$/, '-photos'), id), 'utf8')).toBe(
      'half a pic',
    )
    await undoRestore(file, migrationFiles(), wednesday)
    expect(readFileSync(photo, 'utf8')).toBe('half a pic')
  })

  it('say which photos were missing, and never call that everything', async () => {
    const file = workshop('a.sqlite', 'One')
    rmSync(join(photosOf(file), id))
    expect((await backup(file, at('a.zip'), monday)).missing).toEqual([id])
    await putBack(at('a.zip'), at('new/b.sqlite'))
    expect(nameIn(at('new/b.sqlite'))).toBe('One')
  })

  it('put a workshop back over one that is damaged', async () => {
    const file = workshop('a.sqlite', 'One')
    await backup(file, at('a.zip'), monday)
    writeFileSync(file, Buffer.alloc(20_000, 7))
    const { safety } = await putBack(at('a.zip'), file)
    expect(nameIn(file)).toBe('One')
    expect(statSync(safety!).size).toBe(20_000)
  })

  it('clean up after a backup that failed, and do not make one of a damaged database', async () => {
    const file = workshop('a.sqlite', 'One')
    const db = openDatabase(file, migrationFiles())
    db.pragma('journal_mode = DELETE')
    db.close()
    const bytes = readFileSync(file)
    expect(bytes.length).toBeGreaterThan(49_152)
    bytes.fill(0x5a, 40_960, 49_152)
    writeFileSync(file, bytes)
    await expect(backup(file, at('out/a.zip'), monday)).rejects.toThrow()
    expect(readdirSync(at('out'))).toEqual([])
    await expect(backup(at('nowhere.sqlite'), at('x.zip'), monday)).rejects.toThrow(/no database/)
  })
})

describe('archives that are refused, with the workshop as it was', () => {
  /** Every file of a folder with its content. */
  const all = (path: string): Record<string, string> =>
    Object.fromEntries(
      readdirSync(path, { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile() && !entry.name.endsWith('.zip'))
        .map((entry) => join(entry.parentPath, entry.name))
        .sort()
        .map((file) => [file, readFileSync(file).toString('base64')]),
    )

  it('because of any bit, wherever it is', async () => {
    const file = workshop('a.sqlite', 'One')
    await backup(file, at('a.zip'), monday)
    const before = all(folder)
    const whole = readFileSync(at('a.zip'))
    // Every bit of the ends, where the zip keeps its lists, and some between.
    const places = [
      ...Array.from({ length: 8 * 300 }, (_, bit) => bit).filter((bit) => bit % 13 === 0),
      ...Array.from({ length: 8 * 600 }, (_, bit) => 8 * whole.length - 1 - bit).filter(
        (bit) => bit % 11 === 0,
      ),
      ...Array.from({ length: 100 }, (_, n) => Math.floor((n / 100) * 8 * whole.length)),
    ]
    for (const bit of places) {
      const bytes = Buffer.from(whole)
      bytes[bit >> 3]! ^= 1 << (bit & 7)
      writeFileSync(at('bent.zip'), bytes)
      await expect(openArchive(at('bent.zip'), file, known), `bit ${bit}`).rejects.toThrow()
    }
    expect(all(folder)).toEqual(before)
  })

  it('because of what they are', async () => {
    const file = workshop('a.sqlite', 'One')
    await backup(file, at('a.zip'), monday)
    const files = unzipSync(readFileSync(at('a.zip')))
    const without = (name: string) =>
      Object.fromEntries(Object.entries(files).filter(([entry]) => entry !== name))
    const cut = readFileSync(at('a.zip'))
    const newer = openDatabase(at('newer.sqlite'), migrationFiles())
    newer.pragma('user_version = 4000')
    newer.close()
    await backup(at('newer.sqlite'), at('newer.zip'), monday)
    const refused: [name: string, bytes: Uint8Array | string, says: RegExp][] = [
      ['text', 'not a zip', /not an archive/],
      ['nothing', '', /not an archive/],
      ['cut short', cut.subarray(0, cut.length >> 1), /not an archive/],
      ['another zip', zipSync({ 'readme.txt': new Uint8Array([1]) }), /not hold a Mantle/],
      ['no database', zipSync({ 'mantle.sqlite': new Uint8Array(5000).fill(7) }), /not hold a/],
      ['unsealed', zipSync(files), /seal/],
      ['without its manifest', zipSync({ ...without('manifest.json') }), /^$/],
      ['a newer one', readFileSync(at('newer.zip')), /newer Mantle/],
    ]
    for (const [name, bytes, says] of refused) {
      writeFileSync(at('try.zip'), bytes)
      const opened = openArchive(at('try.zip'), file, known)
      // What is left without a manifest is an archive as an older Mantle wrote it.
      if (name === 'without its manifest') (await opened).close()
      else await expect(opened, name).rejects.toThrow(says)
    }
    await expect(openArchive(at('missing.zip'), file, known)).rejects.toThrow(/cannot be opened/)
    expect(nameIn(file)).toBe('One')
  })

  it('take nothing out of an old archive but the database and photos', async () => {
    const file = workshop('a.sqlite', 'One')
    await backup(file, at('a.zip'), monday)
    const { 'manifest.json': _, ...files } = unzipSync(readFileSync(at('a.zip')))
    writeFileSync(at('old.zip'), zipSync({ ...files, 'photos/sly.sh': new Uint8Array([1]) }))
    await putBack(at('old.zip'), at('there/q.sqlite'))
    expect(readdirSync(photosOf(at('there/q.sqlite')))).toEqual([id])
    writeFileSync(at('sly.zip'), zipSync({ ...files, 'photos/../../sly': new Uint8Array([1]) }))
    await expect(openArchive(at('sly.zip'), at('there/q.sqlite'), known)).rejects.toThrow()
    expect(existsSync(at('sly'))).toBe(false)
  })

  it('because they unpack to far more than any workshop', async () => {
    const file = workshop('a.sqlite', 'One')
    const bomb = zipSync({ 'mantle.sqlite': new Uint8Array(50_000_000) })
    expect(bomb.length).toBeLessThan(1_000_000)
    writeFileSync(at('bomb.zip'), bomb)
    await expect(openArchive(at('bomb.zip'), file, known)).rejects.toThrow(/unpacks to 50 MB/)
    // The same one, saying that it is short: the directory entry's size is at 24 from its beginning.
    const sly = Buffer.from(bomb)
    const entry = sly.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2]))
    sly.writeUInt32LE(1000, entry + 24)
    writeFileSync(at('sly.zip'), sly)
    await expect(openArchive(at('sly.zip'), file, known)).rejects.toThrow()
    expect(readdirSync(folder).filter((name) => name.includes('unpacked'))).toEqual([])
  })
})

describe('a restore that was cut short', () => {
  it('is told at the next start, with the workshop as it was', () => {
    const file = workshop('a.sqlite', 'One')
    const note = { from: 'a.zip', begunAt: monday.toISOString(), epoch: 'another' }
    writeFileSync(`${file}.restoring.json`, JSON.stringify(note))
    mkdirSync(`${file}.unpacked-abcdef`)
    expect(unfinishedRestore(file)).toMatch(/a\.zip.*cut short.*as it was/)
    expect(unfinishedRestore(file)).toBeNull()
    expect(existsSync(`${file}.unpacked-abcdef`)).toBe(false)
    expect(nameIn(file)).toBe('One')
  })

  it('is only tidied up when it had come to its end', () => {
    const file = workshop('a.sqlite', 'One')
    const db = openDatabase(file, migrationFiles())
    const note = { from: 'a.zip', begunAt: monday.toISOString(), epoch: epochOf(db) }
    db.close()
    writeFileSync(`${file}.restoring.json`, JSON.stringify(note))
    expect(unfinishedRestore(file)).toBeNull()
  })
})

describe('a database that is gone or in use', () => {
  it('is not begun anew beside its photos or its safety copy', () => {
    const file = workshop('a.sqlite', 'One')
    rmSync(file)
    expect(() => openDatabase(file, migrationFiles())).toThrow(/no database.*-photos/)
    expect(existsSync(file)).toBe(false)
    writeFileSync(file, '')
    expect(() => openDatabase(file, migrationFiles())).toThrow(/0 bytes/)
    expect(statSync(file).size).toBe(0)
  })

  it('belongs to one process at a time, however that one ends', () => {
    const file = workshop('a.sqlite', 'One')
    const release = takeDatabase(file)
    const other = () =>
      execFileSync(
        process.execPath,
        [
          '--import',
          'tsx',
          '--eval',
          `import { takeDatabase } from './server/db/lock.ts'
           try { takeDatabase(${JSON.stringify(file)}); console.log('taken'); process.kill(process.pid, 'SIGKILL') }
           catch (error) { console.log(error.message) }`,
        ],
        { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] },
      )
    expect(other()).toMatch(/Another Mantle is using/)
    release()
    expect(() => other()).toThrow(expect.objectContaining({ stdout: 'taken\n' }))
    takeDatabase(file)()
  })

  it('is told sound from unsound', () => {
    const db = openDatabase(workshop('a.sqlite', 'One'), migrationFiles())
    expect(isSound(db)).toBe(true)
    db.pragma('foreign_keys = OFF')
    db.exec("INSERT INTO batch_events VALUES ('x', 'no-batch', 'noted', '{}', '')")
    expect(isSound(db)).toBe(false)
    db.close()
  })
})
