import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ownMaterialSchema } from '#contracts/material'
import { workshopSchema, type Workshop } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { beforeEach, describe, expect, it } from 'vitest'
import { putBatches } from '../../tests/support/shed'
import { backupPlan, saveBackupPlan } from './backupPlan'
import { feedSecret, newFeedSecret } from './calendar'
import { identityOf, openDatabase, safetyCopies, type Db } from './connection'
import { formulas, materials } from './documents'
import { epochOf, newEpoch } from './epoch'
import { flush, makeFolder, photosOf, writeWhole } from './files'
import { workshopLibrary } from './library'
import { takeDatabase } from './lock'
import { migrationsFrom } from './migrate'
import { migrationFiles } from './migrationFiles'
import {
  addPaired,
  endPaired,
  isOpen,
  listPaired,
  pairedWith,
  sawPaired,
  setOpen,
  setRights,
} from './paired'
import { getPhoto, keepPhoto, unpackPhotos } from './photos'
import { lastOfRoom, logRoom, roomDays, roomHumidity } from './room'
import { codeOf, sentenceOfTrouble, StorageTrouble, troubleOf } from './troubles'
import { getVersion, keepVersion, listAllVersions, listVersions, noteVersion } from './versions'
import { getWorkshop, patched, patchWorkshop, saveWorkshop, workshopRevision } from './workshop'

const now = '2026-03-01T09:00:00Z'
const later = '2026-03-02T09:00:00Z'
let folder: string
let db: Db
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'mantle-records-'))
  db = openDatabase(join(folder, 'shed.sqlite'), migrationFiles())
  return () => {
    db.close()
    rmSync(folder, { recursive: true })
  }
})

describe('documents', () => {
  it('are listed with the newest change first, by whom, and parsed on the way out', () => {
    formulas.save(db, 'a', 0, blankFormula('A'), now)
    formulas.save(db, 'b', 0, blankFormula('B'), later, 'tablet')
    expect(formulas.list(db).map(({ id, changedBy }) => [id, changedBy])).toEqual([
      ['b', 'tablet'],
      ['a', ''],
    ])
    db.prepare(
      "UPDATE formulas SET document = json_remove(document, '$.parts') WHERE id = 'a'",
    ).run()
    expect(formulas.get(db, 'a')).toEqual({
      id: 'a',
      revision: 1,
      changedAt: now,
      changedBy: '',
      document: blankFormula('A'),
    })
  })

  it('a lost answer is no conflict, another text is, and a deleted id may begin anew', () => {
    formulas.save(db, 'a', 0, blankFormula('A'), now)
    expect(formulas.save(db, 'a', 0, blankFormula('A'), later)).toMatchObject({
      kind: 'saved',
      stored: { revision: 1, changedAt: now },
    })
    expect(formulas.save(db, 'a', 0, blankFormula('Other'), later).kind).toBe('stale')
    expect(formulas.save(db, 'none', 1, blankFormula('A'), now).kind).toBe('gone')
    formulas.remove(db, 'a', later)
    expect(formulas.list(db)).toEqual([])
    expect(formulas.save(db, 'a', 0, blankFormula('A'), later)).toMatchObject({
      kind: 'saved',
      stored: { revision: 2, changedAt: later },
    })
    expect(formulas.restore(db, 'none')).toBeNull()
  })

  it('own materials are in the library of the workshop, with its spoons', () => {
    const { olive, own } = {
      olive: workshopLibrary(db).fats.get('olive')!,
      own: ownMaterialSchema.parse({
        kind: 'fat',
        id: 'own-cellar-oil',
        name: 'Cellar oil',
        colour: '#d9b24a',
        sap: { low: 180, typical: 185, high: 190 },
      }),
    }
    materials.save(db, own.id, 0, own, now)
    saveWorkshop(db, { ...getWorkshop(db), spoons: 'metric' })
    const { fats, spoons } = workshopLibrary(db)
    expect([fats.get('own-cellar-oil')!.sap.typical, fats.get('olive'), spoons]).toEqual([
      185,
      olive,
      'metric',
    ])
  })
})

