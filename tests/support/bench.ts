import { usualSetup } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { freeze } from '#core/batch/freeze'
import { library } from '#core/materials/library'
import { formatter } from '#core/units/formatter'

/** The plan of a formula, and what it was made from. */
export const plannedFrom = (
  document: FormulaDocument,
  setup: Partial<RunSetup> = {},
  scale = 0.1,
) => {
  const frozen = freeze(document, library)
  const ctx = contextOf(frozen, { ...usualSetup, ...setup }, scale, formatter({ scale }))
  return { frozen, ctx, plan: planFor(ctx) }
}
