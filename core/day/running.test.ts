import { beforeAll, describe, expect, it } from 'vitest'
import type { RunEvent } from '#contracts/run'
import { runOf } from '../bench/run/run'
import {
  batchOnDay,
  brokenRules,
  daySolver,
  hands,
  onFrozenMilk,
  plenty,
  randomDay,
} from '../../tests/support/day'
import { randomSource } from '../statistics/randomSource'
import { clashOf, waysOut } from './fits'
import { givenTo, mayBegin, movedTo } from './moving'
import { cameOf, paceOfPerson } from './pace'
import { planDay } from './plan'
import type { DayProblem, Placed } from './problem'
import type { DaySolver } from './programme'
import {
  follow,
  movedBetween,
  replan,
  standingOfTasks,
  type DayRun,
  type TaskState,
} from './running'
import { search } from './search'
import { problemOf } from './tasks'
import { placedOf } from './times'
import { gapsOf, mindOn, slackBefore, tightSpot } from './watch'

let solver: DaySolver
beforeAll(async () => {
  solver = await daySolver()
})

const untouched = (problem: DayProblem): Map<string, TaskState> =>
  new Map(
    problem.tasks.map(({ id, steps }) => [
      id,
      { begunAt: null, endedAt: null, by: null, open: steps },
    ]),
  )
/** As if everything up to a minute had gone as planned, so much later. */
function upTo(problem: DayProblem, placed: readonly Placed[], minute: number, late = 0) {
  const states = untouched(problem)
  for (const { task, person, at, to } of placed) {
    if (at + late > minute) continue
    const ended = to + late <= minute
    states.set(task, {
      begunAt: at + late,
      endedAt: ended ? to + late : null,
      by: person,
      open: [],
    })
  }
  return states
}
const days = Array.from({ length: 60 }, (_, seed) => {
  const problem = randomDay(seed + 1, { batches: 3, small: false })
  const found = search(problem, 400, randomSource(seed))
  return found ? [{ problem, placed: placedOf(problem, found.timed), end: found.timed.end }] : []
}).flat()

