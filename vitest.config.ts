import Unimport from 'unimport/unplugin'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const app = fileURLToPath(new URL('app', import.meta.url))

/** Nuxt's own settings of the compiler are generated; what is tested here needs none of them, so a bare checkout will do. */
const esbuild = { tsconfigRaw: '{ "compilerOptions": { "verbatimModuleSyntax": true } }' }

export default defineConfig({
  test: {
    projects: [
      {
        esbuild,
        test: {
          name: 'core',
          include: ['{core,contracts,cli}/**/*.test.ts'],
          // It holds no state of its own, so that its modules are read once for all files.
          isolate: false,
          // A guard against hanging, not a limit: what may take how long is measured by the bench.
          testTimeout: 120_000,
        },
      },
      {
        esbuild,
        test: {
          name: 'unit',
          include: ['{server,demo}/**/*.test.ts', 'tests/unit/**/*.test.ts'],
          testTimeout: 120_000,
        },
      },
      {
        // What Nuxt brings in by itself, without Nuxt: names of Vue, of Pinia and of the app's own folders.
        plugins: [
          Unimport.vite({
            presets: ['vue', 'pinia'],
            dirs: ['composables', 'stores', 'utils'].map((folder) => `${app}/${folder}`),
          }),
        ],
        resolve: { alias: { '~': app } },
        esbuild,
        test: {
          name: 'app',
          include: ['app/**/*.test.ts'],
          environment: 'happy-dom',
          testTimeout: 120_000,
        },
      },
      {
        esbuild,
        test: {
          name: 'routes',
          include: ['tests/routes/**/*.test.ts'],
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
})
