import type { Formatter } from '../units/formatter'

/** Odds smaller than this are never said: the spread of the fats is not known that well. */
const smallestOdds = 0.001

/**
 * A chance in words: "1 in 800", "under 1 in 1,000", "60 of 100".
 * @example oddsText(0.013, say) // '1 in 80'
 */
export function oddsText(chance: number, say: Formatter): string {
  if (chance < smallestOdds) return `under 1 in ${say.number(1 / smallestOdds)}`
  const one = 1 / chance
  if (one < 2) return `${say.number(Math.round(chance * 100))} of 100`
  const step = one < 20 ? 1 : one < 200 ? 10 : 100
  return `1 in ${say.number(Math.max(2, Math.round(one / step) * step))}`
}
