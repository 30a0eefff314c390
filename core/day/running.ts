import type { RandomSource } from '../statistics/randomSource'
import { isDone, type RunState } from '../bench/run/run'
import type { DayProblem, DayTask, Lines, Placed } from './problem'
import { solved, type DaySolver } from './programme'
import { search } from './search'
import { indexed, linesOf, placedOf, timesOf, waitsIn, type Fixed, type Timed } from './times'

/** A run as the day looks at it. */
export interface DayRun {
  state: RunState
  /** Minutes from the day's beginning at which the run's own clock begins. */
  begins: number
}

/** A task that somebody took up. Minutes from the day's beginning. */
export interface Took {
  task: string
  person: number
  at: number
}

/** Where a task stands. */
export interface TaskState {
  begunAt: number | null
  endedAt: number | null
  by: number | null
  /** The steps of it that are still to be done. */
  open: DayTask['steps']
}

/** Kind and batch numbers of a task, by its id. */
function readId(id: string): { kind: string; numbers: string[] } {
  const [kind = '', numbers = ''] = id.split(':')
  return { kind, numbers: numbers.split('+') }
}

/** Whether a task that was planned or taken up is this one, or this one is what is left of it when a batch was left out. */
function isSame(before: string, { id }: Pick<DayTask, 'id'>): boolean {
  const [was, now] = [readId(before), readId(id)]
  return was.kind === now.kind && now.numbers.every((number) => was.numbers.includes(number))
}

/**
 * A plan of the tasks that there still are: what is left of a task when a batch was left out keeps its place.
 * @example stillPlanned({ tasks: [{ id: 'weigh:36' }] }, [{ task: 'weigh:36+37', person: 0, at: 3, to: 9 }]) // [{ task: 'weigh:36', person: 0, at: 3, to: 9 }]
 */
export function stillPlanned(
  { tasks }: { tasks: readonly Pick<DayTask, 'id'>[] },
  placed: readonly Placed[],
): Placed[] {
  const there = new Set(tasks.map(({ id }) => id))
  const named = new Set(placed.map(({ task }) => task))
  return placed.flatMap((one) => {
    if (there.has(one.task)) return [one]
    const rest = tasks.find((task) => !named.has(task.id) && isSame(one.task, task))
    return rest ? [{ ...one, task: rest.id }] : []
  })
}

/**
 * Where each task stands, by what its batches' runs say: begun when somebody took it up or did a step of it, over when its last step is
 * done; fats on the plate are over when they stand there.
 * @example standingOfTasks({ tasks: [] }, new Map(), []).size // 0
 */
export function standingOfTasks(
  { tasks }: Pick<DayProblem, 'tasks'>,
  runs: ReadonlyMap<string, DayRun>,
  took: readonly Took[],
): Map<string, TaskState> {
  return new Map(
    tasks.map((task): [string, TaskState] => {
      const doneOf = (steps: DayTask['steps']) =>
        steps.flatMap(({ batch, step }) => {
          const run = runs.get(batch)
          const at = run && isDone(run.state, step) ? run.state.steps.get(step)!.doneAt! : null
          return at === null ? [] : [at + run!.begins]
        })
      const done = doneOf(task.steps.filter(({ late }) => !late))
      const heated = task.batches.flatMap((batch) => {
        const run = runs.get(batch)
        return task.kind === 'fats-on' && run?.state.treated.oils.how === 'heat'
          ? [run.state.treated.oils.minutes + run.begins]
          : []
      })
      const taken = took.findLast((one) => isSame(one.task, task))
      const moments = [...(taken ? [taken.at] : []), ...done, ...heated]
      const open = task.steps.filter(({ batch, step }) => {
        const run = runs.get(batch)
        return !run || !isDone(run.state, step)
      })
      const over = heated.length > 0 || (task.steps.length > 0 && !open.length)
      return [
        task.id,
        {
          begunAt: moments.length ? Math.min(...moments) : null,
          endedAt: over ? Math.max(...(heated.length ? heated : doneOf(task.steps))) : null,
          by: taken?.person ?? null,
          open,
        },
      ]
    }),
  )
}

/** A day that runs, as it is foretold from now. */
export interface Running {
  placed: Placed[]
  end: number
  over: number
  /** Waits that can no longer be kept: what was made waits for longer than it should. By ids of tasks. */
  tooLong: { from: string; to: string; by: number }[]
}

/** The order as it has become: what was begun stands first, with whoever took it; the rest as it was planned. */
function linesNow(
  problem: DayProblem,
  placed: readonly Placed[],
  states: ReadonlyMap<string, TaskState>,
): Lines {
  const planned = linesOf(problem, placed)
  const begun = (task: number) => states.get(problem.tasks[task]!.id)!.begunAt
  const own = planned.map((line) => line.filter((task) => begun(task) === null))
  const first: Lines = problem.people.map(() => [])
  problem.tasks.forEach((task, nth) => {
    const { begunAt, by } = states.get(task.id)!
    if (begunAt === null) {
      if (!own.some((line) => line.includes(nth))) own[0]!.push(nth)
      return
    }
    const was = planned.findIndex((line) => line.includes(nth))
    first[by ?? Math.max(0, was)]!.push(nth)
  })
  return problem.people.map((_, person) => [
    ...first[person]!.sort((a, b) => begun(a)! - begun(b)!),
    ...own[person]!,
  ])
}

