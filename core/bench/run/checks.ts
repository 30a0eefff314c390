import type { Check } from '#contracts/batch'
import type { BatterStage } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import type { Library } from '../../materials/library'
import { usualWater } from '../../character/coefficients'
import { makeupOf, traitOf } from '../../character/traits'
import { afterPour, gelForecast, type AfterPour, type GelForecast } from '../../heat/gel'
import { celsiusAtCombine, stageAtPour } from './batter'
import type { PlanContext } from '../plan/context'
import { mixingC } from '../../batter/workingTime'
import type { RunState } from './run'

export interface AfterPlan {
  forecast: GelForecast
  /** The same of each pot where there are several: each has its own water and scent. */
  pots: { name: string; forecast: GelForecast }[]
  /** Left to itself: what warmth or cold would make of it. Null where the formula has decided. */
  otherwise: Record<'force' | 'prevent', GelForecast> | null
  after: AfterPour
  checks: Check[]
}

/** °C that the heat of the blender and of the first saponification add before the pour. */
const beforePour = 2

/**
 * The gel to expect and the checks that follow, from the temperatures at which the batch was really combined.
 * @param pouredAt instant of the pour
 * @example afterPlan(bench().ctx, bench().state, '2026-03-01T11:00:00Z').checks.map(({ kind }) => kind) // ['peek', 'unmould']
 */
export function afterPlan(ctx: PlanContext, state: RunState, pouredAt: string): AfterPlan {
  const { document, onScale, library } = ctx
  const { method } = document
  const measured = {
    ...document,
    method: {
      ...method,
      lyeC: celsiusAtCombine(state, 'lye') ?? method.lyeC,
      oilsC: celsiusAtCombine(state, 'oils') ?? method.oilsC,
    },
  }
  return afterPlanOf(measured, onScale.result, library, pouredAt, stageAtPour(state))
}

/**
 * The same for a batch that was made without the bench, from what its formula says.
 * @param pouredAt instant of the pour
 * @param stage of the batter when it was poured; null where nobody marked
 * @example afterPlanOf(example, made, shipped, '2026-03-01T11:00:00Z').after.unmould // { from: 25, to: 49 }
 */
export function afterPlanOf(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  pouredAt: string,
  stage: BatterStage | null = null,
): AfterPlan {
  const mixC = mixingC(document, result)
  const gelOf = (of: FormulaResult, gel = document.method.gel) =>
    gelForecast({ ...document, method: { ...document.method, gel } }, of, mixC + beforePour)
  const forecast = gelOf(result)
  // Water has a factor of its own there.
  const firm = traitOf('firmAtCut', { ...makeupOf(result, library), water: usualWater })
  const after = afterPour(document, result, library, forecast, { firm, mixC, stage })
  const at = (hours: number) => new Date(Date.parse(pouredAt) + hours * 3_600_000).toISOString()
  const moment = (kind: Check['kind'], hours: number | null, to = hours): Check[] =>
    hours === null || to === null ? [] : [{ kind, from: at(hours), to: at(to) }]
  return {
    forecast,
    pots: result.parts.map((part) => ({ name: part.name, forecast: gelOf(part.result) })),
    otherwise:
      document.method.gel === 'leave'
        ? { force: gelOf(result, 'force'), prevent: gelOf(result, 'prevent') }
        : null,
    after,
    checks: [
      ...moment('peek', after.peek),
      ...moment('unwrap', after.unwrap),
      ...moment('unmould', after.unmould.from, after.unmould.to),
    ],
  }
}
