import type { Reached } from '#contracts/trial'
import type { TrialStage } from '#contracts/trialWords'
import { stagesInOrder } from './clocks'

/** A stretch of a pot's own time in which it was at one stage. */
export interface Stretch {
  stage: TrialStage
  from: number
  to: number
}

/** Minutes that a pot is drawn on past pouring, where nobody watches it any more. */
const tail = 1.1

/**
 * From when to when a pot was at each stage, in minutes from its zero: what is drawn as a rim or a ribbon. It ends a little after past
 * pouring, or where it was last watched.
 * @param stages when it first reached each
 * @param watched minutes from its zero until which it was watched
 * @example stretchesOf({ light: { minutes: 2, unsure: false } }, 10)
 *   // [{ stage: 'emulsion', from: 0, to: 2 }, { stage: 'light', from: 2, to: 10 }]
 */
export function stretchesOf(
  stages: Partial<Record<TrialStage, Reached>>,
  watched: number,
): Stretch[] {
  const reached = stagesInOrder.flatMap((stage) => {
    const at = stage === 'emulsion' ? 0 : stages[stage]?.minutes
    return at === undefined ? [] : [{ stage, at }]
  })
  const stiff = stages['too-far']?.minutes
  const end = stiff === undefined ? watched : stiff + tail
  return reached.flatMap(({ stage, at }, nth) => {
    const to = Math.min(end, reached[nth + 1]?.at ?? end)
    return to > at ? [{ stage, from: at, to }] : []
  })
}
