import type { PatchStep } from '#contracts/result'

type Container = Record<string, unknown> | unknown[]

function setAt(target: unknown, path: (string | number)[], value: unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return value
  const copy: Container = Array.isArray(target) ? [...target] : { ...(target as object) }
  const slot = copy as Record<string | number, unknown>
  slot[key] = setAt(slot[key], rest, value)
  return copy
}

/**
 * The document with each place of the patch set, leaving the original as it was.
 * @example applyPatch({ superfat: 0.05 }, [{ path: ['superfat'], value: 0.08 }]) // { superfat: 0.08 }
 */
export function applyPatch<T>(document: T, patch: PatchStep[]): T {
  return patch.reduce<unknown>((whole, step) => setAt(whole, step.path, step.value), document) as T
}
