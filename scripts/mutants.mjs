import { installPackages, root } from './bootstrap.mjs'
import { run } from './run.mjs'

/* npm run mutants [-- FOLDER …]: how many one-line faults the tests beside the code notice (stryker.config.mjs). */

/** The folders that are held: four of five faults have to be noticed. */
const held = [
  'core/chemistry',
  'core/water',
  'core/units',
  'core/formula',
  'core/risk',
  'core/heat',
  'core/batter',
  'core/bench',
  'core/rack/drying',
  'server/db',
]

await installPackages()
const asked = process.argv.slice(2)
const env = { ...process.env, MANTLE_MUTATE: (asked.length ? asked : held).join(' ') }
process.exitCode = await run('npx', ['stryker', 'run'], { cwd: root, env })