describe('versions of a formula', () => {
  const notes = (name: string) => ({ name, purpose: '', didIt: null, learned: '' }) as never
  const keep = (id: string, formulaId = 'a', at = now) =>
    keepVersion(db, { id, formulaId, document: blankFormula(id) }, notes(id), at)
  beforeEach(() => {
    formulas.save(db, 'a', 0, blankFormula('A'), now)
    formulas.save(db, 'b', 0, blankFormula('B'), now)
  })

  it('are numbered formula by formula, each kept once', () => {
    expect(keep('one')).toMatchObject({
      id: 'one',
      formulaId: 'a',
      number: 1,
      revision: expect.any(Number) as number,
      keptAt: now,
      name: 'one',
      document: { name: 'one' },
    })
    keep('two', 'a', later)
    keep('first', 'b')
    expect(
      keepVersion(
        db,
        { id: 'one', formulaId: 'a', document: blankFormula('X') },
        notes('X'),
        later,
      ),
    ).toMatchObject({ name: 'one', number: 1 })
    expect(listVersions(db, 'a').map(({ id, number }) => [id, number])).toEqual([
      ['two', 2],
      ['one', 1],
    ])
    expect(
      listAllVersions(db).map(({ id, formulaId, name, number, keptAt }) => [
        id,
        formulaId,
        name,
        number,
        keptAt,
      ]),
    ).toEqual([
      ['two', 'a', 'two', 2, later],
      ['one', 'a', 'one', 1, now],
      ['first', 'b', 'first', 1, now],
    ])
    formulas.remove(db, 'a', now)
    expect(listAllVersions(db).map(({ id }) => id)).toEqual(['first'])
    expect(getVersion(db, 'none')).toBeNull()
  })

  it('take notes later; the same again is not stale', () => {
    const { revision } = keep('one')
    expect(noteVersion(db, 'none', 0, notes('x'))).toEqual({ kind: 'none' })
    expect(noteVersion(db, 'one', revision, notes('better'))).toMatchObject({
      kind: 'saved',
      version: { name: 'better', revision: revision + 1, document: { name: 'one' } },
    })
    expect(noteVersion(db, 'one', revision, notes('better')).kind).toBe('saved')
    expect(noteVersion(db, 'one', revision, notes('late'))).toMatchObject({
      kind: 'stale',
      version: { name: 'better' },
    })
  })
})

