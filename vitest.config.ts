import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['{core,contracts,server,cli,demo,app}/**/*.test.ts', 'tests/unit/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'routes',
          include: ['tests/routes/**/*.test.ts'],
          fileParallelism: false,
          testTimeout: 20_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
})
