import type { Trait } from '#contracts/words'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { distance, outside, type Regions } from '../character/regions'
import { usualWater } from '../character/coefficients'
import { makeupOf, traitIds, traitsFrom, type Makeup, type Traits } from '../character/traits'
import type { Library } from '../materials/library'
import { programme, type Candidate, type Extra } from './model'
import { excluded, type Wish } from './wish'
import { sumOf } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'

/** What a solver answers: whether it found something, and the value of each variable. */
export interface Solution {
  found: boolean
  values: Record<string, number>
}
/** Solves a programme in the LP file format. */
export type Solver = (programme: string) => Solution

export interface Found {
  /** Shares of the oils, the largest first. */
  fats: { id: string; share: number }[]
  traits: Traits
  /** Price of a kilogram of the oils; null when the price of one of them is not known. */
  price: number | null
  /** How far from the regions: sum of squares of what lies outside; 0 inside all. */
  distance: number
}

/** A wish that cannot be had with the others. */
export interface InTheWay {
  trait: Trait
  /** What the best formula reaches, and what was wished. */
  reaches: number
  wished: number
}

export interface Findings {
  best: Found | null
  /** Formulas that differ from the best by at least 15 % of the oils. */
  runnersUp: Found[]
  inTheWay: InTheWay[]
  /** Why nothing was found at all; empty otherwise. */
  says: string
}

/** Runner-ups differ by at least so much of the oils. */
export const otherKind = 0.15
const mostRunnersUp = 3

/**
 * The fats of a wish that are not excluded and that the traits can judge.
 * @example candidatesOf(wish, shipped).map(({ id }) => id) // ['olive', 'coconut', 'shea']
 */
export function candidatesOf(wish: Wish, library: Library): Candidate[] {
  return wish.choices.flatMap((choice) => {
    const fat = library.fats.get(choice.id)
    if (!fat || choice.most <= 0 || excluded(fat, wish.exclude)) return []
    return [{ ...choice, fat }]
  })
}

/** What a formula with these shares is to the traits, by the core's own reckoning. */
function makeupOfShares(fats: Found['fats'], { superfat, keeper }: Wish, library: Library): Makeup {
  const document = {
    ...blankFormula('Found'),
    fats: fats.map((line) => ({ ...line, moment: 'pot' as const, inLye: true })),
  }
  const makeup = makeupOf(computeFormula(document, library), library)
  return { ...makeup, superfat, keeper, water: usualWater, kohShare: 0 }
}

