import { installChromium, installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { run } from './run.mjs'

/* npm run screenshots: takes docs/screenshots anew. */
await installPackages()
const chromium = await installChromium()
await build()
const env = { ...process.env, MANTLE_CHROMIUM: chromium }
process.exit(
  await run(process.execPath, ['--import', 'tsx', 'tests/screenshots.ts'], { cwd: root, env }),
)
