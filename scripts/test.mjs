import { installChromium, installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { check } from './check.mjs'
import { run } from './run.mjs'
import { giveUp, say, seconds } from './say.mjs'

/* npm test: installs what is missing, then type check, lint, unit, route and browser tests. */
const since = performance.now()
await installPackages()
const chromium = await installChromium()
await check()

// The build keeps one core busy, and most of the unit tests another.
say('Unit tests, and the build beside them')
const [unit] = await Promise.all([
  run('npx', ['vitest', 'run', '--project', '!routes', '--maxWorkers=1'], { cwd: root }),
  build(),
])
if (unit !== 0) giveUp('Unit tests failed.')
say('Route tests against the built server')
if ((await run('npx', ['vitest', 'run', '--project', 'routes'], { cwd: root })) !== 0)
  giveUp('Route tests failed.')
say('Browser tests against the built server')
const env = { ...process.env, MANTLE_CHROMIUM: chromium }
if ((await run('npx', ['playwright', 'test'], { cwd: root, env })) !== 0)
  giveUp('Browser tests failed.')
say(`All checks passed in ${seconds(since)}`)
