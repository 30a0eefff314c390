import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['{core,contracts,server,cli,demo,app}/**/*.test.ts', 'tests/unit/**/*.test.ts'],
          // A guard against hanging, not a limit: what may take how long is measured by the bench.
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
