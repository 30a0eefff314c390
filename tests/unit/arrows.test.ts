import { readdirSync, readFileSync } from 'node:fs'
import { basename, relative, resolve } from 'node:path'
import { ESLint } from 'eslint'
import tseslint from 'typescript-eslint'
import { describe, expect, it } from 'vitest'

/** The arrows of the house, tried on code that would break them. */
// These files do not exist, so that no compiler knows them; what needs types is off.
const eslint = new ESLint({
  overrideConfig: { files: ['**/*.ts'], ...tseslint.configs.disableTypeChecked },
})
const broken: [file: string, code: string][] = [
  ['core/formula/x.ts', "import { ref } from 'vue'\nexport const x = ref(1)\n"],
  ['core/formula/x.ts', "import { readFileSync } from 'node:fs'\nexport const x = readFileSync\n"],
  [
    'core/formula/x.ts',
    "import { formulaSchema } from '#contracts/formula'\nexport const x = formulaSchema\n",
  ],
  ['core/formula/x.ts', "import { x } from '#imports'\nexport const y = x\n"],
  [
    'core/formula/x.ts',
    "import { openDatabase } from '../../server/db/connection'\nexport const x = openDatabase\n",
  ],
  ['core/units/x.ts', "import { freeze } from '../batch/freeze'\nexport const x = freeze\n"],
  ['core/formula/x.ts', "import { remarksOn } from '../remarks'\nexport const x = remarksOn\n"],
  ['core/bench/plan/x.ts', "import { runOf } from '../run/run'\nexport const x = runOf\n"],
  ['core/rack/x.ts', "import type { Rule } from '../remarks/rule'\nexport type X = Rule\n"],
  ['core/formula/x.ts', 'export const x = Date.now()\n'],
  ['core/formula/x.ts', 'export const x = new Date()\n'],
  ['core/formula/x.ts', 'export const x = Math.random()\n'],
  ['core/formula/x.ts', 'export const x = window.name\n'],
  [
    'contracts/x.ts',
    "import { computeFormula } from '#core/formula/compute'\nexport const x = computeFormula\n",
  ],
  ['server/db/x.ts', "import { api } from '../../app/utils/api'\nexport const x = api\n"],
  [
    'app/utils/x.ts',
    "import { openDatabase } from '../../server/db/connection'\nexport const x = openDatabase\n",
  ],
  ['cli/x.ts', "import { ref } from 'vue'\nexport const x = ref(1)\n"],
]
const fine: [file: string, code: string][] = [
  [
    'core/formula/x.ts',
    "import type { FormulaDocument } from '#contracts/formula'\nexport type X = FormulaDocument\n",
  ],
  [
    'app/utils/x.ts',
    "import { computeFormula } from '#core/formula/compute'\nexport const x = computeFormula\n",
  ],
  [
    'server/db/x.ts',
    "import { formulaSchema } from '#contracts/formula'\nexport const x = formulaSchema\n",
  ],
]
const faults = async (code: string, filePath: string) =>
  (await eslint.lintText(code, { filePath }))[0]!.messages.map(({ message }) => message)

/** Folders of the core that hold files themselves. */
const rooms = readdirSync('core', { withFileTypes: true, recursive: true })
  .filter((entry) => entry.isFile())
  .map(({ parentPath }) => relative('core', parentPath))
  .filter(
    (room, place, all) => room && !room.endsWith('__snapshots__') && all.indexOf(room) === place,
  )

describe('lint holds the arrows', () => {
  it('knows on which floor every room of the core is', async () => {
    const config: string = resolve('eslint.config.js')
    const { coreRooms } = (await import(config)) as { coreRooms: string[] }
    expect([...coreRooms].sort()).toEqual([...rooms].sort())
    // The picture of the house lists them in the same order.
    const told = readFileSync('docs/architecture.md', 'utf8').matchAll(/^\| `([a-z/]+)\/` /gm)
    expect([...told].map(([, room]) => room)).toEqual(coreRooms)
  })
  it.each(broken)('%s may not %s', async (file, code) => {
    const found = await faults(code, file)
    expect(found).toHaveLength(1)
    expect(found[0]).not.toMatch(/^Parsing/)
  })
  it.each(fine)('%s may %s', async (file, code) => {
    expect(await faults(code, file)).toEqual([])
  })
}, 30_000)

it('no two components are called the same: only one of them would ever be drawn', () => {
  const names = readdirSync('app/components', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.vue'))
    .map((file) => basename(file))
  expect(names.filter((name, place) => names.indexOf(name) !== place)).toEqual([])
})