/** What was done, as what cannot be moved any more. */
function fixedBy(problem: DayProblem, states: ReadonlyMap<string, TaskState>, now: number): Fixed {
  const began = new Map<number, number>()
  const ended = new Map<number, number>()
  problem.tasks.forEach(({ id }, nth) => {
    const { begunAt, endedAt } = states.get(id)!
    if (begunAt !== null) began.set(nth, begunAt)
    if (endedAt !== null) ended.set(nth, endedAt)
  })
  return { began, ended, now, notBefore: new Map() }
}

const runningBy = (problem: DayProblem, timed: Timed): Running => {
  const place = new Map(problem.tasks.map(({ id }, nth) => [id, nth]))
  return {
    placed: placedOf(problem, timed),
    end: timed.end,
    over: timed.over,
    tooLong: problem.lags.flatMap(({ from, to, most }) => {
      if (most === null) return []
      const by = timed.at[place.get(to)!]! - timed.to[place.get(from)!]! - most
      return by > 0.5 ? [{ from, to, by }] : []
    }),
  }
}

/**
 * The rest of a day that runs: everyone goes on in the order of the plan, as soon as can be. The same events give the same on every
 * tablet. Null where the order cannot be kept any more.
 * @param now minutes from the day's beginning
 * @example follow(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }], new Map([['a', { begunAt: 4, endedAt: null, by: 0, open: [] }], ['b', { begunAt: null, endedAt: null, by: null, open: [] }]]), 6).end
 *   // 19
 */
export function follow(
  problem: DayProblem,
  placed: readonly Placed[],
  states: ReadonlyMap<string, TaskState>,
  now: number,
): Running | null {
  const lines = linesNow(problem, placed, states)
  const fixed = fixedBy(problem, states, now)
  const own = indexed(problem)
  const waits = waitsIn(own, placed, now)
  // As it was planned; else whoever comes first has a thing first; else something waits too long, and that is said.
  const timed =
    timesOf(own, lines, fixed, waits) ??
    timesOf(own, lines, fixed) ??
    timesOf(own, lines, { ...fixed, loose: true }, waits) ??
    timesOf(own, lines, { ...fixed, loose: true })
  return timed ? runningBy(problem, timed) : null
}

/** Changes that are tried for the rest of a day, and s that the solver may take: an answer within two seconds. */
export const replanTries = 1200
const replanSeconds = 1

/**
 * The rest of a day planned anew: what was begun stays, the rest in the best order from now.
 * @returns null where no order can be kept at all
 * @example replan(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }], new Map([['a', { begunAt: 0, endedAt: 5, by: 0, open: [] }], ['b', { begunAt: null, endedAt: null, by: null, open: [] }]]), 8, null, random).end
 *   // 18
 */
export function replan(
  problem: DayProblem,
  placed: readonly Placed[],
  states: ReadonlyMap<string, TaskState>,
  now: number,
  solver: DaySolver | null,
  random: RandomSource,
): Running | null {
  const fixed = fixedBy(problem, states, now)
  const from = linesNow(problem, placed, states)
  const found =
    search(problem, replanTries, random, { from, fixed }) ??
    search(problem, replanTries, random, { from, fixed: { ...fixed, loose: true } })
  if (!found) return null
  const best = solver ? solved(problem, found, solver, replanSeconds, fixed) : found
  return runningBy(problem, best.timed)
}

/** By how much the pours of a day moved. */
export interface Moved {
  batch: string
  /** Minutes later; earlier below 0. */
  by: number
}

/**
 * What moved between two plans: every pour that comes at another minute, by how much, in the order of the day.
 * @example movedBetween({ tasks: [{ id: 'batter:36', kind: 'batter', batches: ['a'] }] }, [{ task: 'batter:36', person: 0, at: 60, to: 75 }], [{ task: 'batter:36', person: 0, at: 68, to: 83 }])
 *   // [{ batch: 'a', by: 8 }]
 */
export function movedBetween(
  { tasks }: { tasks: readonly Pick<DayTask, 'id' | 'kind' | 'batches'>[] },
  before: readonly Placed[],
  after: readonly Placed[],
): Moved[] {
  const was = new Map(before.map((one) => [one.task, one.at]))
  return after.flatMap(({ task, at }) => {
    const own = tasks.find(({ id }) => id === task)
    const then = was.get(task)
    if (own?.kind !== 'batter' || then === undefined) return []
    const by = Math.round(at - then)
    return by === 0 ? [] : [{ batch: own.batches[0]!, by }]
  })
}
