/**
 * What numbers make together; 0 of none.
 * @example sum([1, 2, 3]) // 6
 */
export function sum(numbers: Iterable<number>): number {
  let all = 0
  for (const number of numbers) all += number
  return all
}

/**
 * What a number of each item makes together; 0 of none.
 * @example sumOf([{ grams: 700 }, { grams: 300 }], ({ grams }) => grams) // 1000
 */
export function sumOf<T>(items: Iterable<T>, pick: (item: T, index: number) => number): number {
  let all = 0
  let index = 0
  for (const item of items) all += pick(item, index++)
  return all
}

/**
 * The mean; NaN of none.
 * @example mean([1, 2, 6]) // 3
 */
export function mean(numbers: Iterable<number>): number {
  let count = 0
  const all = sumOf(numbers, (number) => {
    count++
    return number
  })
  return all / count
}
