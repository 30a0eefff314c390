import { beforeAll, describe, expect, it } from 'vitest'
import {
  batchOnDay,
  brokenRules,
  daySolver,
  hands,
  onFrozenMilk,
  plenty,
  randomDay,
  shortestByForce,
} from '../../tests/support/day'
import { randomSource } from '../statistics/randomSource'
import { leastEnd, planDay, waysTogether } from './plan'
import { solved, type DaySolver } from './programme'
import { search } from './search'
import { problemOf } from './tasks'
import { placedOf } from './times'
import { slackBefore } from './watch'

let solver: DaySolver
beforeAll(async () => {
  solver = await daySolver()
})

describe('a day against all days there are', () => {
  it('two hundred small days, two or three batches: as short as the shortest, nothing broken, the bound right', () => {
    let exact = 0
    for (let seed = 1; seed <= 200; seed++) {
      const day = randomDay(seed, { batches: seed % 4 === 0 ? 3 : 2 })
      const shortest = shortestByForce(day)
      const found = search(day, 1200, randomSource(seed))
      if (!found) {
        expect(shortest, `day ${seed}`).toBe(Infinity)
        continue
      }
      const plan = solved(day, found, solver, 5)
      expect(brokenRules(day, placedOf(day, plan.timed)), `day ${seed}`).toEqual([])
      expect(plan.timed.end, `day ${seed}`).toBeLessThanOrEqual(shortest * 1.05)
      expect(plan.timed.end, `day ${seed}`).toBeGreaterThanOrEqual(shortest)
      expect(plan.bound, `day ${seed}`).toBeLessThanOrEqual(shortest)
      expect(leastEnd(day), `day ${seed}`).toBeLessThanOrEqual(shortest)
      if (plan.timed.end === shortest && plan.bound === shortest) exact++
    }
    // Proven to the minute, nearly always.
    expect(exact).toBeGreaterThan(190)
  }, 300_000)

  it('five hundred days of up to five batches: nobody and nothing in two places, no batter left, waits kept', () => {
    let found = 0
    for (let seed = 1; seed <= 500; seed++) {
      const day = randomDay(seed, { batches: 2 + (seed % 4), most: 3, small: false })
      const plan = search(day, 150, randomSource(seed))
      if (!plan) continue
      found++
      expect(brokenRules(day, placedOf(day, plan.timed)), `day ${seed}`).toEqual([])
      expect(plan.timed.end).toBeGreaterThanOrEqual(leastEnd(day))
    }
    expect(found).toBeGreaterThan(450)
  }, 180_000)

  it('who leaves has nothing in hand after it, or the day says by how much it is too long', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const open = randomDay(seed, { batches: 3, small: false })
      const free = search(open, 300, randomSource(seed))
      if (!free) continue
      const until = Math.round(free.timed.end * 0.85)
      const day = { ...open, people: open.people.map((one) => ({ ...one, until })) }
      const plan = search(day, 300, randomSource(seed))!
      const late = placedOf(day, plan.timed).filter(({ to }) => to > until)
      expect(plan.timed.over).toBe(late.length ? Math.max(...late.map(({ to }) => to - until)) : 0)
    }
  })
})

describe('a day of batches', () => {
  const batches = [
    batchOnDay(36),
    batchOnDay(37),
    batchOnDay(38, { water: { held: 'ratio', value: 1.7 } }),
  ]
  const subject = { batches, people: hands(null, null), things: plenty }
  const planned = (wish: 'shortest' | 'calm', of = subject) =>
    planDay(of, wish, { solver, seconds: 4, random: randomSource(1), tries: 1200 })!

  it('is proven, and shorter than one batch after the other', () => {
    const plan = planned('shortest')
    const problem = problemOf(batches, subject.people, plenty, plan.together)
    expect(brokenRules(problem, plan.placed)).toEqual([])
    expect(plan.bound).toBeLessThanOrEqual(plan.end)
    const alone = batches.map(
      (one) => planned('shortest', { ...subject, batches: [one], people: hands(null) }).end,
    )
    expect(plan.end).toBeLessThan(alone.reduce((sum, end) => sum + end, 0))
    expect(plan.end).toBeGreaterThanOrEqual(Math.max(...alone) * 0.9)
  })

  it('in least hurry has quiet before every pour, and is not much longer', () => {
    const [short, calm] = [planned('shortest'), planned('calm')]
    const problem = problemOf(batches, subject.people, plenty, calm.together)
    expect(calm.together.quiet).toBeGreaterThan(0)
    for (const slack of slackBefore(problem, calm.placed).values())
      expect(slack).toBeGreaterThanOrEqual(calm.together.quiet)
    expect(calm.end).toBeGreaterThanOrEqual(short.end)
    expect(calm.end).toBeLessThanOrEqual(short.end * 1.15)
  })

  it('puts lye of one water in one jug where that saves time, never lye of another', () => {
    const ways = waysTogether(subject).flatMap(({ lye }) => lye)
    expect(ways.length).toBeGreaterThan(0)
    for (const group of ways) expect(group).toEqual(['batch-36', 'batch-37'])
    expect(waysTogether({ batches: [batchOnDay(36), batchOnDay(37, onFrozenMilk)] })).toEqual([
      { lye: [], fats: [], quiet: 0 },
      { lye: [], fats: [['batch-36', 'batch-37']], quiet: 0 },
    ])
  })

  it('says what it has found while it looks, never worse than before', () => {
    const ends: number[] = []
    planDay(subject, 'shortest', {
      solver,
      seconds: 3,
      random: randomSource(3),
      tries: 60,
      tell: ({ end, bound }) => {
        expect(bound).toBeLessThanOrEqual(end)
        ends.push(end)
      },
    })
    expect(ends.length).toBeGreaterThan(1)
    ends.slice(1).forEach((end, nth) => expect(end).toBeLessThanOrEqual(ends[nth]!))
  })

  it('an ice bath serves one milk at a time, and is filled anew between', () => {
    const milks = [batchOnDay(36, onFrozenMilk), batchOnDay(37, onFrozenMilk)]
    const plan = planned('shortest', { ...subject, batches: milks })
    const lyes = plan.placed
      .filter(({ task }) => task.startsWith('lye:'))
      .sort((a, b) => a.at - b.at)
    expect(lyes[1]!.at - lyes[0]!.to).toBeGreaterThanOrEqual(10)
  })

  it('two batches with one pan: the second is weighed when the first is rinsed', () => {
    const vessels = [{ name: 'The pan', millilitres: 10_000, grams: 1800, stuff: 'steel' as const }]
    const plan = planned('shortest', {
      ...subject,
      batches: batches.slice(0, 2),
      things: { ...plenty, vessels },
    })
    const at = new Map(plan.placed.map((one) => [one.task, one]))
    const first = at.get('rinse:36')!.at < at.get('rinse:37')!.at ? 36 : 37
    expect(at.get(`weigh:${first === 36 ? 37 : 36}`)!.at).toBeGreaterThanOrEqual(
      at.get(`rinse:${first}`)!.to,
    )
  })
})
