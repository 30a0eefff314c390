import { installChromium, installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

/* npm run bench: the limits Mantle promises, measured. Figures depend on the machine; the limits do not. */
await installPackages()
const chromium = await installChromium()
await build()
const env = { ...process.env, MANTLE_CHROMIUM: chromium }
for (const [name, file] of [
  ['Core', 'tests/bench/core.ts'],
  ['Cooling', 'tests/bench/cooling.ts'],
  ['Drying', 'tests/bench/drying.ts'],
  ['Many batches', 'tests/bench/many.ts'],
  ['Pages', 'tests/bench/page.ts'],
]) {
  say(name)
  await run(process.execPath, ['--import', 'tsx', file], { cwd: root, env })
}
