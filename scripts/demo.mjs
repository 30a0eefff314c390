import { join } from 'node:path'
import { installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { run } from './run.mjs'
import { giveUp, say } from './say.mjs'
import { serve } from './serve.mjs'

/* npm run demo [-- --fresh]: installs what is missing, builds, loads the demo workshop, serves, prints the address. */
await installPackages()
await build()
const database = process.env.MANTLE_DB || join(root, 'data', 'demo.sqlite')
say('Loading the demo workshop')
const load = ['--import', 'tsx', 'demo/load.ts', ...process.argv.slice(2)]
const env = { ...process.env, MANTLE_DB: database }
if ((await run(process.execPath, load, { cwd: root, env })) !== 0)
  giveUp('The demo was not loaded.')
await serve(database)
