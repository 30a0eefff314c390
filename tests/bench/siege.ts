import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { v7 } from 'uuid'
import type { Batch } from '#contracts/batch'
import { rights, type Right } from '#contracts/rights'
import type { StoredFormula } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { randomSource } from '#core/statistics/randomSource'
import { backup, isSound } from '../../server/backup/archive'
import { openArchive } from '../../server/backup/opened'
import { openDatabase } from '../../server/db/connection'
import { formulas } from '../../server/db/documents'
import { migrationFiles } from '../../server/db/migrationFiles'
import { photosOf } from '../../server/db/files'
import { rightsOfRoutes } from '../support/rights'
import { send } from '../support/send'
import { demoTemplate, TestServer } from '../support/server'
import { sumOf } from '#core/statistics/sum'

/*
 * npm run siege [-- PART …]: what Mantle promises about losing nothing and letting no one in, tried by force. Parts: writes, backup,
 * restore, migration, bits, bombs, requests, rights. All random choices come from one seed.
 */

const asked = process.argv.slice(2).filter((one) => !/^\d+$/.test(one))
/** Share of the full numbers, in per cent: for a quick look. */
const scale = Number(process.argv.find((one) => /^\d+$/.test(one)) ?? 100) / 100
const times = (full: number) => Math.max(1, Math.round(full * scale))
const random = randomSource(13)
const between = (low: number, high: number) => low + random.uniform() * (high - low)
const pick = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))
const folder = mkdtempSync(join(tmpdir(), 'mantle-siege-'))
let failed = false
function tell(what: string, holds: boolean, says: string): void {
  failed ||= !holds
  console.log(`${what.padEnd(44)} ${says}  ${holds ? 'holds' : 'BROKEN'}`)
}
const known = migrationFiles().at(-1)!.version
const olive = (name: string) => ({
  ...blankFormula(name),
  fats: [{ id: 'olive', share: 1 }],
})

/** Kills while formulas, events and photos are written; what was acknowledged has to be there, once. */
async function writes(): Promise<void> {
  const server = await TestServer.start()
  const ask = <T>(method: string, path: string, body: unknown) =>
    send<T>(server.url + path, method, body)
  const id = v7()
  await ask('PUT', `/api/formulas/${id}`, { revision: 0, document: olive('Besieged') })
  const order = { id: v7(), formulaId: id, revision: 1, bars: 12, cure: { rule: 'most', days: 42 } }
  const { body: batch } = await ask<Batch>('POST', '/api/batches', order)
  await ask('POST', `/api/batches/${batch.id}/events`, {
    id: v7(),
    kind: 'poured',
    day: '2026-11-20',
  })
  const acknowledged = new Set<string>()
  let revision = 1
  let lastName = 'Besieged'
  const kills = times(200)
  let lost = 0
  let doubled = 0
  for (let kill = 0; kill < kills; kill++) {
    let alive = true
    const writer = async () => {
      while (alive) {
        const note = { id: v7(), kind: 'noted', day: '2026-11-23', note: `Note ${kill}` }
        const kept = await ask('POST', `/api/batches/${batch.id}/events`, note).catch(() => null)
        if (kept?.status === 200) acknowledged.add(note.id)
        // A lost answer is told again, once the server is back: it must not stand there twice.
        else if (!kept) retry.push(note)
      }
    }
    const retry: object[] = []
    const saver = async () => {
      while (alive) {
        const name = `Besieged ${kill} ${v7().slice(-6)}`
        const saved = await ask<StoredFormula>('PUT', `/api/formulas/${id}`, {
          revision,
          document: olive(name),
        }).catch(() => null)
        if (saved?.status === 200) {
          revision = saved.body.revision
          lastName = name
        } else if (!saved) unanswered.push(name)
      }
    }
    // Tries go on while the server is dying: each of them may be what was written.
    const unanswered: string[] = []
    const all = [writer(), writer(), saver()]
    await pause(between(10, 250))
    await server.kill()
    alive = false
    await Promise.all(all)
    await server.run()
    for (const note of retry) {
      const { status } = await ask('POST', `/api/batches/${batch.id}/events`, note)
      if (status === 200) acknowledged.add((note as { id: string }).id)
    }
    const { body: now } = await send<StoredFormula>(`${server.url}/api/formulas/${id}`, 'GET')
    if (![lastName, ...unanswered].includes(now.document.name)) lost++
    lastName = now.document.name
    revision = now.revision
  }
  const { body } = await send<Batch>(`${server.url}/api/batches/${batch.id}`, 'GET')
  const ids = body.events.map((event) => event.id)
  lost += [...acknowledged].filter((one) => !ids.includes(one)).length
  doubled += ids.length - new Set(ids).size
  await server.stop()
  tell(
    `${kills} kills during writes`,
    lost === 0 && doubled === 0,
    `${acknowledged.size} acknowledged, ${lost} lost, ${doubled} doubled`,
  )
}

