import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { root } from './bootstrap.mjs'
import { giveUp, say } from './say.mjs'

/** This machine only. Opening Mantle to a network needs pairing of devices, which does not exist yet. */
const host = '127.0.0.1'

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
}

async function answers(address) {
  for (let attempt = 0; attempt < 100; attempt++) {
    const ok = await fetch(`${address}/api/workshop`).then(
      (response) => response.ok,
      () => false,
    )
    if (ok) return true
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return false
}

/**
 * Serves what is built until it is stopped, and prints the address once it answers.
 * @param database file of the database
 */
export async function serve(database) {
  const server = join(root, '.output', 'server', 'index.mjs')
  if (!existsSync(server)) giveUp('Mantle is not built yet: run "npm run build" or "npm run demo".')
  const port = Number(process.env.MANTLE_PORT ?? 4173)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    giveUp(`MANTLE_PORT must be a port number, as 4173; it is "${process.env.MANTLE_PORT}".`)
  if (!(await isFree(port)))
    giveUp(`Port ${port} is taken. Stop what runs there, or choose another with MANTLE_PORT.`)

  const child = spawn(process.execPath, [server], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      MANTLE_DB: database,
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      NODE_ENV: 'production',
    },
  })
  child.on('exit', (code) => process.exit(code ?? 0))
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  const address = `http://${host}:${port}`
  if (await answers(address)) say(`Mantle is open at ${address}  (Ctrl C stops it)`)
  else giveUp(`Mantle did not answer at ${address}.`)
}
