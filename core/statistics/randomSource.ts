import { xoroshiro128plus } from 'pure-rand'

/** A source of random numbers: the same seed gives the same numbers. */
export interface RandomSource {
  /** Evenly between 0 and 1. */
  uniform(): number
  /** Mean 0, standard deviation 1. */
  normal(): number
}

/**
 * Numbers between 0 and 1, and normal ones in pairs by Marsaglia's polar method, from one seed.
 * @example randomSource(1).uniform() === randomSource(1).uniform() // true
 */
export function randomSource(seed: number): RandomSource {
  const generator = xoroshiro128plus(seed)
  const uniform = () => (generator.unsafeNext() >>> 0) / 4294967296
  let spare = 0
  let has = false
  function normal(): number {
    if (has) {
      has = false
      return spare
    }
    let a: number
    let b: number
    let square: number
    do {
      a = uniform() * 2 - 1
      b = uniform() * 2 - 1
      square = a * a + b * b
    } while (square >= 1 || square === 0)
    const factor = Math.sqrt((-2 * Math.log(square)) / square)
    spare = b * factor
    has = true
    return a * factor
  }
  return { uniform, normal }
}

/**
 * A seed from a name or an id, 32 bits by FNV-1a: names that differ little give seeds that differ much, which small numbers do not.
 * @example seedFrom('Maren') === seedFrom('Jo') // false
 */
export function seedFrom(text: string): number {
  let hash = 0x811c9dc5
  for (const sign of text) hash = Math.imul(hash ^ sign.codePointAt(0)!, 0x01000193)
  return hash >>> 0
}
