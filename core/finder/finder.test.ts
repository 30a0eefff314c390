import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { traits, uses } from '#contracts/words'
import { highsSolver } from '../../tests/support/solver'
import { outside, regionsFor, usualRegions } from '../character/regions'
import { usualFats } from './help'
import { library } from '../materials/library'
import { apart, findFormula, otherKind, priceCurve, type Found, type Solver } from './find'
import { excluded, leastShare, type Wish } from './wish'
import { sumOf } from '../statistics/sum'
import { runs } from '../../tests/support/runs'

let solve: Solver
beforeAll(async () => {
  solve = await highsSolver()
})

const choice = (id: string, most = 1, least = 0, price: number | null = null) => ({
  id,
  least,
  most,
  price,
})
const wish = (changes: Partial<Wish> = {}): Wish => ({
  choices: usualFats.map((id) => choice(id)),
  regions: usualRegions.body,
  exclude: [],
  atMost: 5,
  superfat: 0.05,
  keeper: false,
  aim: 'nearest',
  ...changes,
})
const sum = (found: Found) => sumOf(found.fats, ({ share }) => share)

describe('the finder', () => {
  it('finds a body bar inside all its regions, with runner-ups of another kind', () => {
    const { best, runnersUp, inTheWay } = findFormula(wish(), library, solve)
    expect(inTheWay).toEqual([])
    expect(best!.fats.length).toBeLessThanOrEqual(5)
    expect(sum(best!)).toBeCloseTo(1, 9)
    for (const trait of traits)
      expect(outside(best!.traits[trait], usualRegions.body[trait])).toBeLessThan(0.4)
    // Well inside, not on an edge: at least two points from every end that is not an end of the scale.
    for (const trait of traits) {
      const [low, high] = usualRegions.body[trait]
      expect(best!.traits[trait]).toBeGreaterThan(low + 2)
      if (high < 100) expect(best!.traits[trait]).toBeLessThan(high - 2)
    }
    expect(runnersUp.length).toBeGreaterThan(0)
    for (const other of runnersUp) expect(apart(best!, other)).toBeGreaterThanOrEqual(otherKind)
  })

  it('keeps what is excluded out, and the limits of each fat', () => {
    const choices = [
      choice('coconut', 0.3, 0.2),
      choice('olive', 0.45),
      choice('tallow'),
      choice('palm'),
      choice('shea', 0.4),
      choice('castor', 0.07, 0.05),
    ]
    const { best } = findFormula(wish({ choices, exclude: ['vegan', 'palmFree'] }), library, solve)
    const share = (id: string) => best!.fats.find((fat) => fat.id === id)?.share ?? 0
    expect([share('tallow'), share('palm')]).toEqual([0, 0])
    expect(share('coconut')).toBeGreaterThanOrEqual(0.2 - 1e-9)
    expect(share('olive')).toBeLessThanOrEqual(0.451)
    expect(share('castor')).toBeGreaterThanOrEqual(0.05 - 1e-9)
    expect(excluded(library.fats.get('palm-kernel')!, ['palmFree'])).toBe(true)
  })

  it('says which wish is in the way and by how much: olive alone does not foam quickly', () => {
    const { best, inTheWay } = findFormula(
      wish({ choices: [choice('olive')], regions: regionsFor('dishes') }),
      library,
      solve,
    )
    expect(best!.fats).toEqual([{ id: 'olive', share: 1 }])
    const quick = inTheWay.find(({ trait }) => trait === 'quickFoam')!
    expect(quick.wished).toBe(50)
    expect(quick.reaches).toBeCloseTo(best!.traits.quickFoam, 9)
    expect(quick.reaches).toBeLessThan(12)
  })

  it.each<[Partial<Wish>, RegExp]>([
    [{ choices: [] }, /No fat is left/],
    [{ choices: [choice('lard')], exclude: ['vegan'] }, /No fat is left/],
    [{ choices: [choice('lard', 1, 0.7), choice('olive', 1, 0.5)] }, /more than 100 %/],
    [{ choices: [choice('lard', 0.4), choice('olive', 0.5)] }, /less than 100 %/],
    [{ choices: [choice('lard', 1, 0.1), choice('olive', 1, 0.1)], atMost: 1 }, /at most 1/],
    [{ choices: [choice('lard', 0.6), choice('olive', 0.6)], atMost: 1 }, /no formula at all/],
  ])('says in a sentence why %o cannot be looked for', (changes, says) => {
    const findings = findFormula(wish(changes), library, solve)
    expect(findings.best).toBeNull()
    expect(findings.says).toMatch(says)
  })

  it('finds the cheapest inside the regions, never dearer than the nearest', () => {
    const prices: Record<string, number> = { olive: 900, coconut: 500, tallow: 300, castor: 1100 }
    const choices = Object.entries(prices).map(([id, price]) => choice(id, 1, 0, price))
    const cheapest = findFormula(wish({ choices, aim: 'cheapest' }), library, solve)
    const nearest = findFormula(wish({ choices }), library, solve)
    expect(cheapest.inTheWay).toEqual([])
    expect(cheapest.best!.price!).toBeLessThanOrEqual(nearest.best!.price! + 0.5)
    const byHand = sumOf(cheapest.best!.fats, ({ id, share }) => prices[id]! * share)
    expect(cheapest.best!.price).toBeCloseTo(byHand, 6)
  })

  it('draws price against character: dearer points are nearer', () => {
    const choices = [
      choice('tallow', 1, 0, 250),
      choice('coconut', 1, 0, 480),
      choice('olive', 1, 0, 900),
      choice('castor', 1, 0, 1200),
    ]
    const points = priceCurve(wish({ choices }), library, solve)
    expect(points.length).toBeGreaterThan(1)
    points.slice(1).forEach((point, index) => {
      expect(point.price).toBeGreaterThan(points[index]!.price)
      expect(point.distance).toBeLessThan(points[index]!.distance)
    })
    expect(points[0]!.found.fats[0]).toMatchObject({ id: 'tallow' })
    expect(priceCurve(wish(), library, solve)).toEqual([])
  })
})

