import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './bootstrap.mjs'
import { run } from './run.mjs'
import { giveUp, say } from './say.mjs'

const sources = [
  'app',
  'contracts',
  'core',
  'public',
  'server',
  'nuxt.config.ts',
  'package-lock.json',
]
const stamp = join(root, '.output', 'built-from')

function hashOf(path, hash) {
  if (statSync(path).isDirectory())
    for (const name of readdirSync(path).sort()) hashOf(join(path, name), hash)
  else hash.update(path).update(readFileSync(path))
}

/** Builds the server and the app unless what is built is of these very sources. */
export async function build() {
  const hash = createHash('sha256')
  for (const source of sources) hashOf(join(root, source), hash)
  const now = hash.digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  say('Building (about a minute)')
  const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' }
  if ((await run('npx', ['nuxt', 'build', '--logLevel=silent'], { cwd: root, env })) !== 0)
    giveUp('The build failed; what went wrong stands above.')
  writeFileSync(stamp, now)
}
