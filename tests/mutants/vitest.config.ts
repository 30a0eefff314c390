import { defineConfig } from 'vitest/config'

const folders = (process.env.MANTLE_MUTATE ?? '').split(' ')

/** A folder's own tests, with a few cases of each property: there are thousands of mutants. */
export default defineConfig({
  root: process.cwd(),
  // Nuxt's own settings of the compiler are generated; these tests need none of them.
  esbuild: { tsconfigRaw: '{ "compilerOptions": { "verbatimModuleSyntax": true } }' },
  test: {
    include: folders.map((folder) => `${folder}/**/*.test.ts`),
    testTimeout: 120_000,
    setupFiles: ['tests/mutants/few.ts'],
    env: { MANTLE_DEPTH: '0.05' },
  },
})
