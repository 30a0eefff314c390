import type { MakingDay } from '#contracts/day'
import { median } from '../statistics/quantile'
import { minutesFor, type DayPerson, type DayProblem, type Placed } from './problem'
import type { TaskState } from './running'

/** What a piece of work took somebody, beside what it usually takes. */
export type Came = MakingDay['came'][number]

/** Pieces of work of a kind from which own minutes take the place of the usual ones, and how soon they count in full (judgement). */
const from = 3
/** What takes longer than this, as a factor, was interrupted: it says nothing of the work. */
const interrupted = 4

/**
 * How many of the usual minutes each kind of work takes a person, by earlier days: the median of what it took, drawn towards the usual
 * minutes while there are few of them.
 * @example paceOfPerson([], 'Idris') // {}
 */
export function paceOfPerson(came: readonly Came[], who: string): DayPerson['pace'] {
  const own = came.filter(
    (one) => one.who === who && one.usual > 0 && one.took / one.usual <= interrupted,
  )
  const pace: DayPerson['pace'] = {}
  for (const work of new Set(own.map((one) => one.work))) {
    const all = own.filter((one) => one.work === work)
    if (all.length < from) continue
    const by = median(all.map(({ took, usual }) => Math.log(Math.max(0.1, took / usual))))
    pace[work] = Math.exp((all.length / (all.length + from)) * by)
  }
  return pace
}

/**
 * What each piece of a day's work took: minutes from when somebody took it up to its last step, of those that are over. Fats that stand
 * on the plate take nobody's minutes.
 * @example cameOf(twoTasks, [], new Map([['a', { begunAt: 3, endedAt: 9, by: 0, open: [] }]]))[0].took // 6
 */
export function cameOf(
  problem: DayProblem,
  placed: readonly Placed[],
  states: ReadonlyMap<string, TaskState>,
): Came[] {
  const planned = new Map(placed.map((one) => [one.task, one]))
  return problem.tasks.flatMap((task): Came[] => {
    const state = states.get(task.id)
    const person = state?.by ?? planned.get(task.id)?.person
    if (!state || state.begunAt === null || state.endedAt === null || person === undefined)
      return []
    // Beside the minutes that anybody takes: what a person learns is told against the same measure every day.
    const usual = minutesFor({ people: [] }, task, person)
    return [
      {
        task: task.id,
        work: task.kind,
        who: problem.people[person]!.name,
        usual,
        took: Math.round((state.endedAt - state.begunAt) * 10) / 10,
      },
    ]
  })
}
