import { spawn, type ChildProcess } from 'node:child_process'
import { copyFileSync, cpSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { loadDemo } from '../../demo/load'
import { openDatabase } from '../../server/db/connection'
import { migrationFiles } from '../../server/db/migrationFiles'
import { photosOf } from '../../server/db/files'

/** The day all tests happen on: a Monday morning. */
export const fixedNow = '2026-11-23T09:30:00Z'

const built = resolve('.output/server/index.mjs')

function anyPort(): Promise<number> {
  return new Promise((done, fail) => {
    const probe = createServer()
    probe.on('error', fail)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0))
    })
  })
}

const claimOf = (port: number) => join(tmpdir(), `mantle-port-${port}`)

/**
 * A free port that no other test worker takes: between asking for one and listening on it another worker may be given the
 * same, and its test would then talk to this server. Making a folder is all or nothing, so it is the claim.
 */
async function claimPort(): Promise<number> {
  for (;;) {
    const port = await anyPort()
    try {
      mkdirSync(claimOf(port))
      return port
    } catch {
      // claimed by another worker
    }
  }
}

/** The built server on a port of its own with a database of its own. */
export class TestServer {
  private child: ChildProcess | null = null
  /** What it wrote to its error stream. */
  errors = ''

  private constructor(
    readonly folder: string,
    readonly port: number,
    /** The port for the network, for when LAN access is opened. */
    readonly networkPort: number,
    /** Settings of its environment. */
    private readonly settings: Record<string, string>,
  ) {}

  get url() {
    return `http://127.0.0.1:${this.port}`
  }
  get pid() {
    return this.child?.pid ?? 0
  }
  get database() {
    return join(this.folder, 'mantle.sqlite')
  }

  /** @param template database to start from; none gives an empty workshop */
  static async start(
    template?: string,
    settings: Record<string, string> = {},
  ): Promise<TestServer> {
    if (!existsSync(built)) throw new Error('Build first: npm run build.')
    const server = new TestServer(
      mkdtempSync(join(tmpdir(), 'mantle-')),
      await claimPort(),
      await claimPort(),
      settings,
    )
    if (template) {
      copyFileSync(template, server.database)
      cpSync(photosOf(template), photosOf(server.database), { recursive: true })
    }
    await server.run()
    return server
  }

  /** Starts it on the same port and database; resolves when it answers or has ended. */
  async run(settings: Record<string, string> = {}): Promise<number | null> {
    const child = spawn(process.execPath, [built], {
      stdio: ['ignore', 'ignore', 'pipe'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        MANTLE_DB: this.database,
        MANTLE_NOW: fixedNow,
        NITRO_HOST: '127.0.0.1',
        NITRO_PORT: String(this.port),
        MANTLE_NETWORK_PORT: String(this.networkPort),
        ...this.settings,
        ...settings,
      },
    })
    this.child = child
    child.stderr.on('data', (text) => (this.errors += String(text)))
    for (;;) {
      if (child.exitCode !== null || child.signalCode !== null) return child.exitCode
      const signal = AbortSignal.timeout(5000)
      const ok = await fetch(`${this.url}/api/workshop`, { signal }).then(
        (response) => response.ok,
        () => false,
      )
      if (ok) return null
      await new Promise((done) => setTimeout(done, 25))
    }
  }

  /** Its exit code, once it has ended by itself. */
  async ended(): Promise<number | null> {
    const { child } = this
    if (!child || child.exitCode !== null) return child?.exitCode ?? null
    return new Promise((done) => child.once('exit', done))
  }

  /** Ends the process at once, as a power cut would. */
  async kill(signal: 'SIGKILL' | 'SIGTERM' = 'SIGKILL'): Promise<void> {
    const { child } = this
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const ended = new Promise((done) => child.once('exit', done))
    child.kill(signal)
    await ended
  }

  async stop(): Promise<void> {
    await this.kill()
    for (const port of [this.port, this.networkPort])
      rmSync(claimOf(port), { recursive: true, force: true })
    rmSync(this.folder, { recursive: true, force: true })
  }
}

/** A database file with the demo workshop in it, to copy from. */
export function demoTemplate(): string {
  const file = join(mkdtempSync(join(tmpdir(), 'mantle-template-')), 'demo.sqlite')
  const db = openDatabase(file, migrationFiles())
  loadDemo(db, new Date(fixedNow))
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
  return file
}
