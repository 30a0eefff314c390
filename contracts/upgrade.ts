/*
 * Formula documents of version 1, brought to version 2 before they are judged. Nothing is lost and nothing added: the same
 * weights come out. What is not a document is handed on as it is, for the schema to say so.
 */

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function upgradedExtra(line: unknown): unknown {
  if (!isPlain(line) || !isPlain(line.amount) || line.amount.unit !== 'tsp/kg-oils') return line
  return { ...line, amount: { ...line.amount, unit: 'tsp', per: 'kg' } }
}
const upgradedExtras = (lines: unknown): unknown =>
  Array.isArray(lines) ? lines.map(upgradedExtra) : lines

/** "blender: false" was stirring by hand, with a whisk or a spoon: the whisk is the quicker of the two. */
function upgradedMethod(method: unknown): unknown {
  if (!isPlain(method)) return method
  const { pattern, blender, ...rest } = method
  return {
    ...rest,
    ...(pattern === undefined ? {} : { patterns: pattern === 'plain' ? [] : [pattern] }),
    ...(blender === undefined
      ? {}
      : { tool: typeof blender === 'boolean' ? (blender ? 'blender' : 'whisk') : blender }),
  }
}

/** A document of version 1 as one of version 2; anything else as it is. */
export function upgradedFormula(value: unknown): unknown {
  if (!isPlain(value) || value.version !== 1) return value
  const { parts, additives, scents, method } = value
  return {
    ...value,
    version: 2,
    ...(additives === undefined ? {} : { additives: upgradedExtras(additives) }),
    ...(scents === undefined ? {} : { scents: upgradedExtras(scents) }),
    ...(Array.isArray(parts)
      ? {
          parts: parts.map((part: unknown) =>
            isPlain(part) && part.additives !== undefined
              ? { ...part, additives: upgradedExtras(part.additives) }
              : part,
          ),
        }
      : {}),
    ...(method === undefined || method === null ? {} : { method: upgradedMethod(method) }),
  }
}