describe('a day that runs', () => {
  it('foretells the plan while nothing else has happened, and at any minute that went as planned', () => {
    for (const { problem, placed, end } of days)
      for (const minute of [0, 20, 45, 80]) {
        const running = follow(problem, placed, upTo(problem, placed, minute), minute)!
        expect(running.end).toBe(end)
        expect(running.placed).toEqual(placed)
        expect(running.tooLong).toEqual([])
      }
  })

  it('begun late, all of it moves by as much', () => {
    for (const { problem, placed, end } of days) {
      const first = Math.min(...placed.map(({ at }) => at))
      const running = follow(problem, placed, untouched(problem), first + 25)!
      expect(running.end).toBeLessThanOrEqual(end + 25)
      expect(Math.min(...running.placed.map(({ at }) => at))).toBe(first + 25)
      expect(brokenRules(problem, running.placed)).toEqual([])
    }
  })

  it('what was begun stays; what is open comes after now, in one pair of hands at a time', () => {
    for (const { problem, placed } of days) {
      const states = upTo(problem, placed, 40, 6)
      const running = follow(problem, placed, states, 46)
      if (!running) continue
      for (const one of running.placed) {
        const { begunAt, by } = states.get(one.task)!
        if (begunAt === null) expect(one.at).toBeGreaterThanOrEqual(46)
        else {
          expect(one.at).toBe(begunAt)
          expect(one.person).toBe(by)
        }
      }
      const lags = new Set(running.tooLong.map(({ from, to }) => `${to} ${from}`))
      const wrong = brokenRules(problem, running.placed).filter(
        (says) => ![...lags].some((lag) => says.startsWith(lag.split(' ')[0]!)),
      )
      expect(wrong).toEqual([])
    }
  })

  it('lye that waited too long is said, with how long', () => {
    const batches = [batchOnDay(36)]
    const plan = planDay({ batches, people: hands(null), things: plenty }, 'shortest', {
      solver: null,
      seconds: 0,
      random: randomSource(1),
    })!
    const problem = problemOf(batches, hands(null), plenty, plan.together)
    const lag = problem.lags.find(({ from }) => from === 'lye:36')!
    const lye = plan.placed.find(({ task }) => task === 'lye:36')!
    const states = upTo(problem, plan.placed, lye.to)
    const now = lye.to + lag.most! + 12
    const running = follow(problem, plan.placed, states, now)!
    expect(running.tooLong.map(({ from }) => from)).toEqual(['lye:36'])
    const batter = running.placed.find(({ task }) => task === 'batter:36')!
    expect(running.tooLong[0]!.by).toBeCloseTo(batter.at - lye.to - lag.most!, 9)
  })

  it('planned anew it is never later than gone on with, keeps what was begun, and breaks nothing of what is open', () => {
    for (const { problem, placed } of days.slice(0, 25)) {
      const states = upTo(problem, placed, 30, 9)
      const on = follow(problem, placed, states, 39)
      const anew = replan(problem, placed, states, 39, solver, randomSource(2))
      if (!on) continue
      expect(anew!.end).toBeLessThanOrEqual(on.end)
      for (const one of anew!.placed) {
        const { begunAt } = states.get(one.task)!
        if (begunAt !== null) expect(one.at).toBe(begunAt)
        else expect(one.at).toBeGreaterThanOrEqual(39)
      }
    }
  }, 180_000)

  it('who takes up another’s work has it from then on', () => {
    const { problem, placed } = days.find(({ problem: { people } }) => people.length > 1)!
    const first = placed[0]!
    const states = untouched(problem).set(first.task, {
      begunAt: 4,
      endedAt: null,
      by: 1 - first.person,
      open: [],
    })
    const running = follow(problem, placed, states, 5)!
    expect(running.placed.find(({ task }) => task === first.task)!.person).toBe(1 - first.person)
  })

  it('says which pours moved, and by how much', () => {
    const { problem, placed } = days[0]!
    const later = placed.map((one) => ({ ...one, at: one.at + 8, to: one.to + 8 }))
    const moved = movedBetween(problem, placed, later)
    expect(moved.map(({ batch }) => batch).sort()).toEqual(['36', '37', '38'])
    expect(new Set(moved.map(({ by }) => by))).toEqual(new Set([8]))
    expect(movedBetween(problem, placed, placed)).toEqual([])
  })
})

describe('where each piece of work stands', () => {
  const batch = batchOnDay(36)
  const problem = problemOf([batch], hands(null, null), plenty, { lye: [], fats: [], quiet: 0 })
  const startedAt = '2026-11-26T08:30:00Z'
  const at = (minute: number) => new Date(Date.parse(startedAt) + minute * 60_000).toISOString()
  const run = (...events: object[]): Map<string, DayRun> => {
    const told = events.map((event, nth) => ({ id: String(nth), ...event })) as RunEvent[]
    return new Map([[batch.id, { state: runOf(batch.plan, startedAt, told), begins: 0 }]])
  }
  const done = (step: string, minute: number) => ({ kind: 'done', step, at: at(minute) })

  it('begins with the one who takes it up, and ends with its last step', () => {
    const lye = problem.tasks.find(({ kind }) => kind === 'lye')!
    const took = [{ task: lye.id, person: 1, at: 3 }]
    expect(standingOfTasks(problem, run(), took).get(lye.id)).toMatchObject({
      begunAt: 3,
      endedAt: null,
      by: 1,
    })
    const all = lye.steps.map(({ step }, nth) => done(step, 4 + nth))
    const state = standingOfTasks(problem, run(...all), took).get(lye.id)!
    expect(state.endedAt).toBeCloseTo(4 + lye.steps.length - 1, 9)
    expect(state.open).toEqual([])
  })

  it('fats are over for the hands once they stand on the plate; taken off they do not begin the batter', () => {
    const states = standingOfTasks(
      problem,
      run({ kind: 'treated', vessel: 'oils', how: 'heat', at: at(20) }, done('melt', 31)),
      [],
    )
    expect(states.get('fats-on:36')).toMatchObject({ begunAt: 20, endedAt: 20 })
    expect(states.get('batter:36')!.begunAt).toBeNull()
    expect(states.get('batter:36')!.open.some(({ step }) => step === 'melt')).toBe(false)
  })

  it('what is left of a round when a batch is left out is still the same piece of work', () => {
    const took = [{ task: 'weigh:36+37', person: 0, at: 9 }]
    expect(standingOfTasks(problem, run(), took).get('weigh:36')).toMatchObject({
      begunAt: 9,
      by: 0,
    })
  })
})