/** A workshop with formulas called so, and photos. */
function workshop(name: string, called: string, photos = 12): string {
  const file = join(folder, name, 'mantle.sqlite')
  mkdirSync(join(folder, name), { recursive: true })
  const db = openDatabase(file, migrationFiles())
  for (let n = 0; n < 400; n++)
    formulas.save(db, v7(), 0, blankFormula(called), '2026-11-23T09:30:00Z')
  const formula = formulas.list(db)[0]!.id
  const batch = v7()
  db.prepare("INSERT INTO batches VALUES (?, 1, ?, '', 1, '', 1, '{}', '{}')").run(batch, formula)
  mkdirSync(photosOf(file))
  for (let n = 0; n < photos; n++) {
    const id = v7()
    const bytes = Buffer.alloc(200_000, n + 1)
    db.prepare("INSERT INTO photos VALUES (?, ?, 'image/png', ?, '')").run(id, batch, bytes.length)
    writeFileSync(join(photosOf(file), id), bytes)
  }
  db.close()
  return file
}
/** What a workshop is: the one name of all its formulas, with every photo whole; anything else is broken. */
function stateOf(file: string): string {
  const db = openDatabase(file, migrationFiles())
  try {
    const names = new Set(formulas.list(db).map(({ document }) => document.name))
    const photos = db
      .prepare<[], { id: string; bytes: number }>('SELECT id, bytes FROM photos')
      .all()
    const whole = photos.every(({ id, bytes }) => {
      const place = join(photosOf(file), id)
      if (!existsSync(place)) return false
      const content = readFileSync(place)
      return content.length === bytes && content.every((byte) => byte === content[0])
    })
    return names.size === 1 && isSound(db) && whole ? [...names][0]! : 'broken'
  } finally {
    db.close()
  }
}
/** Runs a command of Mantle and kills it after a while; resolves when it has ended. */
function killed(script: string, args: string[], database: string, after: number): Promise<void> {
  const child = spawn(process.execPath, ['--import', 'tsx', `cli/${script}.ts`, ...args], {
    env: { ...process.env, MANTLE_DB: database },
    stdio: 'ignore',
  })
  const timer = setTimeout(() => child.kill('SIGKILL'), after)
  return new Promise((done) =>
    child.on('exit', () => {
      clearTimeout(timer)
      done()
    }),
  )
}
/** ms that a command takes when nobody kills it. */
async function durationOf(act: () => Promise<void>): Promise<number> {
  const since = performance.now()
  await act()
  return performance.now() - since
}

