import type { NetStep } from '#contracts/labelWords'
import { sumOf } from '../statistics/sum'
import { gramsPer } from '../units/measures'
import type { Formatter } from '../units/formatter'

/**
 * Grams that a label may state: rounded down to its step, never up; of a bar lighter than a step to the gram.
 * @param grams that nearly all bars still weigh when long dried
 * @example netStated(113.7, 5) // 110
 */
export function netStated(grams: number, step: NetStep): number {
  const down = Math.floor(grams / step + 1e-9) * step
  return down > 0 ? down : Math.max(0, Math.floor(grams + 1e-9))
}

/**
 * The net weight in words: grams, and ounces beside them where both are wanted, each rounded down by itself from what the bars weigh.
 * @param dual grams and ounces; else grams alone
 * @example netSays(113.7, 5, true, say) // '110 g · 4.0 oz'
 */
export function netSays(grams: number, step: NetStep, dual: boolean, say: Formatter): string {
  const stated = `${say.number(netStated(grams, step))} g`
  if (!dual) return stated
  return `${stated} · ${say.number(Math.floor((grams / gramsPer.oz) * 10 + 1e-9) / 10, 1)} oz`
}

/** One batch of a set: bars of it, and what each may be stated to weigh. */
export interface SetBar {
  name: string
  bars: number
  grams: number
  list: string
}

/**
 * What a set of bars states: the net weight of all, and the list of each under its name.
 * @example setSays([{ name: 'Hostel Bar', bars: 2, grams: 110, list: 'Aqua' }], say).net // '2 × 110 g, 220 g in all'
 */
export function setSays(bars: readonly SetBar[], say: Formatter): { net: string; list: string } {
  const byWeight = new Map<number, number>()
  for (const { bars: count, grams } of bars) byWeight.set(grams, (byWeight.get(grams) ?? 0) + count)
  const each = [...byWeight].map(
    ([grams, count]) => `${say.number(count)} × ${say.number(grams)} g`,
  )
  const all = sumOf(bars, ({ bars: count, grams }) => count * grams)
  return {
    net: `${say.list(each)}, ${say.number(all)} g in all`,
    list: bars.map(({ name, list }) => `${name}: ${list}`).join('\n'),
  }
}
