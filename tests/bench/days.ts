import { planDay } from '#core/day/plan'
import { replan, type TaskState } from '#core/day/running'
import { problemOf } from '#core/day/tasks'
import { randomSource } from '#core/statistics/randomSource'
import { batchOnDay, brokenRules, daySolver, hands, onFrozenMilk, plenty } from '../support/day'

/* Six batches, two people: planned within ten seconds, with the gap told; the rest of a running day within two. */

const solver = await daySolver()
const batches = [
  batchOnDay(36),
  batchOnDay(37),
  batchOnDay(38, { water: { held: 'ratio', value: 1.6 } }),
  batchOnDay(39, onFrozenMilk),
  batchOnDay(40, { size: { by: 'oils', grams: 2500 } }),
  batchOnDay(41, { water: { held: 'ratio', value: 1.9 } }),
]
const people = hands(null, null)
const line = (name: string, value: string, within: boolean) =>
  console.log(`${name.padEnd(52)} ${value.padEnd(34)} ${within ? 'within' : 'OVER'}`)

for (const blenders of [1, 2])
  for (const wish of ['shortest', 'calm'] as const) {
    const things = { ...plenty, blenders }
    const since = performance.now()
    const plan = planDay({ batches, people, things }, wish, {
      solver,
      seconds: 6.5,
      random: randomSource(7),
    })!
    const seconds = (performance.now() - since) / 1000
    line(
      `six batches, ${blenders} blender(s), ${wish}`,
      `${seconds.toFixed(1)} s (limit 10), ${plan.end} min, at best ${plan.bound}`,
      seconds < 10,
    )
    const problem = problemOf(batches, people, things, plan.together)
    const broken = brokenRules(problem, plan.placed)
    if (broken.length) console.log(broken)
    const states = new Map<string, TaskState>(
      plan.placed.map(({ task, at, to, person }) => [
        task,
        {
          begunAt: at <= 60 ? at + 7 : null,
          endedAt: to <= 60 ? to + 7 : null,
          by: at <= 60 ? person : null,
          open: [],
        },
      ]),
    )
    const then = performance.now()
    const rest = replan(problem, plan.placed, states, 70, solver, randomSource(7))
    const took = (performance.now() - then) / 1000
    line(
      '  the rest of it, ten minutes late at minute 70',
      `${took.toFixed(1)} s (limit 2), ${rest?.end ?? '-'} min`,
      took < 2,
    )
  }