describe('the settings of a workshop', () => {
  const judge = (merged: Record<string, unknown>) => workshopSchema.parse(merged)

  it('begin as usual: whole grams until the scale is known', () => {
    expect(getWorkshop(db)).toMatchObject({ name: 'My workshop', units: 'metric', scale: 1 })
    expect(getWorkshop(db).timeZone).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC')
    expect(workshopRevision(db)).toBe(0)
    saveWorkshop(db, { ...getWorkshop(db), name: 'Slate Shed' })
    saveWorkshop(db, { ...getWorkshop(db), scale: 0.1 })
    expect(getWorkshop(db)).toMatchObject({ name: 'Slate Shed', scale: 0.1 })
  })

  it('are changed field by field: what others changed meanwhile stays', () => {
    expect(patchWorkshop(db, 0, { name: 'Shed', rack: { humidity: 0.6 } }, judge)).toEqual([])
    expect(workshopRevision(db)).toBe(1)
    // Told from revision 0 as well: other fields, the same room.
    expect(patchWorkshop(db, 0, { units: 'imperial', rack: { turnEvery: 3 } }, judge)).toEqual([])
    expect(getWorkshop(db)).toMatchObject({
      name: 'Shed',
      units: 'imperial',
      rack: { humidity: 0.6, turnEvery: 3 },
    })
    // The same field: to the same value it is no conflict, to another it is, and nothing of it is kept.
    expect(patchWorkshop(db, 0, { name: 'Shed' }, judge)).toEqual([])
    expect(
      patchWorkshop(db, 0, { name: 'Barn', rack: { humidity: 0.7 }, scale: 0.1 }, judge),
    ).toEqual(['name', 'rack.humidity'])
    expect(getWorkshop(db)).toMatchObject({ name: 'Shed', scale: 1, rack: { humidity: 0.6 } })
    expect(patchWorkshop(db, workshopRevision(db), { name: 'Barn' }, judge)).toEqual([])
    expect(getWorkshop(db).name).toBe('Barn')
  })

  it('a field nobody really changed is nobody’s change', () => {
    patchWorkshop(db, 0, { name: 'Shed', units: 'metric' }, judge)
    expect(patchWorkshop(db, 0, { units: 'imperial' }, judge)).toEqual([])
  })

  it('that cannot be are not kept', () => {
    patchWorkshop(db, 0, { name: 'Shed' }, judge)
    expect(() => patchWorkshop(db, 1, { scale: 7 }, judge)).toThrow()
    expect([getWorkshop(db).scale, workshopRevision(db)]).toEqual([1, 1])
  })

  it('lists and plain values are taken whole', () => {
    const workshop = { ...getWorkshop(db), prices: { olive: 3, shea: 5 } } as Workshop
    expect(patched(workshop, { prices: { olive: 4 }, lyeTin: { open: 'weeks' } })).toMatchObject({
      prices: { olive: 4 },
      lyeTin: { label: null, open: 'weeks' },
      name: 'My workshop',
    })
    expect(patched(workshop, { prices: { olive: 4 } }).prices).toEqual({ olive: 4 })
    expect(patched(workshop, { rack: null }).rack).toBeNull()
    expect(patched(workshop, { rack: [1] }).rack).toEqual([1])
  })
})

describe('devices of the network', () => {
  it('are known by their secret until they are ended', () => {
    expect([isOpen(db), listPaired(db)]).toEqual([false, []])
    setOpen(db, true)
    expect(isOpen(db)).toBe(true)
    setOpen(db, false)
    expect(isOpen(db)).toBe(false)
    addPaired(db, { id: 'b', name: 'Scale', rights: ['readings'] }, 'hash-b', later)
    addPaired(db, { id: 'a', name: 'Tablet', rights: ['read'] }, 'hash-a', now)
    const tablet = { id: 'a', name: 'Tablet', rights: ['read'], pairedAt: now, seenAt: null }
    expect(listPaired(db).map(({ id }) => id)).toEqual(['a', 'b'])
    expect(pairedWith(db, 'hash-a')).toEqual(tablet)
    expect(pairedWith(db, 'hash')).toBeNull()
    sawPaired(db, 'a', later)
    expect(setRights(db, 'a', ['read', 'readings'])).toEqual({
      ...tablet,
      rights: ['read', 'readings'],
      seenAt: later,
    })
    expect(setRights(db, 'none', ['readings'])).toBeNull()
    // A right that only an older Mantle knew is none.
    db.prepare(`UPDATE paired SET rights = '["readings","oven"]' WHERE id = 'b'`).run()
    expect(pairedWith(db, 'hash-b')!.rights).toEqual(['readings'])
    expect([endPaired(db, 'a', later), endPaired(db, 'a', later)]).toEqual([true, false])
    expect([pairedWith(db, 'hash-a'), listPaired(db).length]).toEqual([null, 1])
  })
})

