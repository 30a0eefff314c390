import type { BatchRecord } from '#contracts/learning'
import type { FormulaVersion } from '#contracts/version'

type Kept = Pick<FormulaVersion, 'number' | 'name' | 'purpose' | 'changes' | 'keptAt' | 'formulaId'>

/** A version and the batches that tell whether it did what it was for: poured by it, or by the one before. */
export interface SinceVersion {
  version: Kept
  /** With the figure `version`: 1 since it, 0 before. */
  records: BatchRecord[]
  /** Things that were changed with it at once. */
  changed: number
}

/**
 * The batches of a version beside those of the one before it. Null where the formula has no such version.
 * @param versions of one formula, in any order
 * @param number of the version; null for the newest
 * @example sinceVersion([], [], null) // null
 */
export function sinceVersion(
  records: readonly BatchRecord[],
  versions: readonly Kept[],
  number: number | null,
): SinceVersion | null {
  const sorted = [...versions].sort((a, b) => a.number - b.number)
  const place =
    number === null ? sorted.length - 1 : sorted.findIndex((one) => one.number === number)
  const version = sorted[place]
  if (!version) return null
  const dayOf = (kept: Kept | undefined) => kept?.keptAt.slice(0, 10)
  const [from, to] = [dayOf(version)!, dayOf(sorted[place + 1]) ?? '9999-12-31']
  const before = dayOf(sorted[place - 1]) ?? ''
  return {
    version,
    changed: version.changes.length,
    records: records
      .filter(
        ({ formulaId, pouredOn }) =>
          formulaId === version.formulaId && pouredOn >= before && pouredOn < to,
      )
      .map((record) => ({
        ...record,
        figures: { ...record.figures, version: Number(record.pouredOn >= from) },
      })),
  }
}
