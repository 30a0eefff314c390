import type { Batch } from '#contracts/batch'
import { addDays, daysBetween, type Day } from '../units/days'

/** Where a batch stands, from the lowest plank up. */
export type Stage = 'planned' | 'first-days' | 'drying' | 'last-weeks' | 'ready' | 'left'

export interface Standing {
  stage: Stage
  pouredOn: Day | null
  cutOn: Day | null
  leftOn: Day | null
  spoiled: boolean
  /** Bars as cut, or as planned until then. */
  bars: number
  /** Days since the pour; 0 on the day itself. */
  day: number
  readyOn: Day | null
}

type Told = Pick<Batch, 'events' | 'bars' | 'cure'>

/** Fresh soap is still caustic: it stays on the lowest plank this many days, and until it is cut. */
const firstDays = 3
/** The plank below the mantle: the last fortnight, or the last third of a short cure. */
const lastDays = 14

/** Events that still hold: those taken back, and the taking back itself, are left out. */
export function standingEvents(events: Batch['events']): Batch['events'] {
  const undone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.event] : [])))
  return events.filter((event) => event.kind !== 'undone' && !undone.has(event.id))
}

/** What a batch's events say of it on a given day. */
export function standingOf(batch: Told, today: Day): Standing {
  let pouredOn: Day | null = null
  let cutOn: Day | null = null
  let leftOn: Day | null = null
  let spoiled = false
  let { bars } = batch
  for (const event of standingEvents(batch.events)) {
    if (event.kind === 'poured') pouredOn = event.day
    if (event.kind === 'cut') [cutOn, bars] = [event.day, event.bars]
    if (event.kind === 'left') [leftOn, spoiled] = [event.day, event.why === 'spoiled']
  }
  const readyOn = pouredOn && addDays(pouredOn, batch.cure.days)
  const day = pouredOn ? daysBetween(pouredOn, today) : 0
  return {
    stage: stageOf({ pouredOn, cutOn, leftOn, readyOn, day, today, days: batch.cure.days }),
    pouredOn,
    cutOn,
    leftOn,
    spoiled,
    bars,
    day,
    readyOn,
  }
}

function stageOf(told: {
  pouredOn: Day | null
  cutOn: Day | null
  leftOn: Day | null
  readyOn: Day | null
  day: number
  today: Day
  days: number
}): Stage {
  if (told.leftOn) return 'left'
  if (!told.pouredOn || !told.readyOn) return 'planned'
  if (!told.cutOn || told.day < firstDays) return 'first-days'
  const toGo = daysBetween(told.today, told.readyOn)
  if (toGo <= 0) return 'ready'
  return toGo <= Math.min(lastDays, told.days / 3) ? 'last-weeks' : 'drying'
}