describe('the room', () => {
  it('is kept reading by reading and told day by day', () => {
    expect([lastOfRoom(db), roomDays(db, 9)]).toEqual([null, []])
    expect(roomHumidity(db)).toBe(0.55)
    const log = (at: string, celsius: number, humidity: number) =>
      logRoom(db, { at, celsius, humidity, by: 'hand' }, at.slice(0, 10))
    log('2026-03-01T09:00:00Z', 16, 0.6)
    log('2026-03-01T18:00:00Z', 18, 0.7)
    log('2026-03-02T09:00:00Z', 17, 0.5)
    log('2026-03-02T09:00:00Z', 19, 0.8)
    expect(lastOfRoom(db)).toEqual({
      at: '2026-03-02T09:00:00Z',
      celsius: 19,
      humidity: 0.8,
      by: 'hand',
    })
    expect(roomDays(db, 9)).toEqual([
      { day: '2026-03-01', celsius: 17, humidity: expect.closeTo(0.65, 9) as number },
      { day: '2026-03-02', celsius: 19, humidity: 0.8 },
    ])
    expect(roomDays(db, 1).map(({ day }) => day)).toEqual(['2026-03-02'])
    expect(roomHumidity(db)).toBeCloseTo(0.725, 9)
  })
})

describe('what is one of its kind', () => {
  it('stays until it is made anew', () => {
    const secret = feedSecret(db)
    expect(secret).toMatch(/^[\w-]{24}$/)
    expect(feedSecret(db)).toBe(secret)
    const another = newFeedSecret(db)
    expect(another).not.toBe(secret)
    expect(feedSecret(db)).toBe(another)
    const epoch = epochOf(db)
    expect(epoch).toMatch(/^[0-9a-f-]{36}$/)
    expect(epochOf(db)).toBe(epoch)
    const next = newEpoch(db)
    expect([next === epoch, epochOf(db)]).toEqual([false, next])
  })

  it('the plan of backups: beside the database until somebody says otherwise', () => {
    expect(backupPlan(db)).toEqual({ on: false, folder: join(folder, 'backups'), at: '09:00' })
    const plan = { on: true, folder: '/media/stick', at: '18:30' }
    saveBackupPlan(db, plan)
    saveBackupPlan(db, { ...plan, at: '19:00' })
    expect(backupPlan(db)).toEqual({ ...plan, at: '19:00' })
  })
})

describe('photos', () => {
  const bytes = Buffer.from('a photo')
  const photo = { id: 'p', type: 'image/png', bytes }
  const of = { batchId: 'a' }
  beforeEach(() => putBatches(db, 'slab', 'a', 'b'))

  it('are files beside the database, each kept once', () => {
    expect(photosOf('/x/demo.sqlite')).toBe('/x/demo-photos')
    expect(photosOf('/x/demo.sqlite.old')).toBe('/x/demo.sqlite.old-photos')
    expect(getPhoto(db, 'p')).toBeNull()
    expect(keepPhoto(db, photo, of, now)).toBe(true)
    expect(getPhoto(db, 'p')).toEqual({ type: 'image/png', bytes })
    expect(keepPhoto(db, photo, of, now)).toBe(true)
    expect(keepPhoto(db, { ...photo, bytes: Buffer.from('another') }, of, now)).toBe(false)
    expect(keepPhoto(db, photo, { batchId: 'b' }, now)).toBe(false)
    expect(keepPhoto(db, photo, { trialId: 'a' }, now)).toBe(false)
    expect(getPhoto(db, 'p')!.bytes).toEqual(bytes)
  })

  it('a file that is gone is no photo, and can be sent again', () => {
    keepPhoto(db, photo, of, now)
    rmSync(join(photosOf(db.name), 'p'))
    expect(getPhoto(db, 'p')).toBeNull()
    expect(keepPhoto(db, photo, of, now)).toBe(true)
    expect(getPhoto(db, 'p')!.bytes).toEqual(bytes)
  })

  it('a file without its row is of a write that was cut short', () => {
    makeFolder(photosOf(db.name))
    writeFileSync(join(photosOf(db.name), 'p'), 'half')
    expect(keepPhoto(db, photo, of, now)).toBe(true)
    expect(getPhoto(db, 'p')!.bytes).toEqual(bytes)
  })

  it('of an older Mantle move out of the database', () => {
    db.prepare(
      `INSERT INTO runs (id, batch_id, setup, scale, paper, started_by, started_at) VALUES ('run', 'a', '{}', 1, 0, 'x', ?)`,
    ).run(now)
    db.prepare('INSERT INTO run_photos (id, run_id, bytes, kept_at) VALUES (?, ?, ?, ?)').run(
      'old',
      'run',
      bytes,
      now,
    )
    unpackPhotos(db)
    expect(getPhoto(db, 'old')).toEqual({ type: 'image/jpeg', bytes })
    expect(db.prepare('SELECT count(*) FROM run_photos').pluck().get()).toBe(0)
  })
})

