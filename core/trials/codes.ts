import type { RandomSource } from '../statistics/randomSource'
import { shuffled } from '../statistics/shuffled'

/** Signs of straight strokes only: a nail scratches them into a lid, and none is taken for another of them. */
export const signs = [...'AEFHKLNTVXYZ47']
const length = 3

const differences = (one: string, other: string): number =>
  [...one].filter((sign, at) => sign !== other[at]).length

/**
 * Codes for pots and samples, as long as it can be helped each unlike all others in at least two of its three signs, so that one sign
 * worn off or misread never names another one.
 * @param taken codes that are in use
 * @throws RangeError when there are no more: 14 × 14 × 14 in all
 * @example newCodes(2, ['AE4'], random).length // 2
 */
export function newCodes(count: number, taken: readonly string[], random: RandomSource): string[] {
  const all = signs.flatMap((a) => signs.flatMap((b) => signs.map((c) => a + b + c)))
  const drawn = shuffled(all, random)
  const codes: string[] = []
  for (const apart of [2, 1])
    for (const code of drawn) {
      if (codes.length === count) return codes
      if ([...taken, ...codes].every((other) => differences(code, other) >= apart)) codes.push(code)
    }
  if (codes.length < count) throw new RangeError(`There are not ${count} more codes.`)
  return codes
}

/**
 * A code as it was typed or read: small letters, and what people write for its signs; null when it is none.
 * @example readCode(' na7 ') // 'NA7'
 */
export function readCode(text: string): string | null {
  const code = text.trim().toUpperCase()
  return code.length === length && [...code].every((sign) => signs.includes(sign)) ? code : null
}
