import { installPackages, root } from './bootstrap.mjs'
import { run } from './run.mjs'

/* npm run mutants [-- FOLDER …]: how many one-line faults the unit tests notice (stryker.config.mjs). */
await installPackages()
const folders = process.argv.slice(2)
const env = { ...process.env, ...(folders.length ? { MANTLE_MUTATE: folders.join(' ') } : {}) }
process.exitCode = await run('npx', ['stryker', 'run'], { cwd: root, env })
