/*
 * npm run mutants [-- FOLDER …]: every line of a folder is changed by a little, and some test that lies in that folder has to
 * notice. What lives is a line that no test holds. Texts are left out: a sentence is not wrong because it reads otherwise.
 */
const folders = (process.env.MANTLE_MUTATE ?? '').split(' ')

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'tests/mutants/vitest.config.ts', related: false },
  plugins: ['@stryker-mutator/vitest-runner'],
  mutate: folders.flatMap((folder) => [`${folder}/**/*.ts`, `!${folder}/**/*.{test,cases}.ts`]),
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['.nuxt', '.output', 'data', 'docs', 'public', 'test-results'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 5_000,
  reporters: ['progress-append-only', 'clear-text', 'json'],
  clearTextReporter: { allowColor: false, reportTests: false, reportMutants: true },
  jsonReporter: { fileName: 'test-results/mutants.json' },
  tempDirName: 'node_modules/.cache/stryker',
  thresholds: { high: 90, low: 80, break: 80 },
}
