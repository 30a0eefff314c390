import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

/** A sentence with which something is refused. */
export interface Refused {
  /** As it is answered; 422 for what cannot have happened to a batch. */
  status: string
  says: string
  /** The files it stands in. */
  file: string
}

/** A text as it reads, with what is filled in as its names. Empty for what is no text. */
function textOf(node: ts.Expression | undefined): string[] {
  if (!node) return []
  if (ts.isStringLiteralLike(node)) return [node.text]
  if (ts.isTemplateExpression(node))
    return [
      node.head.text +
        node.templateSpans
          .map(({ expression, literal }) => `{${nameOf(expression)}}${literal.text}`)
          .join(''),
    ]
  if (ts.isConditionalExpression(node)) return [...textOf(node.whenTrue), ...textOf(node.whenFalse)]
  if (ts.isParenthesizedExpression(node)) return textOf(node.expression)
  return []
}
function nameOf(node: ts.Expression): string {
  if (ts.isIdentifier(node)) return node.text
  if (ts.isPropertyAccessExpression(node)) return node.name.text
  if (ts.isCallExpression(node)) return nameOf(node.expression)
  return '…'
}

/** Where each call has its status and its sentence; the status where it is not given. */
const calls: Record<string, { status: number; says: number; usual: string }> = {
  refuse: { status: 0, says: 1, usual: '' },
  refusal: { status: 1, says: 2, usual: '' },
  StorageTrouble: { status: 1, says: 0, usual: '503' },
  Unusable: { status: -1, says: 0, usual: '422' },
}

function refusedIn(file: string): Refused[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  const found: Refused[] = []
  const add = (status: string, texts: string[]) => {
    for (const says of texts) if (/[.?!]$/.test(says)) found.push({ status, says, file })
  }
  const happened = file.startsWith(join('core', 'events'))
  const look = (node: ts.Node): void => {
    if (ts.isCallExpression(node) || ts.isNewExpression(node)) {
      const call = ts.isIdentifier(node.expression) ? calls[node.expression.text] : undefined
      if (call) {
        const given = node.arguments?.[call.status]
        add(
          given && ts.isNumericLiteral(given) ? given.text : call.usual,
          textOf(node.arguments?.[call.says]),
        )
      }
    }
    // Known troubles are a list of code, status and sentence.
    if (ts.isArrayLiteralExpression(node) && node.elements.length === 3) {
      const [, status, says] = node.elements
      if (ts.isNumericLiteral(status!) && ts.isArrowFunction(says!) && !ts.isBlock(says.body))
        add(status.text, textOf(says.body))
    }
    // What cannot have happened is a sentence that is given back.
    if (happened && (ts.isReturnStatement(node) || ts.isArrowFunction(node)))
      add(
        '422',
        textOf(
          ts.isReturnStatement(node)
            ? node.expression
            : ts.isBlock(node.body)
              ? undefined
              : node.body,
        ),
      )
    ts.forEachChild(node, look)
  }
  look(source)
  return found
}

/** Every sentence of refusal of the routes, by status and sentence. */
export function refusals(): Refused[] {
  const files = ['server', join('core', 'events')].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
      .map((name) => join(folder, name)),
  )
  const found = new Map<string, Refused>()
  for (const one of files.flatMap(refusedIn)) {
    const key = `${one.status} ${one.says}`
    const before = found.get(key)
    if (!before) found.set(key, one)
    else if (!before.file.includes(one.file)) before.file += `, ${one.file}`
  }
  return [...found.values()]
    .filter(({ status }) => status !== '')
    .sort((a, b) => a.status.localeCompare(b.status) || a.says.localeCompare(b.says))
}

export const refusalTable = (all: Refused[]): string =>
  [
    '| status | sentence | where |',
    '| --- | --- | --- |',
    ...all.map(
      ({ status, says, file }) => `| ${status} | ${says.replaceAll('|', '\\|')} | ${file} |`,
    ),
  ].join('\n')
