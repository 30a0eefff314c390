import type { RandomSource } from './randomSource'

/**
 * A list in an order that the random source draws; the list itself stays as it is.
 * @example shuffled([1, 2, 3], random).length // 3
 */
export const shuffled = <T>(list: readonly T[], random: RandomSource): T[] =>
  list
    .map((item) => ({ item, at: random.uniform() }))
    .sort((a, b) => a.at - b.at)
    .map(({ item }) => item)