async function backups(): Promise<void> {
  const file = workshop('backup', 'Kept')
  const out = join(folder, 'out')
  const whole = await durationOf(() => killed('backup', [join(out, 'first.zip')], file, 60_000))
  let bad = 0
  const kills = times(40)
  for (let kill = 0; kill < kills; kill++) {
    // Most of the time goes into starting; the work is done in the last third.
    await killed('backup', [join(out, `${kill}.zip`)], file, between(0.5, 1) * whole)
    if (stateOf(file) !== 'Kept') bad++
  }
  const archives = readdirSync(out).filter((name) => name.endsWith('.zip'))
  for (const name of archives)
    await openArchive(join(out, name), join(folder, 'look', 'x.sqlite'), known).then(
      (opened) => opened.close(),
      () => bad++,
    )
  tell(
    `${kills} kills during backup`,
    bad === 0,
    `${archives.length} archives, each whole; ${bad} bad`,
  )
}

async function restores(): Promise<void> {
  const monday = workshop('monday', 'Monday')
  const archive = join(folder, 'monday.zip')
  await backup(monday, archive, new Date('2026-11-23T18:40:00Z'))
  const template = workshop('today', 'Today')
  const at = (name: string) => join(folder, name, 'mantle.sqlite')
  const fresh = (name: string) =>
    cpSync(join(folder, 'today'), join(folder, name), { recursive: true })
  fresh('probe')
  const whole = await durationOf(() => killed('restore', [archive], at('probe'), 60_000))
  const found = { Monday: 0, Today: 0, broken: 0 }
  let again = 0
  const kills = times(40)
  for (let kill = 0; kill < kills; kill++) {
    const name = `restore-${kill}`
    fresh(name)
    await killed('restore', [archive], at(name), between(0.4, 1.02) * whole)
    const state = stateOf(at(name)) as keyof typeof found
    found[state in found ? state : 'broken']++
    await killed('restore', [archive], at(name), 60_000)
    if (stateOf(at(name)) !== 'Monday') again++
    rmSync(join(folder, name), { recursive: true })
  }
  tell(
    `${kills} kills during restore`,
    found.broken === 0 && again === 0,
    `${found.Today} as before, ${found.Monday} restored, ${found.broken} broken; once more failed ${again} times`,
  )
  const server = await TestServer.start()
  const before = readFileSync(server.database)
  let refused = ''
  try {
    execFileSync(process.execPath, ['--import', 'tsx', 'cli/restore.ts', archive], {
      env: { ...process.env, MANTLE_DB: server.database },
      encoding: 'utf8',
    })
  } catch (error) {
    refused = String((error as { stdout: string }).stdout)
  }
  const same = readFileSync(server.database).equals(before)
  await server.stop()
  tell(
    'restore under a running server',
    /Another Mantle/.test(refused) && same,
    refused.slice(0, 60),
  )
  if (stateOf(template) !== 'Today') tell('the template', false, 'was changed')
}

/** Kills while an older database is brought up to date at the start. */
async function migrations(): Promise<void> {
  const file = demoTemplate()
  const old = new Database(file)
  const counts = () => old.prepare('SELECT count(*) FROM batch_events').pluck().get()
  const events = counts()
  // As the form before the last one left it.
  old.exec(
    `DROP TABLE epoch; DROP TABLE backup_plan; DROP INDEX batch_facts_by_maker;
     ALTER TABLE workshop DROP COLUMN revision; ALTER TABLE workshop DROP COLUMN changed;
     ALTER TABLE formula_versions DROP COLUMN revision; ALTER TABLE formulas DROP COLUMN changed_by;
     ALTER TABLE materials DROP COLUMN changed_by; ALTER TABLE moulds DROP COLUMN changed_by;
     ALTER TABLE goals DROP COLUMN changed_by; ALTER TABLE paired DROP COLUMN rights;
     ALTER TABLE paired DROP COLUMN seen_at; UPDATE batch_facts SET made_by = 2; PRAGMA user_version = 6`,
  )
  old.pragma('wal_checkpoint(TRUNCATE)')
  old.close()
  const server = await TestServer.start(file)
  await server.kill()
  const kills = times(40)
  let bad = 0
  for (let kill = 0; kill < kills; kill++) {
    for (const ending of ['', '-wal', '-shm'])
      rmSync(`${server.database}${ending}`, { force: true })
    copyFileSync(file, server.database)
    const running = server.run()
    await pause(between(150, 900))
    await server.kill()
    await running
    await server.run()
    const db = new Database(server.database, { readonly: true })
    const version = db.pragma('user_version', { simple: true })
    const now = db.prepare('SELECT count(*) FROM batch_events').pluck().get()
    if (version !== known || now !== events || !isSound(db)) bad++
    db.close()
    await server.kill()
  }
  await server.stop()
  tell(`${kills} kills during migration`, bad === 0, `${bad} times something was missing`)
}

