import { join } from 'node:path'
import { installPackages, root } from './bootstrap.mjs'
import { build } from './build.mjs'
import { serve } from './serve.mjs'

/* npm start: serves the workshop's own data, ./data/mantle.sqlite unless MANTLE_DB says otherwise. */
await installPackages()
await build()
await serve(process.env.MANTLE_DB || join(root, 'data', 'mantle.sqlite'))