describe('moved by hand', () => {
  it('may slide as far as it is told and no further; nothing is broken anywhere between', () => {
    let tried = 0
    for (const { problem, placed, end } of days.slice(0, 20))
      for (const { task } of placed.slice(0, 6)) {
        const slide = mayBegin(problem, placed, task, end + 20)!
        for (const minute of new Set([
          slide.from,
          Math.floor((slide.from + slide.to) / 2),
          slide.to,
        ])) {
          const moved = movedTo(problem, placed, task, minute)
          if (!moved) continue
          tried++
          expect(brokenRules(problem, moved)).toEqual([])
          expect(moved.find((one) => one.task === task)!.at).toBe(minute)
        }
      }
    expect(tried).toBeGreaterThan(150)
  })

  it('in other hands it is done by them, and nothing is broken', () => {
    let given = 0
    for (const { problem, placed } of days)
      for (const { task, person } of placed) {
        if (problem.people.length < 2) continue
        const other = givenTo(problem, placed, task, 1 - person)
        if (!other) continue
        given++
        expect(other.find((one) => one.task === task)!.person).toBe(1 - person)
        expect(brokenRules(problem, other)).toEqual([])
      }
    expect(given).toBeGreaterThan(100)
    const [{ problem, placed }] = days as [(typeof days)[number]]
    expect(givenTo(problem, placed, placed[0]!.task, 7)).toBeNull()
  })
})

describe('a day that does not fit', () => {
  const milks = [batchOnDay(36, onFrozenMilk), batchOnDay(37, onFrozenMilk)]
  const quick = { solver: null, seconds: 0, random: randomSource(1), tries: 800 }
  const open = { batches: milks, people: hands(null, null), things: plenty }
  const free = planDay(open, 'shortest', quick)!
  const roomy = planDay({ ...open, things: { ...plenty, iceBaths: 2 } }, 'shortest', quick)!

  it('says what is wanted twice at once, and the ways out fit', () => {
    expect(roomy.end).toBeLessThan(free.end)
    const until = free.end - 4
    const subject = { ...open, people: hands(until, until) }
    const plan = planDay(subject, 'shortest', quick)!
    expect(plan.over).toBeGreaterThan(0)
    const clash = clashOf(subject, plan, 'shortest', randomSource(1))
    expect(clash).toMatchObject({ of: 'thing', thing: 'ice' })
    expect([...clash.batches].sort()).toEqual(['batch-36', 'batch-37'])
    expect(clash.minutes).toBeGreaterThan(0)
    expect(clash.wanted.over).toBe(0)
    const ways = waysOut(subject, plan, 'shortest', [milks[1]!], 120, randomSource(1))
    expect(ways.map(({ of }) => of)).toEqual(['earlier', 'leave'])
    const [earlier, leave] = ways
    expect(earlier!.earlier).toBeGreaterThanOrEqual(4)
    expect(earlier!.plan.end).toBeLessThanOrEqual(until + earlier!.earlier)
    expect(leave).toMatchObject({ without: 'batch-37' })
    expect(leave!.plan.end).toBeLessThanOrEqual(until)
  })

  it('where no thing is to blame it is hands or hours', () => {
    const plain = [batchOnDay(36), batchOnDay(37)]
    const alone = { batches: plain, people: hands(null), things: plenty }
    const end = planDay(alone, 'shortest', quick)!.end
    const subject = { ...alone, people: hands(60) }
    const plan = planDay(subject, 'shortest', quick)!
    expect(plan.over).toBeGreaterThan(0)
    expect(clashOf(subject, plan, 'shortest', randomSource(1)).of).toBe('hours')
    const tight = { ...alone, people: hands(end - 6) }
    const over = planDay(tight, 'shortest', quick)!
    if (over.over > 0)
      expect(['hands', 'thing', 'hours']).toContain(
        clashOf(tight, over, 'shortest', randomSource(1)).of,
      )
  })
})

