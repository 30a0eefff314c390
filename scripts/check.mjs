import { root } from './bootstrap.mjs'
import { run } from './run.mjs'
import { giveUp, say, seconds } from './say.mjs'

const steps = [
  [
    'Type check of core and contracts, without browser or Node',
    'npx',
    ['tsc', '-p', 'tsconfig.core.json'],
  ],
  ['Type check of command line, demo and tests', 'npx', ['tsc', '-p', 'tsconfig.node.json']],
  ['Preparing Nuxt', 'npx', ['nuxt', 'prepare', '--logLevel=silent']],
  ['Type check of app and server', 'npx', ['vue-tsc', '-b', '--noEmit']],
  ['Lint', 'npx', ['eslint', '.', '--max-warnings=0']],
  ['Format', 'npx', ['prettier', '--check', '--log-level=warn', '.']],
]

/** Runs every static check; ends with a sentence at the first that fails. */
export async function check() {
  const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1' }
  for (const [name, command, args] of steps) {
    const since = performance.now()
    say(name)
    if ((await run(command, args, { cwd: root, env })) !== 0) giveUp(`${name}: failed, see above.`)
    console.log(`  ${seconds(since)}`)
  }
}

if (process.argv[1]?.endsWith('check.mjs')) await check()
