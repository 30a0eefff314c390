import { existsSync } from 'node:fs'

/** Debian's Chromium: what `npm test` found, else the build without a window, else the usual one. */
export const chromiumPath =
  process.env.MANTLE_CHROMIUM ??
  ['/usr/bin/chromium-headless-shell'].find(existsSync) ??
  '/usr/bin/chromium'