/** Archives with one bit turned: all refused, with everything as it was. */
async function bits(): Promise<void> {
  const file = workshop('bits', 'Whole', 2)
  const archive = join(folder, 'bits.zip')
  await backup(file, archive, new Date('2026-11-23T18:40:00Z'))
  const bytes = readFileSync(archive)
  const hashes = () =>
    [file, ...readdirSync(photosOf(file)).map((id) => join(photosOf(file), id))]
      .map((one) => createHash('sha256').update(readFileSync(one)).digest('hex'))
      .join()
  const before = hashes()
  const rounds = times(1000)
  let taken = 0
  for (let round = 0; round < rounds; round++) {
    const bit = Math.floor(random.uniform() * bytes.length * 8)
    bytes[bit >> 3]! ^= 1 << (bit & 7)
    writeFileSync(join(folder, 'bent.zip'), bytes)
    bytes[bit >> 3]! ^= 1 << (bit & 7)
    await openArchive(join(folder, 'bent.zip'), file, known).then(
      (opened) => {
        taken++
        opened.close()
      },
      () => undefined,
    )
  }
  tell(
    `${rounds} one-bit archives`,
    taken === 0 && hashes() === before,
    `${taken} accepted, data ${hashes() === before ? 'untouched' : 'changed'}`,
  )
}

/** Archives that unpack to far more than they are, by what they say and by what they do: refused in little memory. */
async function bombs(): Promise<void> {
  const file = workshop('bombs', 'Whole', 1)
  const { zipSync } = await import('fflate')
  const honest = zipSync({ 'mantle.sqlite': new Uint8Array(500_000_000) })
  const sly = Buffer.from(honest)
  const entry = sly.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2]))
  sly.writeUInt32LE(honest.length * 100, entry + 24)
  const many = zipSync(
    Object.fromEntries(
      Array.from({ length: 40 }, () => [`photos/${v7()}`, new Uint8Array(12_000_000)]),
    ),
  )
  const peaks: number[] = []
  let taken = 0
  for (const [name, bytes] of Object.entries({ honest, sly, many })) {
    const bomb = join(folder, `${name}.zip`)
    writeFileSync(bomb, bytes)
    const code = `
      import { openArchive } from './server/backup/opened.ts'
      const before = process.resourceUsage().maxRSS
      await openArchive(${JSON.stringify(bomb)}, ${JSON.stringify(file)}, ${known}).then(
        (opened) => { opened.close(); console.log('taken') }, () => undefined)
      console.log(Math.round((process.resourceUsage().maxRSS - before) / 1024))`
    const said = execFileSync(
      process.execPath,
      ['--import', 'tsx', '--input-type=module', '--eval', code],
      {
        encoding: 'utf8',
      },
    )
    if (said.includes('taken')) taken++
    peaks.push(Number(/\d+/.exec(said)![0]))
  }
  tell(
    `${peaks.length} zip bombs of 500 MB`,
    taken === 0 && Math.max(...peaks) < 100,
    `${taken} accepted, ${peaks.join(', ')} MB more memory (limit 100)`,
  )
}

