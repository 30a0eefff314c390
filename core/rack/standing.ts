import type { BatchSummary } from '#contracts/batch'
import { addDays, daysBetween, type Day } from '../units/days'

/** Where a batch stands, from the lowest plank up. */
export type RackStage = 'planned' | 'first-days' | 'drying' | 'last-weeks' | 'ready' | 'left'

/**
 * Whether bars stand on the racks and are not ready yet.
 * @example isDrying({ stage: 'made' }) // false
 */
export const isDrying = ({ stage }: Pick<Standing, 'stage'>): boolean =>
  stage === 'first-days' || stage === 'drying' || stage === 'last-weeks'

export interface Standing {
  stage: RackStage
  pouredOn: Day | null
  cutOn: Day | null
  leftOn: Day | null
  spoiled: boolean
  /** Bars that are still there; as planned until it is cut. */
  bars: number
  /** Days since the pour; 0 on the day itself. */
  day: number
  /** When the maker's rule says so, when the bars are dry by weight where some were weighed often enough, and the later of the two. */
  curedOn: Day | null
  dryOn: Day | null
  readyOn: Day | null
  /** Which of the two clocks decides. */
  by: 'calendar' | 'weight'
}

export type KnownBatch = Pick<BatchSummary, 'facts' | 'cure'>

/** Fresh soap is still caustic: it stays on the lowest plank this many days, and until it is cut. */
const firstDays = 3
/** The plank below the mantle: the last fortnight, or the last third of a short cure. */
const lastDays = 14

/** Days that a bar dries which was melted again. Makers' custom. */
export const remeltDays = 28

/** Days at the scale from which weight may decide. */
const decidesAfter = 3

/**
 * What is known of a batch on a given day.
 * @example standingOf(cut, '2026-03-15').stage // 'drying'
 */
export function standingOf({ facts, cure }: KnownBatch, today: Day): Standing {
  const { pouredOn, cutOn, leftOn, spoiled, drying } = facts
  const { remeltedOn = null } = facts
  // Melted again it dries anew.
  const curedOn = remeltedOn
    ? addDays(remeltedOn, remeltDays)
    : pouredOn && addDays(pouredOn, cure.days)
  // Before bars were weighed some times drying is known to within months only: the calendar decides.
  const dryOn = drying && drying.times >= decidesAfter ? drying.dryOn : null
  const dryIsLater = curedOn !== null && dryOn !== null && dryOn > curedOn
  const readyOn = dryIsLater ? dryOn : curedOn
  const day = pouredOn ? daysBetween(pouredOn, today) : 0
  const bars = Math.max(0, facts.bars - facts.out)
  const gone = leftOn !== null || (cutOn !== null && bars === 0)
  const toGo = readyOn === null ? 0 : daysBetween(today, readyOn)
  const whole = pouredOn && readyOn ? daysBetween(pouredOn, readyOn) : 0
  const stageNow = (): RackStage => {
    if (gone) return 'left'
    if (!pouredOn || !readyOn) return 'planned'
    if (!cutOn || day < firstDays) return 'first-days'
    if (toGo <= 0) return 'ready'
    return toGo <= Math.min(lastDays, whole / 3) ? 'last-weeks' : 'drying'
  }
  return {
    stage: stageNow(),
    pouredOn,
    cutOn,
    leftOn,
    spoiled,
    bars,
    day,
    curedOn,
    dryOn,
    readyOn,
    by: dryIsLater ? 'weight' : 'calendar',
  }
}
