import type { Use } from '#contracts/words'
import { usualFats } from '#core/finder/help'
import type { Exclusion } from '#core/finder/wish'

/** What the finder was last asked, as it stands on screen: numbers may be missing. */
export interface WishDraft {
  use: Use
  superfat: number | null
  atMost: number | null
  keeper: boolean
  aim: 'nearest' | 'cheapest'
  exclude: Exclusion[]
  choices: Record<string, { least: number | null; most: number | null }>
}

export const freshWish = (): WishDraft => ({
  use: 'body',
  superfat: 0.05,
  atMost: 5,
  keeper: false,
  aim: 'nearest',
  exclude: [],
  choices: Object.fromEntries(usualFats.map((id) => [id, { least: 0, most: 1 }])),
})

/** A wish as this browser kept it, with what a newer Mantle asks besides; null when it is none. */
export function asWish(value: unknown): WishDraft | null {
  const usual = freshWish()
  const wish = value as Partial<WishDraft> | null
  if (typeof wish !== 'object' || wish === null || typeof wish.choices !== 'object') return null
  const isRange = (one: unknown) =>
    typeof one === 'object' && one !== null && 'least' in one && 'most' in one
  return {
    ...usual,
    ...wish,
    exclude: Array.isArray(wish.exclude) ? wish.exclude : [],
    choices: Object.fromEntries(
      Object.entries(wish.choices ?? {}).filter(([, one]) => isRange(one)),
    ),
  }
}
