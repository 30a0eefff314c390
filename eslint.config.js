import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/*
 * The arrows of the house point down: app and server see contracts and core; core sees only the types of contracts, and
 * neither screens, server, clock nor chance. These rules hold it.
 */
const interfaceCode = [
  'vue',
  'vue-*',
  '@vueuse/*',
  'pinia',
  'nuxt',
  'nuxt/*',
  '@headlessui/*',
  '@lucide/*',
  'h3',
]
const nodeCode = ['node:*', 'fs', 'path', 'better-sqlite3']
const nuxtAliases = ['~/*', '~~/*', '@/*', '#app', '#app/*', '#imports', '#components']
const upward = (...folders) => folders.flatMap((name) => [`**/${name}/*`, `**/${name}`])
/** Patterns are read like those of .gitignore, where a leading # would begin a comment. */
const forbid = (names, message, allowTypeImports = false) => ({
  group: names.map((name) => name.replace(/^#/, '\\#')),
  message,
  allowTypeImports,
})
const arrows = (files, ...patterns) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: { '@typescript-eslint/no-restricted-imports': ['error', { patterns }] },
})

const coreArrows = [
  forbid(
    [...interfaceCode, ...nodeCode, ...nuxtAliases],
    'The core knows no screen, no server and no machine.',
  ),
  forbid(
    upward('app', 'server', 'cli', 'demo', 'tests'),
    'The core points at nothing but the types of contracts.',
  ),
  forbid(['#contracts/*', '**/contracts/*'], 'The core takes only types from contracts.', true),
]
/** The rooms of the core by what rests on what, the lowest first. */
export const coreRooms = [
  'units',
  'statistics',
  'chemistry',
  'materials',
  'water',
  'mould',
  'formula',
  'versions',
  'character',
  'risk',
  'heat',
  'batter',
  'words',
  'exchange',
  'recipe',
  'bench/plan',
  'bench/run',
  'rack',
  'troubles',
  'events',
  'remarks',
  'batch',
  'finder',
]

const script = {
  '@typescript-eslint/consistent-type-imports': 'error',
  '@typescript-eslint/no-unused-vars': [
    'error',
    { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
  ],
  'no-console': 'error',
  'prefer-const': 'error',
  eqeqeq: ['error', 'always', { null: 'ignore' }],
}

export default tseslint.config(
  { ignores: ['.nuxt/', '.output/', 'node_modules/', 'data/', 'coverage/', 'test-results/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    rules: {
      ...script,
      // The compiler knows every name, Nuxt's own included.
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-multiple-template-root': 'off',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser } },
  },
  arrows(['core/*.ts'], ...coreArrows),
  ...coreRooms.map((room, floor) => {
    const above = coreRooms.slice(floor + 1).map((name) => name.split('/').at(-1))
    return arrows(
      [`core/${room}/**/*.ts`],
      ...coreArrows,
      ...(above.length
        ? [
            forbid(
              upward(...above),
              `core/${room} rests on the rooms below it, not on those above.`,
            ),
          ]
        : []),
    )
  }),
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'navigator',
          'localStorage',
          'fetch',
          'process',
          'crypto',
          'performance',
          'setTimeout',
        ].map((name) => ({ name, message: 'The core is plain data in, plain data out.' })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time is an argument.' },
        { object: 'Math', property: 'random', message: 'Chance is an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time is an argument.',
        },
      ],
    },
  },
  arrows(
    ['contracts/**/*.ts'],
    forbid(
      [...interfaceCode, ...nodeCode, ...nuxtAliases, '#core/*'],
      'Contracts point at nothing.',
    ),
    forbid(upward('app', 'server', 'core', 'cli', 'demo', 'tests'), 'Contracts point at nothing.'),
  ),
  arrows(
    ['server/**/*.ts'],
    forbid(
      interfaceCode.filter((name) => name !== 'h3'),
      'The server knows no screen.',
    ),
    forbid(upward('app', 'cli', 'demo', 'tests'), 'The server sees contracts and core only.'),
  ),
  arrows(
    ['app/**/*.{ts,vue}'],
    forbid(nodeCode, 'The app runs in a browser.'),
    forbid(upward('server', 'cli', 'demo', 'tests'), 'The app sees contracts and core only.'),
  ),
  arrows(
    ['cli/**/*.ts'],
    forbid(interfaceCode, 'The command line knows no screen.'),
    forbid(upward('app', 'tests'), 'The command line sees contracts, core and the stores.'),
  ),
  arrows(
    ['demo/**/*.ts'],
    forbid(interfaceCode, 'The demo knows no screen.'),
    forbid(upward('app', 'cli', 'tests'), 'The demo sees contracts, core and the stores.'),
  ),
  {
    files: ['scripts/**', 'tests/**', '*.config.*', 'server/utils/log.ts'],
    rules: { 'no-console': 'off' },
  },
  prettier,
)
