import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '../../core/formula/blank'
import { computeFormula } from '../../core/formula/compute'
import { heatTakenBy } from '../../core/heat/dissolving'
import { library as shipped } from '../../core/materials/library'
import { readRecipe } from '../../core/recipe/read'
import { randomSource } from '../../core/statistics/randomSource'
import { formatter } from '../../core/units/formatter'
import { readLine } from '../../core/words/reading'

/** 1000 g of olive oil at 5 % superfat and 2.2 : 1 water to lye. */
const example: FormulaDocument = {
  ...blankFormula('Salt Flat'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
}

/** What examples may speak of beside what their own file exports. */
const known: Record<string, unknown> = {
  example,
  made: computeFormula(example, shipped),
  shipped,
  say: formatter(),
  // 136 g of soda in 272 g of water, in 150 g of plastic.
  jug: {
    naoh: 136,
    koh: 0,
    readyNaoh: 0,
    readyWater: 0,
    water: 272,
    ice: 0,
    other: 0,
    roomC: 20,
    iceC: 0,
    jugHeat: heatTakenBy({ grams: 150, stuff: 'plastic' }),
  },
  // 60 °C at first, 2 % of what is above the room's 20 °C lost a minute.
  curve: { from: 0, startC: 60, perMinute: 0.02, roomC: 20 },
  random: randomSource(1),
  effort: { first: 400, chains: 20, rounds: 64, kept: 8 },
  blankFormula,
  computeFormula,
  readLine,
  readRecipe,
}

interface Documented {
  name: string
  /** Whether it takes nothing but numbers, texts and yes or no. */
  plain: boolean
  examples: string[]
}

const plainTypes = /^(readonly )?(number|string|boolean|Day)(\[\])?( \| null)?$/

/** The exported functions of a file. */
function functionsIn(file: string): Documented[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  return source.statements.flatMap((statement) => {
    const { modifiers } = statement as ts.FunctionDeclaration
    if (!modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)) return []
    const declared = ts.isVariableStatement(statement)
      ? statement.declarationList.declarations[0]!
      : statement
    const made = ts.isVariableDeclaration(declared) ? declared.initializer : declared
    if (!made || !(ts.isFunctionDeclaration(made) || ts.isArrowFunction(made))) return []
    const { name } = declared as ts.FunctionDeclaration
    return {
      name: name!.getText(),
      plain: made.parameters.every(
        ({ type, initializer }) =>
          plainTypes.test(type?.getText() ?? '') || ts.isLiteralExpression(initializer ?? made),
      ),
      examples: ts
        .getJSDocTags(statement)
        .filter(({ tagName }) => tagName.text === 'example')
        .map(({ comment }) => ts.getTextOfJSDocComment(comment) ?? ''),
    }
  })
}

/** Numbers as far as an example writes them. */
const written = (value: unknown): unknown =>
  typeof value === 'number'
    ? Number(value.toPrecision(6))
    : Array.isArray(value)
      ? value.map(written)
      : value && typeof value === 'object'
        ? Object.fromEntries(Object.entries(value).map(([key, of]) => [key, written(of)]))
        : value

const run = (expression: string, names: Record<string, unknown>): unknown =>
  new Function(...Object.keys(names), `return (${expression})`)(...Object.values(names))

const files = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .map((file) => ({ file, functions: functionsIn(`core/${file}`) }))

describe('the examples that stand with the functions of the core', () => {
  const shown = files.filter(({ functions }) => functions.some(({ examples }) => examples.length))
  it.each(shown)('are true in $file', async ({ file, functions }) => {
    const module = (await import(/* @vite-ignore */ `../../core/${file}`)) as Record<
      string,
      unknown
    >
    for (const { name, examples } of functions)
      for (const text of examples) {
        const [, expression, value] = /^(.*?)\s*\/\/\s*(.*)$/s.exec(text) ?? []
        expect(expression, `${name}: “${text}” needs // and a value`).toBeDefined()
        expect(expression, `an example of ${name} uses it`).toContain(name)
        const names = { ...known, ...module }
        expect(written(run(expression!, names)), text).toEqual(run(value!, names))
      }
  })

  it('stand with every function that takes plain values', () => {
    const without = files.flatMap(({ file, functions }) =>
      functions
        .filter(({ plain, examples }) => plain && !examples.length)
        .map(({ name }) => `${file}: ${name}`),
    )
    expect(without).toEqual([])
  })
})