/** Shares to the tenth of a per cent that still sum to 1: the largest takes what rounding leaves. */
function tidied(shares: { id: string; share: number }[]) {
  const rounded = shares
    .map(({ id, share }) => ({ id, share: Math.round(share * 1000) / 1000 }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share)
  const rest = 1 - sumOf(rounded, ({ share }) => share)
  const [first] = rounded
  if (first) first.share = roundTo(first.share + rest, 4)
  return rounded
}

function read(solution: Solution, candidates: Candidate[], wish: Wish, library: Library): Found {
  const fats = tidied(
    candidates.map(({ id }, index) => ({ id, share: (solution.values[`x${index}`] ?? 0) / 100 })),
  )
  const traits = traitsFrom(makeupOfShares(fats, wish, library))
  const prices = fats.map(({ id, share }) => {
    const { price } = candidates.find((line) => line.id === id)!
    return price === null ? null : price * share
  })
  const known = prices.every((price) => price !== null)
  return {
    fats,
    traits,
    price: known ? sumOf(prices, (price) => price!) : null,
    distance: distance(traits, wish.regions),
  }
}

/**
 * Half the sum of the differences of the shares: what part of the oils is another.
 * @example apart({ fats: [{ id: 'olive', share: 1 }] }, { fats: [{ id: 'olive', share: 0.7 }, { id: 'castor', share: 0.3 }] }) // 0.3
 */
export function apart(one: Found, other: Found): number {
  const ids = new Set([...one.fats, ...other.fats].map(({ id }) => id))
  const share = (found: Found, id: string) => found.fats.find((line) => line.id === id)?.share ?? 0
  return sumOf(ids, (id) => Math.abs(share(one, id) - share(other, id))) / 2
}

/** Points by which a found formula may miss a region and still count as inside: its shares were rounded. */
const slightly = 0.35

function missed(found: Found, regions: Regions): InTheWay[] {
  return traitIds.flatMap((trait) => {
    const [low, high] = regions[trait]
    const value = found.traits[trait]
    if (outside(value, regions[trait]) <= slightly) return []
    return [{ trait, reaches: value, wished: value < low ? low : high }]
  })
}

/** What keeps a wish from being looked for at all; empty when nothing does. */
function hindrance(wish: Wish, candidates: Candidate[]): string {
  if (candidates.length === 0) return 'No fat is left: choose some, or exclude less.'
  const least = sumOf(candidates, ({ least: share }) => share)
  const most = sumOf(candidates, ({ most: share }) => share)
  const must = candidates.filter(({ least: share }) => share > 0).length
  if (least > 1 + 1e-9) return 'The least shares of the fats already sum to more than 100 %.'
  if (most < 1 - 1e-9) return 'The highest shares of the fats sum to less than 100 %.'
  if (wish.atMost !== null && must > wish.atMost)
    return `${must} fats must be in, but at most ${wish.atMost} are wished.`
  return ''
}

/**
 * The formula that comes nearest to a wish, or the cheapest inside it, with runner-ups of another kind; where it cannot be
 * had, the wishes in the way and by how much they are missed.
 * @param solve a solver for mixed-integer linear programmes; called a handful of times
 * @example findFormula(wish, shipped, solve).best.fats
 *   // [{ id: 'shea', share: 0.502 }, { id: 'coconut', share: 0.264 }, { id: 'olive', share: 0.234 }]
 */
export function findFormula(wish: Wish, library: Library, solve: Solver): Findings {
  const candidates = candidatesOf(wish, library)
  const says = hindrance(wish, candidates)
  if (says) return { best: null, runnersUp: [], inTheWay: [], says }
  const attempt = (extra: Extra): Found | null => {
    const solution = solve(programme(wish, candidates, extra))
    return solution.found ? read(solution, candidates, wish, library) : null
  }
  const inside = wish.aim === 'cheapest' ? attempt({ must: true }) : null
  const best = inside ?? attempt({})
  if (!best)
    return {
      best: null,
      runnersUp: [],
      inTheWay: [],
      says: 'The limits of the fats and their number leave no formula at all.',
    }
  const runnersUp: Found[] = []
  const others = best.fats
    .filter(({ share }) => share > otherKind)
    .flatMap(({ id, share }) => {
      const below = [{ id, share: Math.floor((share - otherKind - 0.002) * 1000) / 1000 }]
      const found = attempt({ must: inside !== null, below })
      return found ? [found] : []
    })
    .sort((a, b) =>
      inside ? (a.price ?? Infinity) - (b.price ?? Infinity) : a.distance - b.distance,
    )
  for (const other of others) {
    const differs = [best, ...runnersUp].every((found) => apart(found, other) >= otherKind)
    if (differs && runnersUp.length < mostRunnersUp) runnersUp.push(other)
  }
  return { best, runnersUp, inTheWay: missed(best, wish.regions), says: '' }
}

/** A point of the curve of price against character. */
export interface CurvePoint {
  price: number
  distance: number
  found: Found
}

/**
 * The best character for each of some prices, from the cheapest formula there is to the nearest one. Empty when the price of
 * a fat is not known.
 * @param steps how many prices between the two ends
 * @example priceCurve(wish, shipped, solve, 2).map(({ price }) => price) // [600]
 */
export function priceCurve(wish: Wish, library: Library, solve: Solver, steps = 7): CurvePoint[] {
  const candidates = candidatesOf(wish, library)
  if (hindrance(wish, candidates) || candidates.some(({ price }) => price === null)) return []
  const near = { ...wish, aim: 'nearest' as const }
  const attempt = (extra: Extra) => {
    const solution = solve(programme(near, candidates, extra))
    return solution.found ? read(solution, candidates, near, library) : null
  }
  const anything = Object.fromEntries(
    traitIds.map((trait) => [trait, [-1000, 1000]]),
  ) as unknown as Regions
  const cheap = solve(
    programme({ ...wish, aim: 'cheapest', regions: anything }, candidates, { must: true }),
  )
  const nearest = attempt({})
  if (!cheap.found || !nearest) return []
  const low = read(cheap, candidates, near, library).price!
  const high = Math.max(low, nearest.price!)
  const points: CurvePoint[] = []
  for (let step = 0; step <= steps; step++) {
    const limit = low + ((high - low) * step) / steps
    const found = attempt({ priceUpTo: limit * (1 + 1e-6) + 1e-6 })
    const before = points.at(-1)
    if (!found || (before && found.distance >= before.distance - 1e-9)) continue
    points.push({ price: found.price!, distance: found.distance, found })
  }
  return points
}