describe('random wishes', () => {
  const fats = [...library.fats.values()].filter(({ chemistry }) => chemistry === 'triglyceride')
  const anyWish = fc.record({
    use: fc.constantFrom(...uses),
    picked: fc.uniqueArray(fc.constantFrom(...fats.map(({ id }) => id)), {
      minLength: 4,
      maxLength: 16,
    }),
    exclude: fc.subarray(['vegan', 'palmFree', 'nutFree'] as const),
    atMost: fc.oneof(fc.constant(null), fc.integer({ min: 3, max: 6 })),
    superfat: fc.double({ min: 0, max: 0.12, noNaN: true }),
    keeper: fc.boolean(),
    most: fc.double({ min: 0.4, max: 1, noNaN: true }),
    castor: fc.boolean(),
  })

  it('are answered within every limit, with the traits the core itself computes', () => {
    fc.assert(
      fc.property(anyWish, (draw) => {
        const ids = [...new Set([...draw.picked, ...(draw.castor ? ['castor'] : [])])]
        const asked = wish({
          choices: ids.map((id) => choice(id, draw.most)),
          regions: usualRegions[draw.use],
          exclude: draw.exclude,
          atMost: draw.atMost,
          superfat: draw.superfat,
          keeper: draw.keeper,
        })
        const { best, runnersUp, inTheWay, says } = findFormula(asked, library, solve)
        if (!best) return says !== ''
        const fits = [best, ...runnersUp].every(
          (found) =>
            Math.abs(sum(found) - 1) < 1e-9 &&
            (draw.atMost === null || found.fats.length <= draw.atMost) &&
            found.fats.every(
              ({ id, share }) =>
                ids.includes(id) &&
                share <= draw.most + 0.005 &&
                share >= Math.min(leastShare, draw.most) - 0.001 &&
                !excluded(library.fats.get(id)!, draw.exclude),
            ),
        )
        const told = traits.every((trait) => {
          const out = outside(best.traits[trait], asked.regions[trait])
          const named = inTheWay.some((way) => way.trait === trait)
          return out > 0.36 ? named : out < 0.34 ? !named : true
        })
        return fits && told && runnersUp.every((other) => apart(best, other) >= otherKind)
      }),
      runs(25),
    )
  })
})
