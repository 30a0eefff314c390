import type { BatchSummary } from '#contracts/batch'
import { addDays, daysBetween, type Day } from '../units/days'
import { standingEvents, standingOf } from './standing'

/** One thing to do or to look forward to. `on` may lie in the past: then it is late. */
export interface Due {
  batchId: string
  kind: 'pour' | 'peek' | 'unwrap' | 'cut' | 'ready'
  on: Day
  /** Instants between which it is best done, where the bench worked them out. */
  between: { from: string; to: string } | null
}

/** A loaf that was poured without the bench is looked at on the day after. */
const unmouldAfter = 1

/** What the pour says of looking, unwrapping and unmoulding, less what has been done. */
function afterPour(batch: BatchSummary, pouredOn: Day, dayOf: (instant: string) => Day): Due[] {
  const events = standingEvents(batch.events)
  const poured = events.findLast(({ kind }) => kind === 'poured')
  const checks = poured?.kind === 'poured' ? (poured.checks ?? []) : []
  const done = new Set(events.flatMap((event) => (event.kind === 'checked' ? [event.check] : [])))
  const due = checks.flatMap((check): Due[] => {
    const { kind, from, to } = check
    if (kind !== 'unmould' && done.has(kind)) return []
    return [
      {
        batchId: batch.id,
        kind: kind === 'unmould' ? 'cut' : kind,
        on: dayOf(from),
        between: { from, to },
      },
    ]
  })
  return due.some(({ kind }) => kind === 'cut')
    ? due
    : [{ batchId: batch.id, kind: 'cut', on: addDays(pouredOn, unmouldAfter), between: null }]
}

/**
 * What is due today (late things included) and in the six days after.
 * @param today in the workshop's time zone
 * @param dayOf the day of an instant, in the same zone
 */
export function dueOf(
  batches: BatchSummary[],
  today: Day,
  dayOf: (instant: string) => Day = (instant) => instant.slice(0, 10),
): { today: Due[]; week: Due[] } {
  const all = batches.flatMap((batch): Due[] => {
    const standing = standingOf(batch, today)
    const one = (kind: Due['kind'], on: Day): Due[] => [
      { batchId: batch.id, kind, on, between: null },
    ]
    if (standing.stage === 'left') return []
    if (!standing.pouredOn) return one('pour', today)
    if (!standing.cutOn) return afterPour(batch, standing.pouredOn, dayOf)
    const toGo = daysBetween(today, standing.readyOn!)
    return toGo >= 0 && toGo < 7 ? one('ready', standing.readyOn!) : []
  })
  const momentOf = ({ on, between }: Due) => between?.from ?? on
  all.sort((a, b) => momentOf(a).localeCompare(momentOf(b)))
  return {
    today: all.filter((due) => due.on <= today),
    week: all.filter((due) => due.on > today && daysBetween(today, due.on) < 7),
  }
}
