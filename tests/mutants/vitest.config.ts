import { defineConfig } from 'vitest/config'

/** The unit tests that mutants are tried on, a few cases of each property: there are thousands of mutants. */
export default defineConfig({
  root: process.cwd(),
  test: {
    include: ['{core,contracts,server,cli}/**/*.test.ts'],
    testTimeout: 120_000,
    env: { MANTLE_DEPTH: '0.2' },
  },
})