/** A request as it stands: no client tidies it up. Gives the status; 0 when the line was cut, 1 for the app's own page. */
const raw = (
  port: number,
  method: string,
  path: string,
  headers: Record<string, string> = {},
  body?: string | Buffer,
) =>
  new Promise<number>((done) => {
    const sent = request({ host: '127.0.0.1', port, method, path, headers }, (answer) => {
      answer.destroy()
      // Whatever is no route is a page of the app, which holds nothing of the workshop.
      const page = answer.headers['content-type']?.startsWith('text/html')
      done(answer.statusCode === 200 && page ? 1 : answer.statusCode!)
    })
    sent.on('error', () => done(0))
    sent.end(body)
  })

/** Values that nobody sends in good faith. */
const nasty: (() => unknown)[] = [
  () => null,
  () => -1,
  () => 1e308,
  () => 'x'.repeat(Math.floor(between(1, 5000))),
  () => '\u202eexe.png',
  () => '\ud800',
  () => "'; DROP TABLE batches; --",
  () => [],
  () => ({}),
  () => ({ __proto__: { admin: true }, constructor: 1 }),
  () => Array.from({ length: 50 }, () => ({})),
  () => v7(),
  () => '2026-02-30',
  () => true,
]
function nastyBody(depth = 0): unknown {
  const keys = [
    'id',
    'revision',
    'document',
    'kind',
    'day',
    'bars',
    'events',
    'device',
    'changes',
    'name',
    'fats',
    'size',
    'rights',
    'open',
    'setup',
    'at',
    'note',
    'act',
    'grams',
    'celsius',
    'humidity',
    'formulaId',
  ]
  return Object.fromEntries(
    Array.from({ length: Math.floor(between(0, 7)) }, () => [
      pick(keys),
      depth < 3 && random.uniform() < 0.3 ? nastyBody(depth + 1) : pick(nasty)(),
    ]),
  )
}
function nastyText(): string | Buffer {
  const how = random.uniform()
  if (how < 0.7) return JSON.stringify(nastyBody())
  if (how < 0.8) return '['.repeat(Math.floor(between(1, 20_000)))
  if (how < 0.87) return Buffer.from(Array.from({ length: 300 }, () => Math.floor(between(0, 256))))
  if (how < 0.9) return 'x'.repeat(1_100_000)
  return JSON.stringify(nastyBody()).slice(0, Math.floor(between(0, 60)))
}

async function requests(): Promise<void> {
  const server = await TestServer.start(demoTemplate())
  const routes = (await rightsOfRoutes()).filter(
    // What closes LAN access or goes back is tried elsewhere; here it would only take the target away.
    ({ path, method }) => !/backups/.test(path) && !(path === '/api/lan' && method === 'PUT'),
  )
  const { body: all } = await send<{ id: string }[]>(`${server.url}/api/batches`, 'GET')
  const ids = [
    ...all.slice(0, 5).map(({ id }) => id),
    v7(),
    '..%2f..%2fetc',
    '%00',
    'x'.repeat(3000),
  ]
  const rounds = times(10_000)
  const answers = new Map<number, number>()
  let most = 0
  const look = () => {
    const status = readFileSync(`/proc/${server.pid}/status`, 'utf8')
    most = Math.max(most, Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024)
  }
  for (let round = 0; round < rounds; round += 8) {
    const answered = await Promise.all(
      Array.from({ length: 8 }, () => {
        const { method, path } = pick(routes)
        const address = path.replace(/\[\w+\]/g, () => pick(ids))
        const query =
          random.uniform() < 0.2 ? `?find=%F0%9F%A7%BC&before=${pick(['x', '-1', '9'])}` : ''
        const body = method === 'GET' || method === 'DELETE' ? undefined : nastyText()
        return raw(
          server.port,
          method,
          address + query,
          { 'content-type': 'application/json' },
          body,
        )
      }),
    )
    for (const status of answered) answers.set(status, (answers.get(status) ?? 0) + 1)
    if (round % 400 === 0) look()
  }
  look()
  const failures = sumOf(
    [...answers].filter(([status]) => status >= 500),
    ([, n]) => n,
  )
  const counts = [...answers]
    .sort(([a], [b]) => a - b)
    .map(([status, n]) => `${status || 'cut'}: ${n}`)
  const alive = (await raw(server.port, 'GET', '/api/workshop')) === 200
  tell(
    `${rounds} hostile requests`,
    failures === 0 && alive && most < 300,
    `${failures} of 5xx, ${most.toFixed(0)} MB at most (limit 300); ${counts.join(', ')}`,
  )
  if (server.errors) console.log(server.errors.slice(0, 2000))
  await server.stop()
}

