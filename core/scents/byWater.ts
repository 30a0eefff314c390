import type { KnownScent } from '#contracts/scent'
import { median } from '../statistics/quantile'
import { sameWater } from './effect'

/** What a scent did at one water, the middle of its pots: minutes to medium and to past pouring; null where it never got there. */
export interface AtWater {
  ratio: number
  pots: number
  medium: number | null
  stiff: number | null
}

const middle = (minutes: (number | null)[]): number | null => {
  const seen = minutes.filter((one) => one !== null)
  return seen.length ? median(seen) : null
}

/**
 * What a scent did in own pots by their water, the driest first.
 * @example byWater({ tried: [{ day: '', rate: 0.05, ratio: 2.14, medium: 5, stiff: 10 }] })
 *   // [{ ratio: 2.14, pots: 1, medium: 5, stiff: 10 }]
 */
export function byWater({
  tried,
}: {
  tried: readonly Pick<KnownScent['tried'][number], 'ratio' | 'medium' | 'stiff'>[]
}): AtWater[] {
  const waters: { ratio: number; pots: Pick<KnownScent['tried'][number], 'medium' | 'stiff'>[] }[] =
    []
  for (const pot of [...tried].sort((a, b) => a.ratio - b.ratio)) {
    const here = waters.find(({ ratio }) => Math.abs(ratio - pot.ratio) <= sameWater)
    if (here) here.pots.push(pot)
    else waters.push({ ratio: pot.ratio, pots: [pot] })
  }
  return waters.map(({ ratio, pots }) => ({
    ratio,
    pots: pots.length,
    medium: middle(pots.map(({ medium }) => medium)),
    stiff: middle(pots.map(({ stiff }) => stiff)),
  }))
}

/**
 * What it did at the water nearest to one; null where it was never tried.
 * @example atNearest([{ ratio: 1.9, pots: 1, medium: 2, stiff: 4 }, { ratio: 2.8, pots: 1, medium: 14, stiff: 30 }], 2.6)?.medium // 14
 */
export const atNearest = (waters: readonly AtWater[], ratio: number): AtWater | null =>
  [...waters].sort((a, b) => Math.abs(a.ratio - ratio) - Math.abs(b.ratio - ratio))[0] ?? null

/**
 * What it did at the water that most of its pots were tried at, the driest of several; null where it was never tried.
 * @example atUsual([{ ratio: 1.9, pots: 1, medium: 2, stiff: 4 }, { ratio: 2.8, pots: 2, medium: 14, stiff: 30 }])?.medium // 14
 */
export const atUsual = (waters: readonly AtWater[]): AtWater | null =>
  waters.reduce<AtWater | null>((most, one) => (most && most.pots >= one.pots ? most : one), null)
