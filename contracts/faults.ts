import type { z } from 'zod'

/** What is wrong with one place in what was sent or typed. `path` is written like `fats[1].share`. */
export interface Fault {
  path: string
  says: string
}

type Issue = z.core.$ZodIssue

/** `['fats', 1, 'share']` becomes `fats[1].share`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  )
}

const kinds: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with keys',
}

/** How the schema library begins what it says by itself; a schema that has a sentence of its own says that. */
const bySchema = /^(Too (big|small)|Invalid|Unrecognized)/

function sentence(issue: Issue): string {
  if (!bySchema.test(issue.message)) return issue.message
  switch (issue.code) {
    case 'invalid_type':
      return issue.message.endsWith('received undefined')
        ? `This is missing; it must be ${kinds[issue.expected] ?? issue.expected}.`
        : `This must be ${kinds[issue.expected] ?? issue.expected}.`
    case 'too_big':
      return issue.origin === 'string'
        ? `This must have at most ${issue.maximum} characters.`
        : issue.origin === 'array'
          ? `This list may have at most ${issue.maximum} entries.`
          : `This must be at most ${issue.maximum}.`
    case 'too_small':
      return issue.origin === 'string'
        ? 'This must not be empty.'
        : issue.origin === 'array'
          ? `This list must have at least ${issue.minimum} entries.`
          : `This must be ${issue.inclusive === false ? 'more than' : 'at least'} ${issue.minimum}.`
    case 'invalid_value':
      return `This must be ${issue.values.map((value) => JSON.stringify(value)).join(' or ')}.`
    case 'invalid_union':
      return 'discriminator' in issue
        ? `Mantle does not know this kind of ${String(issue.discriminator)}.`
        : 'This is not in a form that Mantle knows.'
    case 'invalid_format':
      return `This is not a valid ${issue.format}.`
    default:
      return issue.message
  }
}

/** Turns what a schema found wrong into faults with plain sentences, one per place. */
export function faultsOf(error: z.ZodError): Fault[] {
  return (error.issues as Issue[]).flatMap((issue): Fault[] =>
    issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({
          path: pathText([...issue.path, key]),
          says: `Mantle does not know the key "${key}" here.`,
        }))
      : [{ path: pathText(issue.path), says: sentence(issue) }],
  )
}
