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
const studies = [
  ['Core', 'tests/bench/core.ts'],
  ['Cooling', 'tests/bench/cooling.ts'],
  ['Drying', 'tests/bench/drying.ts'],
  ['Many batches', 'tests/bench/many.ts'],
  ['Waiting', 'tests/bench/waiting.ts'],
  ['Pages', 'tests/bench/page.ts'],
  ['Siege', 'tests/bench/siege.ts'],
]
const [only, ...args] = process.argv.slice(2)
const asked = studies.filter(([, file]) => !only || file.endsWith(`/${only}.ts`))
for (const [name, file] of asked) {
  say(name)
  const code = await run(process.execPath, ['--import', 'tsx', file, ...args], { cwd: root, env })
  if (code !== 0) process.exitCode = code
}
