import { root } from './bootstrap.mjs'
import { ask, run } from './run.mjs'
import { giveUp, say, seconds } from './say.mjs'

const steps = [
  // The longest first, so that the rest goes beside it.
  ['Lint', ['eslint', '.', '--max-warnings=0']],
  ['Type check of app and server', ['vue-tsc', '-b', '--noEmit']],
  ['Format', ['prettier', '--check', '--log-level=warn', '.']],
  ['Type check of command line, demo and tests', ['tsc', '-p', 'tsconfig.node.json']],
  [
    'Type check of core and contracts, without browser or Node',
    ['tsc', '-p', 'tsconfig.core.json'],
  ],
]

/** Runs every static check, two at a time; ends with a sentence at the first that fails. */
export async function check() {
  const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1' }
  say('Preparing Nuxt')
  if ((await run('npx', ['nuxt', 'prepare', '--logLevel=silent'], { cwd: root, env })) !== 0)
    giveUp('Preparing Nuxt: failed, see above.')
  const waiting = [...steps]
  const lane = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, args] = next
      const since = performance.now()
      const { code, text } = await ask('npx', args, { cwd: root, env })
      say(`${name} (${seconds(since)})`)
      if (code === 0) continue
      console.log(text)
      giveUp(`${name}: failed, see above.`)
    }
  }
  await Promise.all([lane(), lane()])
}

if (process.argv[1]?.endsWith('check.mjs')) await check()
