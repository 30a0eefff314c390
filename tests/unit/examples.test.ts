import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { exampleScope } from '../support/exampleScope'

interface Documented {
  name: string
  examples: string[]
}

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
        const names = { ...exampleScope, ...module }
        expect(written(run(expression!, names)), text).toEqual(run(value!, names))
      }
  })

  it('stand with every function', () => {
    const without = files.flatMap(({ file, functions }) =>
      functions.filter(({ examples }) => !examples.length).map(({ name }) => `${file}: ${name}`),
    )
    expect(without).toEqual([])
  })
})
