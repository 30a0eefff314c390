import type { Check } from '#contracts/batch'
import { traitsOf } from '../character/traits'
import { afterPour, gelForecast, type AfterPour, type GelForecast } from '../heat/gel'
import { celsiusAtCombine } from './batter'
import type { PlanContext } from './context'
import { mixingC } from './workingTime'
import type { RunState } from './run'

export interface AfterPlan {
  forecast: GelForecast
  after: AfterPour
  checks: Check[]
}

/** °C that the heat of the blender and of the first saponification add before the pour. */
const beforePour = 2

/**
 * The gel to expect and the checks that follow, from the temperatures at which the batch was really combined.
 * @param pouredAt instant of the pour
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
  const forecast = gelForecast(
    document,
    onScale.result,
    mixingC(measured, onScale.result) + beforePour,
  )
  const firm = traitsOf(onScale.result, library).firmAtCut
  const after = afterPour(document, onScale.result, forecast, firm)
  const at = (hours: number) => new Date(Date.parse(pouredAt) + hours * 3_600_000).toISOString()
  const moment = (kind: Check['kind'], hours: number | null, to = hours): Check[] =>
    hours === null || to === null ? [] : [{ kind, from: at(hours), to: at(to) }]
  return {
    forecast,
    after,
    checks: [
      ...moment('peek', after.peek),
      ...moment('unwrap', after.unwrap),
      ...moment('unmould', after.unmould.from, after.unmould.to),
    ],
  }
}
