/*
 * npm run mutants [-- FOLDER …]: every line is changed by a little, and some unit test has to notice. What lives is a line that
 * no test holds. Texts are left out: a sentence is not wrong because it reads otherwise.
 */
const held = ['core/chemistry', 'core/water', 'core/units', 'core/formula', 'server/db']
const asked = process.env.MANTLE_MUTATE?.split(' ') ?? held

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'tests/mutants/vitest.config.ts', related: false },
  plugins: ['@stryker-mutator/vitest-runner'],
  mutate: asked.flatMap((folder) => [`${folder}/**/*.ts`, `!${folder}/**/*.{test,cases}.ts`]),
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['.nuxt', '.output', 'data', 'docs', 'public', 'test-results'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, reportTests: false, reportMutants: true },
  jsonReporter: { fileName: 'test-results/mutants.json' },
  tempDirName: 'node_modules/.cache/stryker',
  thresholds: { high: 90, low: 80, break: 80 },
}
