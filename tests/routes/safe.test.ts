import { execFile } from 'node:child_process'
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import type { Backups, RestorePreview } from '#contracts/backup'
import type { Batch } from '#contracts/batch'
import type { FormulaVersion } from '#contracts/version'
import type { StoredFormula, WorkshopNow } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { v7 } from 'uuid'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { patchShop, send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const keep = (name: string, id = v7(), revision = 0) =>
  send<StoredFormula>('PUT', `/api/formulas/${id}`, {
    revision,
    document: { ...blankFormula(name), fats: [{ id: 'olive', share: 1 }] },
  })
async function newBatch(name: string): Promise<Batch> {
  const { body: formula } = await keep(name)
  const order = {
    id: v7(),
    formulaId: formula.id,
    revision: 1,
    bars: 12,
    cure: { rule: 'most', days: 42 },
  }
  return (await send<Batch>('POST', '/api/batches', order)).body
}
const told = (id: string, event: object) => send<Batch>('POST', `/api/batches/${id}/events`, event)

/** A command of Mantle on this server's database; its output and exit code. */
const command = (script: string, ...args: string[]) =>
  new Promise<{ code: number; says: string }>((done) =>
    execFile(
      process.execPath,
      ['--import', 'tsx', `cli/${script}.ts`, ...args],
      { env: { ...process.env, MANTLE_DB: server.database } },
      (error, says) => done({ code: error ? 1 : 0, says }),
    ),
  )

describe('what is told twice', () => {
  it('is one when it is the same, and 409 when it says something else', async () => {
    const batch = await newBatch('Told')
    const note = { id: v7(), kind: 'noted', day: '2026-11-23', note: 'Warm today' }
    await told(batch.id, note)
    expect((await told(batch.id, note)).body.events).toHaveLength(1)
    expect((await told(batch.id, { ...note, note: 'Cold today' })).status).toBe(409)
    const other = await newBatch('Other')
    expect((await told(other.id, note)).status).toBe(409)
    const { body } = await send<Batch>('GET', `/api/batches/${batch.id}`)
    expect(body.events).toMatchObject([{ note: 'Warm today' }])
  })
})

describe('settings', () => {
  const plank = (name: string) => ({ id: v7(), name, kind: 'plank', bars: 24 })

  it('are patched: what two windows change apart goes together, what both change is asked', async () => {
    const { body: base } = await patchShop<WorkshopNow>(server.url, { name: 'Shed' })
    const [a, b] = [plank('A'), plank('B')]
    const one = await patchShop<WorkshopNow>(server.url, { rack: { places: [a] } }, base.revision)
    expect(one.status).toBe(200)
    const two = await patchShop<WorkshopNow>(
      server.url,
      { rack: { turnEvery: 3 }, currency: 'GBP' },
      base.revision,
    )
    expect(two.body).toMatchObject({ currency: 'GBP', rack: { places: [a], turnEvery: 3 } })
    const clash = await patchShop<{ theirs: WorkshopNow; stale: string[] }>(
      server.url,
      { rack: { places: [b] }, name: 'Not kept either' },
      base.revision,
    )
    expect(clash).toMatchObject({
      status: 409,
      body: { stale: ['rack.places'], theirs: { rack: { places: [a] }, name: 'Shed' } },
    })
    const again = await patchShop(server.url, { rack: { places: [a, b] } })
    expect(again.body).toMatchObject({ rack: { places: [a, b] }, name: 'Shed' })
    const same = await patchShop(server.url, { rack: { places: [a, b] } }, base.revision)
    expect(same.status).toBe(200)
  })

  it('refuse what they cannot be, with its place', async () => {
    const bad = await patchShop(server.url, { rack: { turnEvery: -1 }, scale: 0.3 })
    expect(bad.body.errors!.map(({ path }) => path)).toEqual(['scale', 'rack.turnEvery'])
    expect((await patchShop(server.url, { unknown: 1 })).status).toBe(422)
  })
})

describe('what is written about a version', () => {
  it('is 409 when somebody wrote about it meanwhile', async () => {
    const { body: formula } = await keep('Versioned')
    const { body: kept } = await send<FormulaVersion>(
      'POST',
      `/api/formulas/${formula.id}/versions`,
      {
        id: v7(),
        revision: 1,
        name: 'First',
      },
    )
    const write = (revision: number, learned: string) =>
      send<FormulaVersion & { theirs: FormulaVersion }>('PUT', `/api/versions/${kept.id}`, {
        revision,
        name: 'First',
        purpose: '',
        didIt: null,
        learned,
      })
    expect((await write(1, 'It cracked')).body.revision).toBe(2)
    expect((await write(1, 'It cracked')).status).toBe(200)
    expect(await write(1, 'It did not')).toMatchObject({
      status: 409,
      body: { theirs: { learned: 'It cracked' } },
    })
  })
})

describe('backup and restore of a running workshop', () => {
  const backups = async () => (await send<Backups>('GET', '/api/backups')).body

  it('makes an archive, shows what going back would change, goes back, and takes that back', async () => {
    const batch = await newBatch('Kept Bar')
    const { body: formula } = await keep('Before')
    const { body: gone } = await keep('Deleted later')
    expect((await send<{ backups: Backups }>('POST', '/api/backups')).status).toBe(200)
    const archive = (await backups()).archives[0]!
    expect(archive).toMatchObject({ missing: 0, daily: false })
    expect(archive.counts!.batches).toBeGreaterThan(0)
    await keep('After', formula.id, 1)
    await send('DELETE', `/api/formulas/${gone.id}`)
    await told(batch.id, { id: v7(), kind: 'noted', day: '2026-11-23', note: 'Since then' })
    const later = await newBatch('Later Bar')
    const { body: shown } = await send<RestorePreview>(
      'GET',
      `/api/backups/${archive.name}/preview`,
    )
    const words = (list: RestorePreview['gone']) =>
      list
        .map(({ kind, name, count, changed }) => `${kind} ${name} ${count}${changed ? ' ~' : ''}`)
        .sort()
    expect(words(shown.gone)).toEqual([
      'batch Later Bar 1',
      'entries Kept Bar 1',
      'formula After 1 ~',
      'formula Later Bar 1',
    ])
    expect(words(shown.back)).toEqual(['formula Deleted later 1'])

    const before = await fetch(`${server.url}/api/workshop`)
    await send('POST', `/api/backups/${archive.name}/restore`)
    const after = await fetch(`${server.url}/api/workshop`)
    expect(after.headers.get('x-mantle-epoch')).not.toBe(before.headers.get('x-mantle-epoch'))
    expect((await send('GET', `/api/batches/${later.id}`)).status).toBe(404)
    const { body: back } = await send<StoredFormula>('GET', `/api/formulas/${formula.id}`)
    expect(back.document.name).toBe('Before')
    expect((await backups()).undoable).toBe('2026-11-23T09:30:00Z')
    await keep('Written after the restore')
    await server.kill()
    await server.run()
    expect(
      (await send<StoredFormula[]>('GET', '/api/formulas')).body.map(
        ({ document }) => document.name,
      ),
    ).toContain('Written after the restore')

    await send('POST', '/api/backups/undo')
    expect((await send<Batch>('GET', `/api/batches/${later.id}`)).body.name).toBe('Later Bar')
    expect((await send('GET', `/api/formulas/${gone.id}`)).status).toBe(404)
  })

  it('takes an archive from elsewhere and refuses a bent one, with all as it was', async () => {
    const { archives } = await backups()
    const file = await fetch(`${server.url}/api/backups/${archives[0]!.name}`)
    const bytes = Buffer.from(await file.arrayBuffer())
    const bring = async (body: Buffer) =>
      (
        (await (
          await fetch(`${server.url}/api/backups/brought`, {
            method: 'PUT',
            body: new Blob([Uint8Array.from(body)]),
          })
        ).json()) as { name: string }
      ).name
    const whole = await bring(bytes)
    expect((await send('GET', `/api/backups/${whole}/preview`)).status).toBe(200)
    bytes[bytes.length >> 1]! ^= 4
    const bent = await bring(bytes)
    const refused = await send('POST', `/api/backups/${bent}/restore`)
    expect(refused).toMatchObject({
      status: 422,
      body: { errors: [{ says: expect.stringMatching(/damaged/) }] },
    })
    expect((await send('GET', '/api/backups/..%2fmantle.zip/preview')).status).toBe(422)
    expect((await send('GET', '/api/backups/none.zip/preview')).status).toBe(404)
  })

  it('is made each day once the plan says so, into its own folder', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'mantle-stick-'))
    const plan = (changes: object) =>
      send<Backups>('PUT', '/api/backups/plan', { on: true, folder, at: '09:00', ...changes })
    expect((await plan({ at: '9 o’clock' })).body.errors![0]!.path).toBe('at')
    const nowhere = await plan({ folder: '/proc/nowhere' })
    expect(nowhere).toMatchObject({ status: 422, body: { errors: [{ path: 'folder' }] } })
    const zone = (await send<WorkshopNow>('GET', '/api/workshop')).body.timeZone
    await patchShop(server.url, { timeZone: 'Europe/London' })
    const { body } = await plan({})
    expect(body.archives.map(({ name, daily }) => [name, daily])).toEqual([
      ['mantle-2026-11-23-daily.zip', true],
    ])
    expect(body.problem).toBe('')
    await patchShop(server.url, { timeZone: zone })
    rmSync(folder, { recursive: true })
    // Not made anew where a stick was pulled.
    expect(
      (
        await send('PUT', '/api/backups/plan', {
          on: false,
          folder: join(server.folder, 'backups'),
          at: '09:00',
        })
      ).status,
    ).toBe(200)
    expect(existsSync(folder)).toBe(false)
  })

  it('by command is refused while Mantle runs on it, and a second server too', async () => {
    const { archives, plan } = await backups()
    const archive = join(plan.folder, archives.at(-1)!.name)
    for (const args of [[archive], ['--undo']]) {
      const restored = await command('restore', ...args)
      expect(restored.code).toBe(1)
      expect(restored.says).toMatch(/Nothing was restored\. Another Mantle is using/)
    }
    const second = await TestServer.start()
    await second.kill()
    second.errors = ''
    expect(await second.run({ MANTLE_DB: server.database })).toBe(1)
    expect(second.errors).toMatch(/Another Mantle is using .*mantle\.sqlite/)
    expect(second.errors).not.toContain('.mjs')
    await second.stop()
    const kept = await command('backup', join(server.folder, 'by-command.zip'))
    expect(kept).toMatchObject({ code: 0, says: expect.stringMatching(/each one checked/) })
    expect(kept.says).not.toMatch(/everything/i)
  })
})

