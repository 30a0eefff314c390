import type { DayWish } from '#contracts/dayWords'
import type { RandomSource } from '../statistics/randomSource'
import type { DayBatch } from './batchOfDay'
import { planDay, type DayPlan, type DaySubject } from './plan'
import type { DayProblem, Placed } from './problem'
import { problemOf } from './tasks'

/** Why a day does not fit: a thing that is wanted twice at once, hands, or the hours. */
export interface Clash {
  of: 'thing' | 'hands' | 'hours'
  /** What is wanted twice; empty where it is hands or hours. */
  thing: string
  /** The batches that want it at once. */
  batches: string[]
  /** Minutes for which they want it at once; minutes that are missing where it is hands or hours. */
  minutes: number
  /** The day as it would be with one more of it, to be drawn. */
  wanted: DayPlan
}

/** A way out, as a whole day. */
export interface WayOut {
  of: 'earlier' | 'leave'
  /** Minutes that everything begins earlier; 0 where a batch is left out. */
  earlier: number
  /** The batch that is left for another day. */
  without: string | null
  plan: DayPlan
}

/** Tries for each way out. */
const tries = 600
const step = 5
/** Minutes that a day may begin earlier at most. */
const earliest = 150

/** Two holds of a thing that lie over each other, and for how long: the worst of them. */
function overlapOf(problem: DayProblem, placed: readonly Placed[], thing: string) {
  const of = new Map(placed.map((one) => [one.task, one]))
  const batchesOf = (id: string) => problem.tasks.find((task) => task.id === id)!.batches
  const holds = problem.holds
    .filter((hold) => hold.thing === thing)
    .map(({ from, to, more }) => ({
      batches: batchesOf(from),
      from: of.get(from)!.at,
      to: of.get(to)!.to + more,
    }))
  let worst = { minutes: 0, batches: [] as string[] }
  holds.forEach((one, nth) =>
    holds.slice(nth + 1).forEach((other) => {
      const minutes = Math.min(one.to, other.to) - Math.max(one.from, other.from)
      if (minutes > worst.minutes)
        worst = { minutes, batches: [...new Set([...one.batches, ...other.batches])] }
    }),
  )
  return worst
}

/** A day planned by trying alone, quickly: many are looked at. */
const quickly = (subject: DaySubject, wish: DayWish, random: RandomSource): DayPlan | null =>
  planDay(subject, wish, { solver: null, seconds: 0, random, tries })

/**
 * Why a day does not fit: what one more of would make it fit.
 * @param plan the best that was found, with minutes over
 * @example clashOf({ batches: [], people: twoTasks.people, things: dayThings }, { end: 0, over: 4 }, 'shortest', random).minutes // 4
 */
export function clashOf(
  subject: DaySubject,
  plan: DayPlan,
  wish: DayWish,
  random: RandomSource,
): Clash {
  const { things, batches, people } = subject
  const names = {
    ice: 'iceBaths',
    plate: 'plates',
    blender: 'blenders',
    scale: 'scales',
    'warm place': 'warmPlaces',
    'cool place': 'coolPlaces',
    thermometer: 'thermometers',
  } as const
  for (const [thing, key] of Object.entries(names)) {
    const more = quickly(
      { ...subject, things: { ...things, [key]: things[key] + 1 } },
      wish,
      random,
    )
    if (!more || more.over > 0) continue
    const problem = problemOf(batches, people, things, more.together)
    const { minutes, batches: both } = overlapOf(problem, more.placed, thing)
    if (minutes > 0) return { of: 'thing', thing, batches: both, minutes, wanted: more }
  }
  const longest = people.reduce((a, b) => ((b.until ?? Infinity) > (a.until ?? Infinity) ? b : a))
  const by = (hands: DaySubject['people']) => quickly({ ...subject, people: hands }, wish, random)
  const helped = by([...people, { ...longest, name: '', pace: {} }])
  const open = by(people.map((one) => ({ ...one, until: null }))) ?? plan
  return {
    of: helped && helped.over <= 0 ? 'hands' : 'hours',
    thing: '',
    batches: batches.map(({ id }) => id),
    minutes: plan.over,
    wanted: open,
  }
}

/**
 * Ways out of a day that does not fit: begin earlier, or leave one batch. Each as a whole day that fits.
 * @param found the best that was found, with minutes over
 * @param mayLeave batches that may be left, those that are missed least first
 * @param mostEarlier minutes that the day may begin earlier at most
 * @example waysOut({ batches: [], people: twoTasks.people, things: dayThings }, { end: 90, over: 4 }, 'shortest', [], 60, random)[0].earlier
 *   // 5
 */
export function waysOut(
  subject: DaySubject,
  found: DayPlan,
  wish: DayWish,
  mayLeave: readonly DayBatch[],
  mostEarlier: number,
  random: RandomSource,
): WayOut[] {
  const ways: WayOut[] = []
  // Hours count from the beginning: the same day, begun earlier by what it is too long.
  const minutes = Math.ceil(found.over / step) * step
  if (minutes <= Math.min(earliest, mostEarlier))
    ways.push({ of: 'earlier', earlier: minutes, without: null, plan: { ...found, over: 0 } })
  for (const { id } of mayLeave) {
    if (subject.batches.length < 2) break
    const batches = subject.batches.filter((batch) => batch.id !== id)
    const plan = quickly({ ...subject, batches }, wish, random)
    if (!plan || plan.over > 0) continue
    ways.push({ of: 'leave', earlier: 0, without: id, plan })
    break
  }
  return ways
}
