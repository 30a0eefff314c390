import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
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
        test: {
          name: 'unit',
          include: ['{server,demo,app}/**/*.test.ts', 'tests/unit/**/*.test.ts'],
          testTimeout: 120_000,
        },
      },
      {
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