describe('known troubles have a sentence with the path and what to do', () => {
  let shed: TestServer
  afterEach(() => shed.stop())
  const fresh = async () => (shed = await TestServer.start())
  /** Starts it once more; gives what it says when it ends. */
  async function startSays(): Promise<string> {
    shed.errors = ''
    expect(await shed.run()).toBe(1)
    expect(shed.errors).not.toMatch(/\.mjs|at .*:\d+/)
    return shed.errors
  }

  it.each<[name: string, bend: (file: string) => void, says: RegExp]>([
    ['0 bytes', (file) => writeFileSync(file, ''), /is empty: 0 bytes.*Restore a backup/],
    [
      'no database',
      (file) => writeFileSync(file, Buffer.alloc(20_000, 7)),
      /mantle\.sqlite is damaged.*restore a backup/,
    ],
    [
      'a damaged one',
      (file) => {
        const bytes = readFileSync(file)
        bytes.fill(0x55, 100, 6000)
        writeFileSync(file, bytes)
      },
      /mantle\.sqlite is damaged.*restore a backup/,
    ],
    [
      'one of a newer Mantle',
      (file) => {
        const db = new Database(file)
        db.pragma('user_version = 4000')
        db.close()
      },
      /newer Mantle.*Nothing was changed/,
    ],
    [
      'gone, its photos left',
      (file) => {
        rmSync(file)
        rmSync(join(file, '..', 'mantle-photos'), { recursive: true, force: true })
        copyFileSync('package.json', join(file, '..', 'x'))
        renameSync(join(file, '..', 'x'), `${file}.before-20261101-090000-01.sqlite`)
      },
      /no database at .* a workshop was\. Restore a backup/,
    ],
  ])('%s', async (_, bend, says) => {
    await fresh()
    await shed.kill('SIGTERM')
    for (const ending of ['-wal', '-shm']) rmSync(`${shed.database}${ending}`, { force: true })
    bend(shed.database)
    expect(await startSays()).toMatch(says)
  })

  it.each<[name: string, act: (file: string) => void, says: RegExp]>([
    ['gone under the server', (file) => renameSync(file, `${file}.away`), /is gone.*start again/],
    [
      'replaced under the server',
      (file) => {
        copyFileSync(file, `${file}.other`)
        renameSync(`${file}.other`, file)
      },
      /was replaced.*Start again/,
    ],
  ])('%s: it stops instead of writing to nowhere', async (_, act, says) => {
    await fresh()
    act(shed.database)
    const answer = await patchShop(shed.url, { name: 'Nowhere' }, 0).catch(() => null)
    if (answer) expect(answer).toMatchObject({ status: 503 })
    expect(await shed.ended()).toBe(1)
    expect(shed.errors).toMatch(says)
  })

  it('locked by another program', async () => {
    await fresh()
    const holder = new Database(shed.database)
    holder.exec('BEGIN IMMEDIATE')
    const answer = await patchShop(shed.url, { name: 'Waits' }, 0)
    holder.close()
    expect(answer).toMatchObject({
      status: 503,
      body: {
        errors: [{ says: expect.stringMatching(/Another program is holding .*mantle\.sqlite/) }],
      },
    })
  })

  it('half a restore is told at the start, and the workshop goes on as it was', async () => {
    await fresh()
    await patchShop(shed.url, { name: 'As it was' }, 0)
    await shed.kill()
    writeFileSync(
      `${shed.database}.restoring.json`,
      JSON.stringify({ from: 'monday.zip', begunAt: '2026-11-23T18:40:00.000Z', epoch: 'x' }),
    )
    shed.errors = ''
    expect(await shed.run()).toBeNull()
    expect(shed.errors).toMatch(/restore from monday\.zip.*cut short.*as it was before/)
    const { body } = await ask<WorkshopNow>(`${shed.url}/api/workshop`, 'GET')
    expect(body.name).toBe('As it was')
    expect(readdirSync(shed.folder)).not.toContain('mantle.sqlite.restoring.json')
  })

  it('a photo that cannot be written', async () => {
    await fresh()
    chmodSync(shed.folder, 0o755)
    writeFileSync(join(shed.folder, 'mantle-photos'), 'a file where the folder should be')
    const { body: formula } = await ask<StoredFormula>(`${shed.url}/api/formulas/${v7()}`, 'PUT', {
      revision: 0,
      document: { ...blankFormula('P'), fats: [{ id: 'olive', share: 1 }] },
    })
    const { body: batch } = await ask<Batch>(`${shed.url}/api/batches`, 'POST', {
      id: v7(),
      formulaId: formula.id,
      revision: 1,
      bars: 12,
      cure: { rule: 'most', days: 42 },
    })
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    )
    const answer = await fetch(`${shed.url}/api/batches/${batch.id}/photos/${v7()}`, {
      method: 'PUT',
      body: new Blob([png]),
    })
    expect(answer.status).toBeGreaterThanOrEqual(500)
    const { errors } = (await answer.json()) as { errors: { says: string }[] }
    expect(errors[0]!.says).toMatch(/Something else lies where .*mantle-photos should be/)
    expect(shed.errors).not.toContain('EEXIST')
  })
})
