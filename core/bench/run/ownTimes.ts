import type { BatterStage } from '#contracts/benchWords'
import type { RunEvent } from '#contracts/run'
import { median } from '../../statistics/quantile'
import { stages } from './batter'
import { at as stepId } from '../plan/context'
import { standingRunEvents } from './run'

/** When a batter reaches each stage, minutes after the lye, and how many batches of its own that rests on. */
export interface UsualTimes {
  minutes: Record<BatterStage, number>
  /** Batches of this formula that were marked at the bench; 0 while the model alone speaks. */
  batches: number
}

/** Minutes from the lye to each stage of one run, the first mark of each pot. */
function marksOf(events: readonly RunEvent[]): { stage: BatterStage; minutes: number }[] {
  const done = new Map<string, number>()
  const seen = new Set<string>()
  return standingRunEvents(events).flatMap((event) => {
    const at = Date.parse(event.at)
    if (event.kind === 'done') done.set(event.step, at)
    if (event.kind !== 'marked') return []
    const since = done.get(stepId('combine', event.pot)) ?? done.get('combine')
    const key = `${event.pot} ${event.stage}`
    if (since === undefined || at <= since || seen.has(key)) return []
    seen.add(key)
    return [{ stage: event.stage, minutes: (at - since) / 60_000 }]
  })
}

/**
 * The usual times of a formula: the median of what earlier batches of it took; stages that nobody marked yet as the model has
 * them, stretched as the marked ones are.
 * @param model minutes by stage, each above 0
 * @param runs events of earlier runs of the same formula, each in order
 */
export function usualTimes(
  model: Record<BatterStage, number>,
  runs: readonly (readonly RunEvent[])[],
): UsualTimes {
  const marked = runs.map(marksOf).filter((marks) => marks.length)
  const own = new Map(
    stages.flatMap(({ id: stage }): [BatterStage, number][] => {
      const seen = marked.flatMap((marks) => marks.filter((mark) => mark.stage === stage))
      return seen.length ? [[stage, median(seen.map(({ minutes }) => minutes))]] : []
    }),
  )
  const stretch = own.size ? median([...own].map(([stage, minutes]) => minutes / model[stage])) : 1
  const minutes = { ...model }
  let before = 0
  for (const { id: stage } of stages) {
    // A stage never comes before the one it follows, whatever the stretch says.
    before = Math.max(before, own.get(stage) ?? model[stage] * stretch)
    minutes[stage] = before
  }
  return { minutes, batches: marked.length }
}
