import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import jsdoc from 'eslint-plugin-jsdoc'
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
  'scents',
  'batter',
  'words',
  'exchange',
  'recipe',
  'bench/plan',
  'bench/run',
  'day',
  'trials',
  'rack/drying',
  'rack',
  'troubles',
  'events',
  'label',
  'remarks',
  'batch',
  'finder',
  'stores',
  'cost',
  'journal',
  'learning',
]

/** What is said in one place: `core/units/formatter.ts` for figures, counts and lists, `app/utils/dates.ts` for days and times. */
const saidElsewhere = [
  {
    selector: "NewExpression[callee.object.name='Intl']",
    message:
      'Figures, counts and lists are said by the formatter, days and times by app/utils/dates.ts.',
  },
  {
    selector: 'CallExpression[callee.property.name=/^toLocale/]',
    message: 'Figures are said by the formatter, days and times by app/utils/dates.ts.',
  },
  {
    selector: "CallExpression[callee.property.name='join'][arguments.0.value=/^(, | and | or )$/]",
    message: 'A list is said by say.list.',
  },
  {
    selector: "ConditionalExpression[test.operator='==='][test.right.value=1] > Literal[value=/./]",
    message: 'One and many are told apart by say.count or say.plural.',
  },
  {
    selector: "TemplateLiteral > CallExpression[callee.property.name='toLowerCase']",
    message: 'A name goes into a sentence by inSentence.',
  },
  {
    selector: "TemplateLiteral > CallExpression[callee.property.name='toFixed']",
    message: 'Figures are said by the formatter.',
  },
]

/**
 * Needs the types: a promise nobody waits for, and a kind that a switch forgot. Not in .vue files: each would build the whole program
 * anew, minutes in all; what they do at length is in composables.
 */
const typed = {
  // One program for all: one for each part of the house would be built one after the other.
  project: ['tsconfig.lint.json'],
  tsconfigRootDir: import.meta.dirname,
}
const withTypes = {
  '@typescript-eslint/no-floating-promises': 'error',
  '@typescript-eslint/await-thenable': 'error',
  '@typescript-eslint/switch-exhaustiveness-check': [
    'error',
    { considerDefaultExhaustiveForUnions: true },
  ],
}

const noClock = {
  selector: "NewExpression[callee.name='Date'][arguments.length=0]",
  message: 'Time is an argument.',
}

/** Where they are said, and where words are read and tables written, which no locale changes. */
const saying = [
  'core/units/{formatter,days}.ts',
  'core/{words,exchange}/**',
  'app/utils/{dates,money}.ts',
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
  // Their rules are for components; on the rest of the code they cost as much as all others together.
  ...vue.configs['flat/recommended'].map((config) => ({ ...config, files: ['**/*.vue'] })),
  {
    rules: {
      ...script,
      // The compiler knows every name, Nuxt's own included.
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: tseslint.parser },
    },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-multiple-template-root': 'off',
      'vue/no-restricted-syntax': ['error', ...saidElsewhere],
    },
  },
  { files: ['**/*.js', '**/*.mjs'], ...tseslint.configs.disableTypeChecked },
  { files: ['**/*.ts'], languageOptions: { parserOptions: typed }, rules: withTypes },
  {
    files: ['{app,server}/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', ...saying],
    rules: {
      'no-restricted-syntax': ['error', ...saidElsewhere],
    },
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
      'no-restricted-syntax': ['error', noClock],
    },
  },
  {
    // What others may call says what it does, in which units, and what it does not take.
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.cases.ts'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          enableFixer: false,
          require: { FunctionDeclaration: true, ArrowFunctionExpression: true },
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', ...saying],
    rules: { 'no-restricted-syntax': ['error', noClock, ...saidElsewhere] },
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