describe('files', () => {
  it('are written whole or not at all', () => {
    const file = join(folder, 'whole.txt')
    writeWhole(file, Buffer.from('first'))
    writeWhole(file, Buffer.from('second'))
    expect(readFileSync(file, 'utf8')).toBe('second')
    expect(existsSync(`${file}.part`)).toBe(false)
    const taken = join(folder, 'taken')
    mkdirSync(join(taken, 'full'), { recursive: true })
    expect(() => writeWhole(taken, Buffer.from('x'))).toThrow(/EISDIR|ENOTEMPTY|EEXIST/)
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([])
    expect(() => flush(join(folder, 'none'))).toThrow(/ENOENT/)
  })

  it('folders are made with those above them; what lies in the way is named', () => {
    const deep = join(folder, 'a', 'b', 'c')
    makeFolder(deep)
    makeFolder(deep)
    expect(existsSync(deep)).toBe(true)
    writeFileSync(join(folder, 'file'), '')
    expect(() => makeFolder(join(folder, 'file'))).toThrow('not a folder')
    let code = ''
    try {
      makeFolder(join(folder, 'file', 'below'))
    } catch (error) {
      code = `${codeOf(error)} ${(error as { path: string }).path}`
    }
    expect(code).toBe(`ENOTDIR ${join(folder, 'file')}`)
    // There is no making a folder there, and no waiting for it either.
    expect(() => makeFolder('/proc/none/such')).toThrow()
  })
})

describe('one database, one owner', () => {
  it('is taken, refused with a sentence, and let go', () => {
    const file = join(folder, 'new', 'shed.sqlite')
    const release = takeDatabase(file)
    expect(() => takeDatabase(file)).toThrow(
      /Another Mantle is using .*shed\.sqlite.*Nothing was changed/,
    )
    release()
    takeDatabase(file)()
    writeFileSync(join(folder, 'blocked'), '')
    expect(() => takeDatabase(join(folder, 'blocked', 'x.sqlite'))).toThrow('not a folder')
  })

  it('a file under the same name is another one', () => {
    const file = join(folder, 'one')
    writeFileSync(file, '1')
    const first = identityOf(file)
    expect(identityOf(file)).toBe(first)
    writeFileSync(join(folder, 'two'), '2')
    expect(identityOf(join(folder, 'two'))).not.toBe(first)
  })
})