/** Every route for everybody, addressed plainly and in ways that are the same to a careless server. */
async function rightsHold(): Promise<void> {
  const server = await TestServer.start()
  const routes = await rightsOfRoutes()
  await send(`${server.url}/api/lan`, 'PUT', { open: true })
  const callers: { name: string; headers: Record<string, string>; has: readonly Right[] }[] = [
    { name: 'unpaired', headers: {}, has: [] },
  ]
  for (const [name, has] of [
    ['tablet', ['read', 'bench', 'rack', 'formulas']],
    ['scale', ['readings']],
    ...rights.map((right): [string, Right[]] => [`only ${right}`, [right]]),
  ] as [string, Right[]][]) {
    const { body } = await send<{ secret: string }>(`${server.url}/api/lan/key`, 'POST', { name })
    const { body: lan } = await send<{ paired: { id: string; name: string }[] }>(
      `${server.url}/api/lan`,
      'GET',
    )
    const { id } = lan.paired.find((one) => one.name === name)!
    await send(`${server.url}/api/lan/paired/${id}`, 'PUT', { rights: has })
    callers.push({ name, headers: { authorization: `Bearer ${body.secret}` }, has })
  }
  const encoded = (path: string) =>
    path.replace(/[a-z]/g, (letter) =>
      random.uniform() < 0.5 ? `%${letter.charCodeAt(0).toString(16)}` : letter,
    )
  const ways: ((path: string) => string)[] = [
    (path) => path,
    encoded,
    (path) => path.replace('/api/', '/api//'),
    (path) => path.replace('/api/', '/api/./'),
    (path) => path.replace('/api/', '/api/x/../'),
    (path) => path.replace('/api/', '/api\\'),
    (path) => `${path}/`,
    (path) => path.toUpperCase(),
  ]
  const wrong: string[] = []
  let tried = 0
  for (const { method, path, may } of routes)
    for (const { name, headers, has } of callers)
      for (const [nth, way] of ways.entries()) {
        const address = way(path.replace('[name]', 'none.zip').replace(/\[\w+\]/g, v7()))
        const status = await raw(server.networkPort, method, address, headers)
        tried++
        const lets = may.some((right) => has.includes(right))
        const refused = [1, 302, 400, 401, 403, 404].includes(status)
        // As it is written it has to be let in where it may; however it is written it must not be where it may not.
        const bad = lets ? nth === 0 && (status === 401 || status === 403) : !refused
        if (bad) wrong.push(`${name}: ${method} ${address} gave ${status}`)
      }
  await server.stop()
  for (const one of wrong.slice(0, 10)) console.log(`  ${one}`)
  tell(
    `${routes.length} routes × ${callers.length} callers × ${ways.length} ways`,
    wrong.length === 0,
    `${tried} tried, ${wrong.length} wrong`,
  )
}

const parts: Record<string, () => Promise<void>> = {
  writes,
  backup: backups,
  restore: restores,
  migration: migrations,
  bits,
  bombs,
  requests,
  rights: rightsHold,
}
// A part that never comes to its end must not pass for one that held.
process.exitCode = 1
for (const [name, part] of Object.entries(parts))
  if (!asked.length || asked.includes(name)) await part()
rmSync(folder, { recursive: true, force: true })
process.exitCode = failed ? 1 : 0
