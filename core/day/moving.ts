import type { DayProblem, Placed } from './problem'
import {
  indexed,
  linesOf,
  nothingFixed,
  placedOf,
  slideOf,
  timesOf,
  waitsIn,
  type Timed,
} from './times'

const startsOf = ({ tasks }: DayProblem, placed: readonly Placed[]): number[] => {
  const at = new Map(placed.map((one) => [one.task, one.at]))
  return tasks.map(({ id }) => at.get(id) ?? 0)
}

/**
 * The minutes between which a task of a plan may begin: others give way as far as they can, nobody comes home later than `end`.
 * @example mayBegin(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }], 'a', 20) // { from: 0, to: 5 }
 */
export function mayBegin(
  problem: DayProblem,
  placed: readonly Placed[],
  task: string,
  end: number,
): { from: number; to: number } | null {
  const place = problem.tasks.findIndex(({ id }) => id === task)
  return place < 0 ? null : slideOf(indexed(problem), linesOf(problem, placed), place, end)
}

/**
 * A plan with a task at another minute, all others in their order: those that are in the way give way, the rest stay where they are.
 * Null where it cannot be.
 * @example movedTo(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }], 'a', 3)[1].at // 8
 */
export function movedTo(
  problem: DayProblem,
  placed: readonly Placed[],
  task: string,
  at: number,
): Placed[] | null {
  const place = problem.tasks.findIndex(({ id }) => id === task)
  if (place < 0) return null
  const own = indexed(problem)
  const starts = startsOf(problem, placed)
  const lines = linesOf(problem, placed)
  const waits = waitsIn(own, placed)
  const earlier = at < starts[place]!
  // Earlier: whatever stands in the way goes to where it could be at the earliest; later: all stay unless they are pushed.
  const notBefore = new Map(
    starts.flatMap((minute, nth): [number, number][] =>
      nth === place ? [[nth, at]] : earlier && minute <= starts[place]! ? [] : [[nth, minute]],
    ),
  )
  const timed = timesOf(own, lines, { ...nothingFixed, notBefore }, waits)
  return timed && Math.abs(timed.at[place]! - at) < 1e-9 && timed.over <= 0
    ? placedOf(problem, timed)
    : null
}

/**
 * A plan with a task in other hands, wherever in their line the day is over soonest. Null where it cannot be.
 * @example givenTo(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }], 'a', 0)[0].task // 'a'
 */
export function givenTo(
  problem: DayProblem,
  placed: readonly Placed[],
  task: string,
  person: number,
): Placed[] | null {
  const place = problem.tasks.findIndex(({ id }) => id === task)
  if (place < 0 || !problem.people[person]) return null
  const own = indexed(problem)
  const lines = linesOf(problem, placed).map((line) => line.filter((one) => one !== place))
  const was = startsOf(problem, placed)[place]!
  let best: Timed | null = null
  for (let nth = 0; nth <= lines[person]!.length; nth++) {
    const tried = lines.map((line, one) => (one === person ? line.toSpliced(nth, 0, place) : line))
    const timed = timesOf(own, tried)
    if (!timed || timed.over > 0) continue
    const away = (of: Timed) => Math.abs(of.at[place]! - was)
    if (!best || timed.end < best.end || (timed.end === best.end && away(timed) < away(best)))
      best = timed
  }
  return best ? placedOf(problem, best) : null
}
