import type { Solver } from '../finder/find'
import { sumOf } from '../statistics/sum'

/** A pack that something can be bought in. */
export interface Pack {
  grams: number
  /** Smallest unit of money, its part of the shipping included. */
  price: number
}

/** What is to be bought of one thing. */
export interface Bought {
  /** How many of each pack, in their order. */
  counts: number[]
  price: number
  grams: number
  /** g that are left when the need is covered. */
  over: number
}

/** Share of what the left-over would cost by the cheapest gram that counts as worth something. */
const creditShare = 0.5
/** More packs of one size than that nobody carries home. */
const mostOfOne = 200

/**
 * The packs that cover a need for the least money. What is left over counts half of what it would cost at the cheapest gram, as far
 * as it will still be used before it spoils. Null where nothing can be bought of it.
 * @param need g wanted beyond what is there
 * @param usedLater g of a left-over that will still be used before it spoils
 * @param most g that may be bought before the rest spoils; null where it keeps
 * @example packsFor(6200, [{ grams: 1000, price: 760 }, { grams: 5000, price: 3100 }, { grams: 25000, price: 12900 }], 0, null, solve).counts
 *   // [2, 1, 0]
 */
export function packsFor(
  need: number,
  packs: readonly Pack[],
  usedLater: number,
  most: number | null,
  solve: Solver,
): Bought | null {
  if (need <= 0 || !packs.length) return null
  const cheapest = Math.min(...packs.map(({ grams, price }) => price / grams))
  const n = (place: number) => `n${place}`
  const terms = (of: (pack: Pack) => number) =>
    packs.map((pack, place) => `+ ${Number(of(pack).toPrecision(12))} ${n(place)}`).join(' ')
  const credit = Number((creditShare * cheapest).toPrecision(12))
  // In kilograms the figures of the rows are of one size, which the solver wants.
  const kilo = (grams: number) => Number((grams / 1000).toPrecision(12))
  const programme = [
    'Minimize',
    ` cost: ${terms(({ price }) => price)} - ${Number((credit * 1000).toPrecision(12))} later`,
    'Subject To',
    ` enough: ${terms(({ grams }) => grams / 1000)} >= ${kilo(need)}`,
    ` left: later ${terms(({ grams }) => grams / 1000).replaceAll('+', '-')} <= ${-kilo(need)}`,
    ...(most === null || most < need
      ? []
      : [` keeps: ${terms(({ grams }) => grams / 1000)} <= ${kilo(most)}`]),
    'Bounds',
    ` 0 <= later <= ${kilo(Math.max(0, usedLater))}`,
    ...packs.map((_, place) => ` 0 <= ${n(place)} <= ${mostOfOne}`),
    'General',
    ` ${packs.map((_, place) => n(place)).join(' ')}`,
    'End',
  ].join('\n')
  const { found, values } = solve(programme)
  // Nothing fits before it spoils: what covers the need is bought all the same, and the screen says so.
  if (!found) return most === null ? null : packsFor(need, packs, usedLater, null, solve)
  const counts = packs.map((_, place) => Math.round(values[n(place)] ?? 0))
  const grams = sumOf(packs, (pack, place) => counts[place]! * pack.grams)
  return {
    counts,
    price: sumOf(packs, (pack, place) => counts[place]! * pack.price),
    grams,
    over: grams - need,
  }
}

/** What is to be bought of a thing, before packs are chosen. */
export interface Wanted {
  /** g beyond what is there. */
  need: number
  /** g of a left-over that will still be used before it spoils, and g that may be bought at most; null where it keeps. */
  usedLater: number
  most: number | null
}

/** Weeks that a left-over which never spoils is reckoned to be used within. */
const longest = 104

/**
 * How much of a thing is wanted until a horizon: what is planned, and from the last plan on what is usually used.
 * @param planned g, and weeks until the last of it
 * @param keeps days that a new pack keeps; null where it does not spoil
 * @example wantedOf({ stock: 4700, planned: { grams: 3700, weeks: 2 }, weekly: 500, weeks: 13, keeps: null }).need // 4500
 */
export function wantedOf({
  stock,
  planned,
  weekly,
  weeks,
  keeps,
}: {
  stock: number
  planned: { grams: number; weeks: number }
  weekly: number
  weeks: number
  keeps: number | null
}): Wanted {
  const need = planned.grams + weekly * Math.max(0, weeks - planned.weeks) - stock
  const good = keeps === null ? longest : Math.min(longest, keeps / 7)
  return {
    need: Math.max(0, need),
    usedLater: weekly * Math.max(0, good - weeks),
    most: keeps === null ? null : Math.max(0, need) + weekly * Math.max(0, good - weeks),
  }
}
