import type { BatterStage } from '#contracts/benchWords'
import type { RunEvent } from '#contracts/run'
import { median } from '../../statistics/quantile'
import { stages } from './batter'
import { at as stepId } from '../plan/context'
import { standingEvents } from '../../units/standingEvents'

/** What the usual times of a batter rest on: the other pots made today, earlier batches of the formula, or the model alone. */
export type TimesFrom = 'today' | 'batches' | 'model'

/** When a batter reaches each stage, minutes after the lye. */
export interface UsualTimes {
  minutes: Record<BatterStage, number>
  from: TimesFrom
  /** Pots of today or batches that it rests on; 0 while the model alone speaks. */
  count: number
}

/** A stage that a pot was seen at: minutes from its lye. */
interface Seen {
  pot: number
  stage: BatterStage
  minutes: number
}

/** The first mark of each stage of each pot of one run; none that was seen to part afterwards. */
function seenIn(events: readonly RunEvent[]): Seen[] {
  const done = new Map<string, number>()
  const seen = new Map<string, Seen>()
  for (const event of standingEvents(events)) {
    const at = Date.parse(event.at)
    if (event.kind === 'done') done.set(event.step, at)
    if (event.kind === 'rescued' && event.how === 'weeps')
      for (const [key, { pot, stage }] of seen)
        if (pot === event.pot && stage !== 'cloudy') seen.delete(key)
    if (event.kind !== 'marked') continue
    const { pot, stage } = event
    const since = done.get(stepId('combine', pot)) ?? done.get('combine')
    const key = `${pot} ${stage}`
    if (since === undefined || at <= since || seen.has(key)) continue
    seen.set(key, { pot, stage, minutes: (at - since) / 60_000 })
  }
  return [...seen.values()]
}

/** Each pot that got as far as an emulsion. */
const potsOf = (seen: readonly Seen[]): number =>
  new Set(seen.filter(({ stage }) => stage !== 'cloudy').map(({ pot }) => pot)).size

/**
 * The usual times of a pot: by the other pots of today where there are any, else by earlier batches of the formula (this pot of them
 * where it was marked), else by the model. Stages that nobody marked are stretched as the marked ones are.
 * @param models minutes by stage of each pot, each above 0: pots differ in water and scent, and are compared by how much sooner or
 * later they came than theirs
 * @param today events of this run
 * @param runs events of earlier runs of the same formula, each in order
 * @example usualTimes([{ cloudy: 1, emulsion: 3, light: 8, medium: 12, thick: 18, 'too-far': 25 }], 0, [], []).from // 'model'
 */
export function usualTimes(
  models: readonly Record<BatterStage, number>[],
  pot: number,
  today: readonly RunEvent[],
  runs: readonly (readonly RunEvent[])[],
): UsualTimes {
  const model = models[pot]!
  const modelOf = (one: number) => models[one] ?? model
  const others = seenIn(today).filter((one) => one.pot !== pot)
  const marked = runs.map(seenIn).filter((seen) => seen.length)
  const earlier = marked.flat()
  const own = earlier.filter((one) => one.pot === pot)
  const from: TimesFrom = potsOf(others) ? 'today' : earlier.length ? 'batches' : 'model'
  const told = from === 'today' ? others : own.length ? own : earlier
  const ratios = new Map(
    stages.flatMap(({ id }): [BatterStage, number][] => {
      const seen = told.filter(({ stage }) => stage === id)
      const ratio = (one: Seen) => one.minutes / modelOf(one.pot)[id]
      return seen.length ? [[id, median(seen.map(ratio))]] : []
    }),
  )
  const stretch = ratios.size ? median(ratios.values()) : 1
  const minutes = { ...model }
  let before = 0
  for (const { id } of stages) {
    // A stage never comes before the one it follows, whatever the stretch says.
    before = Math.max(before, model[id] * (ratios.get(id) ?? stretch))
    minutes[id] = before
  }
  return { minutes, from, count: { today: potsOf(others), batches: marked.length, model: 0 }[from] }
}
