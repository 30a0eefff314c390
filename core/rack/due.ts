import type { BatchSummary } from '#contracts/batch'
import { addDays, daysBetween, type Day } from '../units/days'
import { standingOf } from './standing'

/** One thing to do or to look forward to. `by` may lie in the past: then it is late. */
export interface Due {
  batchId: string
  kind: 'pour' | 'cut' | 'ready'
  on: Day
}

/** A loaf is looked at on the day after the pour; unmoulding windows by formula come with the bench. */
const unmouldAfter = 1

/**
 * What is due today (late things included) and in the six days after.
 * @param today in the workshop's time zone
 */
export function dueOf(batches: BatchSummary[], today: Day): { today: Due[]; week: Due[] } {
  const all = batches.flatMap((batch): Due[] => {
    const standing = standingOf(batch, today)
    const one = (kind: Due['kind'], on: Day): Due[] => [{ batchId: batch.id, kind, on }]
    if (standing.stage === 'left') return []
    if (!standing.pouredOn) return one('pour', today)
    if (!standing.cutOn) return one('cut', addDays(standing.pouredOn, unmouldAfter))
    const toGo = daysBetween(today, standing.readyOn!)
    return toGo >= 0 && toGo < 7 ? one('ready', standing.readyOn!) : []
  })
  all.sort((a, b) => a.on.localeCompare(b.on))
  return {
    today: all.filter((due) => due.on <= today),
    week: all.filter((due) => due.on > today && daysBetween(today, due.on) < 7),
  }
}