describe('what is to be minded', () => {
  const at = (task: string, person: number, from: number, to: number): Placed => ({
    task,
    person,
    at: from,
    to,
  })
  const batches = [batchOnDay(36), batchOnDay(37)]
  const problem = problemOf(batches, hands(null, null), plenty, { lye: [], fats: [], quiet: 0 })

  it('slack before a pour is counted from what its maker did before, or from the beginning', () => {
    const placed = [at('lye:36', 0, 3, 9), at('batter:36', 0, 80, 95), at('batter:37', 1, 90, 105)]
    expect(slackBefore(problem, placed)).toEqual(
      new Map([
        ['batter:36', 71],
        ['batter:37', 87],
      ]),
    )
    expect(gapsOf(placed, 0)).toEqual([{ at: 9, to: 80 }])
  })

  it('two lyes within ten minutes steam together, at a quarter of an hour they do not', () => {
    const minds = (second: number) =>
      mindOn(
        problem,
        [at('lye:36', 0, 3, 9), at('lye:37', 1, second, second + 6)],
        batches,
        new Map(),
      ).filter(({ of }) => of === 'fumes')
    expect(minds(12)).toMatchObject([{ at: 12, batches: ['batch-36', 'batch-37'] }])
    expect(minds(24)).toEqual([])
  })

  it('five hours without twenty minutes free are said, with twenty they are not', () => {
    const work = (gap: number) => [
      at('lye:36', 0, 3, 150),
      at('batter:36', 0, 150 + gap, 300),
      at('rinse:36', 0, 300, 310),
    ]
    const breaks = (gap: number) =>
      mindOn(problem, work(gap), batches, new Map()).filter(({ of }) => of === 'break')
    expect(breaks(19)).toEqual([{ of: 'break', person: 0, worked: 307, gap: 19 }])
    expect(breaks(20)).toEqual([])
  })

  it('a racer right after something else is the tight spot; with ten minutes before it there is none', () => {
    const racer = batchOnDay(36, { water: { held: 'ratio', value: 1 } }, {})
    const racing = {
      ...racer,
      plan: { ...racer.plan, working: 7 },
    }
    const spot = (free: number) =>
      tightSpot(
        problem,
        [at('rinse:37', 0, 70, 80), at('batter:36', 0, 80 + free, 95 + free)],
        [racing, batches[1]!],
      )
    expect(spot(2)).toMatchObject({ task: 'batter:36', slack: 2, person: 0 })
    expect(spot(10)).toBeNull()
  })
})

describe('own minutes', () => {
  const came = (took: number, who = 'Idris') => ({
    task: 'rinse:36',
    work: 'rinse' as const,
    who,
    usual: 8,
    took,
  })
  it('take the place of the usual ones from three on, drawn towards them while they are few', () => {
    expect(paceOfPerson([came(12), came(12)], 'Idris')).toEqual({})
    // Three of twelve minutes: ln 1.5 by 3/6.
    expect(paceOfPerson([came(12), came(12), came(12)], 'Idris').rinse).toBeCloseTo(1.224745, 6)
    expect(paceOfPerson([came(12), came(12), came(12)], 'Maren')).toEqual({})
    // What was interrupted says nothing.
    expect(paceOfPerson([came(12), came(12), came(90)], 'Idris')).toEqual({})
  })

  it('a day gives what each piece took, and by whom', () => {
    const { problem, placed, end } = days[0]!
    const states = upTo(problem, placed, end)
    const all = cameOf(problem, placed, states)
    expect(all).toHaveLength(problem.tasks.length)
    const lye = placed.find(({ task }) => task === 'lye:36')!
    expect(all.find(({ task }) => task === 'lye:36')).toMatchObject({
      work: 'lye',
      took: lye.to - lye.at,
      who: problem.people[lye.person]!.name,
    })
  })
})
