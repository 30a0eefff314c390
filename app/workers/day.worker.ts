import { expose } from 'comlink'
import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import type { KeptDayPlan } from '#contracts/day'
import { dayBatch, type DayBatchSource } from '#core/day/batchOfDay'
import { clashOf, waysOut, type Clash, type WayOut } from '#core/day/fits'
import { solverBy } from '#core/day/highs'
import type { DayWish } from '#contracts/dayWords'
import { planDay, type DayPlan, type DaySubject } from '#core/day/plan'
import type { DayPerson } from '#core/day/problem'
import type { DaySolver } from '#core/day/programme'
import { replan, type Running, type TaskState } from '#core/day/running'
import { problemOf, type DayThings } from '#core/day/tasks'
import { randomSource } from '#core/statistics/randomSource'
import { formatter } from '#core/units/formatter'

/** A day as it is sent to the worker: plain data. */
export interface SentDay {
  batches: DayBatchSource[]
  people: DayPerson[]
  things: DayThings
}

/** s that the solver takes at most: with what is tried before it, ten in all. */
const seconds = 6.5

/** Changes tried for what a day would be otherwise: the wishes beside the plan are to be there soon. */
const quickTries = 800

let loading: Promise<DaySolver> | undefined
const solver = () => (loading ??= loadHighs({ locateFile: () => wasm }).then(solverBy))

/** Words of steps do not matter here: the plan is only timed. */
const say = formatter()
const subjectOf = ({ batches, people, things }: SentDay): DaySubject => ({
  batches: batches.map((source) => dayBatch(source, say)),
  people,
  things,
})

const api = {
  /** Plans a day; what was found so far is told as it comes. */
  async plan(sent: SentDay, wish: DayWish, tell: (plan: DayPlan) => void): Promise<DayPlan | null> {
    return planDay(subjectOf(sent), wish, {
      solver: await solver(),
      seconds,
      random: randomSource(7),
      tell,
    })
  },
  /** The same without the solver: good, and nothing is said of how good. */
  quick: (sent: SentDay, wish: DayWish): DayPlan | null =>
    planDay(subjectOf(sent), wish, {
      solver: null,
      seconds: 0,
      random: randomSource(7),
      tries: quickTries,
    }),
  /** Why a day does not fit, and what would do. */
  unfit(
    sent: SentDay,
    plan: DayPlan,
    wish: DayWish,
    mayLeave: string[],
    mostEarlier: number,
  ): { clash: Clash; ways: WayOut[] } {
    const subject = subjectOf(sent)
    const leave = mayLeave.flatMap((id) => subject.batches.filter((batch) => batch.id === id))
    return {
      clash: clashOf(subject, plan, wish, randomSource(7)),
      ways: waysOut(subject, plan, wish, leave, mostEarlier, randomSource(7)),
    }
  },
  /** The rest of a day that runs. */
  async replan(
    sent: SentDay,
    kept: KeptDayPlan,
    states: Map<string, TaskState>,
    now: number,
  ): Promise<Running | null> {
    const { batches, people, things } = subjectOf(sent)
    const problem = problemOf(batches, people, things, kept.together)
    return replan(problem, kept.placed, states, now, await solver(), randomSource(7))
  },
}
export type DayWorker = typeof api
expose(api)
