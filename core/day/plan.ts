import type { DayWish } from '#contracts/dayWords'
import type { RandomSource } from '../statistics/randomSource'
import { sum, sumOf } from '../statistics/sum'
import { sharedLye, type DayBatch } from './batchOfDay'
import type { DayPerson, DayProblem, Placed } from './problem'
import { longestWays, solved, type DaySolver } from './programme'
import { isBetter, search, type Found } from './search'
import { problemOf, type DayThings, type Together } from './tasks'
import { indexed, placedOf } from './times'

/** All that a day is planned from. */
export interface DaySubject {
  batches: DayBatch[]
  people: DayPerson[]
  things: DayThings
}

/** A day as it is planned. Minutes from its beginning. */
export interface DayPlan {
  together: Together
  placed: Placed[]
  /** The minute at which all is done, washing up included. */
  end: number
  /** Minutes that somebody is kept beyond their hours; 0 where the day fits. */
  over: number
  /** The minute before which no plan can end; null where nobody knows. */
  bound: number | null
}

/** How many changes are tried for each way of putting work together. */
export const usualTries = 2400
/** Minutes of quiet before every pour that a calm day is planned with, the most first. */
const calm = [12, 10, 8, 6, 4, 2]
/** By how much longer a day may be to be calm (judgement). */
const calmCosts = 1.15

/**
 * The ways to put the work together: each for itself, or in rounds; lye in one jug where it may be.
 * @example waysTogether({ batches: [] }) // [{ lye: [], fats: [], quiet: 0 }]
 */
export function waysTogether({ batches }: Pick<DaySubject, 'batches'>, quiet = 0): Together[] {
  const shared = sharedLye(batches)
  const ids = batches.map(({ id }) => id)
  const half = Math.ceil(ids.length / 2)
  const rounds = [
    [],
    ...(ids.length > 1 ? [[ids]] : []),
    ...(ids.length > 3 ? [[ids.slice(0, half), ids.slice(half)]] : []),
  ]
  const lyes = shared.length ? [[], shared] : [[]]
  return lyes.flatMap((lye) => rounds.map((fats) => ({ lye, fats, quiet })))
}

interface Candidate extends Found {
  together: Together
  problem: DayProblem
}

function candidates(
  { batches, people, things }: DaySubject,
  quiet: number,
  tries: number,
  random: RandomSource,
): Candidate[] {
  return waysTogether({ batches }, quiet)
    .flatMap((together): Candidate[] => {
      const problem = problemOf(batches, people, things, together)
      const found = search(problem, tries, random)
      return found ? [{ ...found, together, problem }] : []
    })
    .sort((a, b) => (isBetter(a.timed, b.timed) ? -1 : isBetter(b.timed, a.timed) ? 1 : 0))
}

const planOf = ({ together, problem, timed }: Candidate, bound: number | null): DayPlan => ({
  together,
  placed: placedOf(problem, timed),
  end: timed.end,
  over: timed.over,
  bound,
})

/**
 * The least end of any plan of a problem: by what must follow on what, by the work there is for so many hands, by how long a thing of
 * which there are few is held. Quick, and seldom reached.
 * @example leastEnd(twoTasks) // 15
 */
export function leastEnd(problem: DayProblem): number {
  const { minutes, holds, scarce } = indexed(problem)
  const far = longestWays(problem)
  const least = minutes.map((of) => Math.min(...of))
  const begin = Math.min(...problem.people.map(({ from }) => from))
  const first = problem.tasks.map(({ quiet }) => begin + quiet)
  const at = first.map((_, b) => Math.max(...first.map((minute, a) => minute + far[a]![b]!)))
  const chain = Math.max(0, ...at.map((minute, task) => minute + least[task]!))
  const from = sumOf(problem.people, (person) => person.from)
  const hands = Math.ceil((sum(least) + from) / problem.people.length)
  const things = scarce.map(({ many, of }) => {
    const all = of.map((nth) => holds[nth]!)
    const long = ({ from: a, to: b, more }: (typeof all)[number]) => far[a]![b]! + least[b]! + more
    const tail = Math.max(0, ...all.map(({ more }) => more))
    return (
      Math.min(...all.map((hold) => at[hold.from]!)) + Math.ceil(sumOf(all, long) / many) - tail
    )
  })
  return Math.max(chain, hands, ...things)
}

/**
 * A day planned: tried in every way of putting work together, then bettered and judged by the solver, the likeliest way first.
 * @param solver null to try only
 * @param seconds that the solver may take in all
 * @param tell what was found so far, whenever that changes
 * @returns null where nothing at all could be found: two things contradict each other whatever the hours
 * @example planDay({ batches: [], people: [{ name: 'Idris', from: 3, until: null, pace: {} }], things: dayThings }, 'shortest', { solver: null, seconds: 0, random }).end
 *   // 0
 */
export function planDay(
  subject: DaySubject,
  wish: DayWish,
  {
    solver,
    seconds,
    random,
    tries = usualTries,
    tell,
  }: {
    solver: DaySolver | null
    seconds: number
    random: RandomSource
    tries?: number
    tell?: (plan: DayPlan) => void
  },
): DayPlan | null {
  let all = candidates(subject, 0, tries, random)
  const [shortest] = all
  if (!shortest) return null
  if (wish === 'calm' && shortest.timed.over <= 0)
    for (const quiet of calm) {
      const slower = candidates(subject, quiet, tries, random)
      const fits = slower.filter(
        ({ timed }) => timed.over <= 0 && timed.end <= shortest.timed.end * calmCosts,
      )
      if (!fits.length) continue
      all = fits
      break
    }
  let best = all[0]!
  const bounds = all.map(({ problem }) => leastEnd(problem))
  const bound = () => Math.min(...bounds, best.timed.end)
  tell?.(planOf(best, bound()))
  if (!solver) return planOf(best, bound())
  all.forEach((one, nth) => {
    if (one.timed.over > 0 || bounds[nth]! >= best.timed.end) return
    // The first gets half of what there is, and so does each after it of what is left.
    const share = nth === all.length - 1 ? 1 : 0.5
    const left = seconds * share
    seconds -= left
    const better = solved(one.problem, one, solver, left)
    bounds[nth] = Math.max(bounds[nth]!, better.bound ?? 0)
    if (isBetter(better.timed, best.timed)) best = { ...one, ...better }
    tell?.(planOf(best, bound()))
  })
  return planOf(best, bound())
}
