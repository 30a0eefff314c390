import { installChromium, installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

/*
 * npm run bench [-- NAME]: the limits Mantle promises, measured. Figures depend on the machine; the limits do not.
 * npm run siege: what it promises about losing nothing and letting no one in, tried by force.
 */
await installPackages()
const chromium = await installChromium()
await build()
const env = { ...process.env, MANTLE_CHROMIUM: chromium }
const study = (name) => [process.execPath, '--import', 'tsx', `tests/bench/${name}.ts`]
const studies = {
  core: ['Core', study('core')],
  jug: ['Lye jug', study('jug')],
  risk: ['Lye risk', study('risk')],
  cooling: ['Cooling', study('cooling')],
  drying: ['Drying', study('drying')],
  many: ['Many batches', study('many')],
  scents: ['Scents', study('scents')],
  stores: ['Stores', study('stores')],
  labels: ['Labels', study('labels')],
  journal: ['Journal', study('journal')],
  days: ['Making days', study('days')],
  waiting: ['Waiting', study('waiting')],
  page: ['Pages', study('page')],
  siege: ['Siege', study('siege')],
  deep: [
    'Properties, tenfold',
    ['npx', 'vitest', 'run', '--project', 'core'],
    { MANTLE_DEPTH: '10' },
  ],
}
const [only, ...args] = process.argv.slice(2)
for (const [key, [name, [command, ...words], more]] of Object.entries(studies)) {
  if (only && key !== only) continue
  say(name)
  const code = await run(command, [...words, ...args], { cwd: root, env: { ...env, ...more } })
  if (code !== 0) process.exitCode = code
}
