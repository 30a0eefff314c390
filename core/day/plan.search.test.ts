import { beforeAll, describe, expect, it } from 'vitest'
import { brokenRules, daySolver, randomDay, shortestByForce } from '../../tests/support/day'
import { randomSource } from '../statistics/randomSource'
import { solved, type DaySolver } from './programme'
import { search } from './search'
import { placedOf } from './times'

let solver: DaySolver
beforeAll(async () => {
  solver = await daySolver()
})

describe('a day planned', () => {
  it('is as short as the shortest found by force', () => {
    let worst = 0
    const t0 = Date.now()
    let searchMs = 0,
      solveMs = 0,
      forceMs = 0,
      hits = 0
    for (let seed = 1; seed <= 60; seed++) {
      const day = randomDay(seed, 2)
      let t = performance.now()
      const found = search(day, 2000, randomSource(seed))
      searchMs += performance.now() - t
      t = performance.now()
      const force = shortestByForce(day)
      forceMs += performance.now() - t
      if (!found) {
        expect(force).toBe(Infinity)
        continue
      }
      t = performance.now()
      const plan = solved(day, found, solver, 5)
      solveMs += performance.now() - t
      if (found.timed.end === force) hits++
      expect(brokenRules(day, placedOf(day, plan.timed)), `seed ${seed}`).toEqual([])
      worst = Math.max(worst, plan.timed.end / force)
      expect(plan.timed.end, `seed ${seed}`).toBe(force)
      expect(plan.bound, `bound ${seed}`).toBe(force)
    }
    console.log({ worst, searchMs, solveMs, forceMs, hits, all: Date.now() - t0 })
  }, 300000)
})