describe('where a workshop was', () => {
  const at = (name: string) => join(folder, name)
  const open = (file: string) => openDatabase(file, migrationFiles()).close()

  it('no empty one begins by itself', () => {
    writeFileSync(at('zero.sqlite'), '')
    expect(() => open(at('zero.sqlite'))).toThrow(/zero\.sqlite is empty: 0 bytes/)
    mkdirSync(at('gone-photos'))
    open(at('gone.sqlite'))
    rmSync(at('gone.sqlite'))
    writeFileSync(join(at('gone-photos'), 'p'), '')
    expect(() => open(at('gone.sqlite'))).toThrow(/no database at .*gone-photos is there/)
    writeFileSync(at('gone.sqlite.before-2026-03-01.sqlite'), '')
    writeFileSync(at('gone.sqlite.before-2026-03-02.sqlite'), '')
    // The newest copy is the one to look at.
    expect(() => open(at('gone.sqlite'))).toThrow(
      `${at('gone-photos')} and ${at('gone.sqlite.before-2026-03-02.sqlite')} are there`,
    )
    expect(safetyCopies(at('gone.sqlite'))).toEqual([
      at('gone.sqlite.before-2026-03-01.sqlite'),
      at('gone.sqlite.before-2026-03-02.sqlite'),
    ])
    expect(safetyCopies(join(folder, 'nowhere', 'x.sqlite'))).toEqual([])
  })

  it('what is no database is closed again and said', () => {
    writeFileSync(at('text.sqlite'), 'not a database at all, but long enough to be looked at')
    expect(() => open(at('text.sqlite'))).toThrow(/not a database/)
  })

  it('names are found by what they sound like, and another process is waited for', () => {
    expect(db.prepare("SELECT plain('Café Ærø')").pluck().get()).toBe('cafe aero')
    expect(db.prepare('SELECT plain(NULL)').pluck().get()).toBe('')
    // Opened again it is the same, with nothing left to bring up to date.
    open(at('again.sqlite'))
    open(at('again.sqlite'))
    expect(db.pragma('busy_timeout', { simple: true })).toBe(5000)
  })

  it('migrations are taken in the order of their numbers', () => {
    const files = ['0010_b.sql', '0002_a.sql'].map((name) => ({ name, sql: name }))
    expect(migrationsFrom(files)).toEqual([
      { version: 2, sql: '0002_a.sql' },
      { version: 10, sql: '0010_b.sql' },
    ])
    expect(migrationFiles().map(({ version }) => version)).toEqual(
      migrationFiles().map((_, index) => index + 1),
    )
  })
})

describe('troubles with files', () => {
  const error = (code: string, path?: string) =>
    Object.assign(new Error('low words'), { code, ...(path ? { path } : {}) })

  it.each([
    ['SQLITE_FULL', 507, 'full'],
    ['ENOSPC', 507, 'full'],
    ['EDQUOT', 507, 'full'],
    ['SQLITE_READONLY_DBMOVED', 503, 'cannot be written to'],
    ['EACCES', 503, 'cannot be written to'],
    ['SQLITE_BUSY', 503, 'Another program is holding'],
    ['SQLITE_NOTADB', 503, 'is damaged'],
    ['ENOTDIR', 503, 'Something else lies where'],
    ['SQLITE_CANTOPEN', 503, 'cannot be opened'],
    ['ENOENT', 503, 'cannot be opened'],
    ['SQLITE_IOERR_READ', 503, 'does not answer as it should'],
    ['EIO', 503, 'does not answer as it should'],
  ])('%s is answered with %i and a sentence with the path', (code, status, says) => {
    const trouble = troubleOf(error(code), '/shed/mantle.sqlite')!
    expect(trouble.status).toBe(status)
    expect(trouble.message).toContain(says)
    expect(trouble.message).toContain('/shed/mantle.sqlite')
  })

  it('names the file the system names, but not a pattern', () => {
    expect(troubleOf(error('ENOENT', '/shed/photo'), '/x')!.message).toContain('/shed/photo')
    expect(troubleOf(error('ENOENT', '/tmp/mantle-XXXXXX'), '/x')!.message).toContain('/x')
    expect(troubleOf({ code: 'ENOENT', path: '/shed/photo' }, '/x')!.message).toContain('/x')
    expect(troubleOf(Object.assign(error('ENOENT'), { path: 5 }), '/x')!.message).toContain('/x')
  })

  it('is no trouble where nothing is known of it', () => {
    expect(troubleOf(error('XSQLITE_FULL'), '/x')).toBeNull()
    expect([null, 'text', {}, error('')].map((thrown) => troubleOf(thrown, '/x'))).toEqual([
      null,
      null,
      null,
      null,
    ])
    expect([codeOf(null), codeOf('x'), codeOf({}), codeOf({ code: 5 })]).toEqual(['', '', '', '5'])
    const known = new StorageTrouble('As it is.', 409)
    expect(troubleOf(known, '/x')).toBe(known)
    expect([
      sentenceOfTrouble(new Error('Its own.'), '/x'),
      sentenceOfTrouble('bare', '/x'),
    ]).toEqual(['Its own.', 'bare'])
    expect(new StorageTrouble('x').status).toBe(503)
  })
})
