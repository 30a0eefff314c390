import type { Use } from '#contracts/words'
import { sumOf } from '../statistics/sum'
import type { AllergenFound } from './allergens'
import { wholeOf, type LabelLine } from './line'
import type { Formatter } from '../units/formatter'

/*
 * What a bar is in the eyes of those who make the rules goes by what it is for. A soap for the body is a cosmetic, one for dishes,
 * laundry or scrubbing a detergent: other papers, and another list.
 */

export type UseClass = 'cosmetic' | 'detergent'

/** What a bar of a class usually needs before it is sold: usually, and not everywhere. */
export const classWords: Record<UseClass, { says: string; needs: string; use: string }> = {
  cosmetic: {
    says: 'a cosmetic',
    needs:
      'A soap for the body is a cosmetic in most places: a safety assessment and a notification come before the first bar is sold, and its ingredients stand on it.',
    use: 'For body and hands.',
  },
  detergent: {
    says: 'a detergent',
    needs:
      'A soap for dishes, laundry or scrubbing is a detergent in most places: its list is in bands of shares, and it may need hazard labelling for what is in it.',
    use: 'For cleaning, not for skin.',
  },
}
const cleaning = new Set<Use>(['dishes', 'laundry', 'scrub'])
const useWords: Partial<Record<Use, string>> = {
  face: 'For the face.',
  hands: 'For hands.',
  hair: 'For hair.',
  shaving: 'For shaving.',
  baby: 'For a child’s skin.',
  dishes: 'For dishes, not for skin.',
  laundry: 'For laundry, not for skin.',
  scrub: 'For scrubbing floors and tables, not for skin.',
}

/**
 * What a bar is by what its formula is for; a batch that was kept for laundry is for cleaning whatever its formula says.
 * @example useClass('dishes', false) // 'detergent'
 */
export const useClass = (use: Use, laundry: boolean): UseClass =>
  laundry || cleaning.has(use) ? 'detergent' : 'cosmetic'

/**
 * What a bar is for, as its label says it.
 * @example useSays('dishes', false) // 'For dishes, not for skin.'
 */
export const useSays = (use: Use, laundry: boolean): string =>
  laundry && !cleaning.has(use)
    ? useWords.laundry!
    : (useWords[use] ?? classWords[useClass(use, laundry)].use)

/** Bands in which a detergent states what is in it. */
const bands = [
  { from: 0.3, says: '30 % and more' },
  { from: 0.15, says: '15–30 %' },
  { from: 0.05, says: '5–15 %' },
  { from: 0, says: 'less than 5 %' },
] as const

/**
 * The list of a detergent: how much soap in bands, then what is named whatever there is of it.
 * @param inBar the list as found in the bar
 * @example detergentList([{ latin: 'Sodium Cocoate', english: 'Sodium Cocoate', kind: 'salt', grams: 80, id: 'coconut' }], [], say) // '30 % and more soap'
 */
export function detergentList(
  inBar: readonly LabelLine[],
  allergens: readonly AllergenFound[],
  say: Formatter,
): string {
  const soap = sumOf(
    inBar.filter(({ kind }) => kind === 'salt'),
    ({ grams }) => grams,
  )
  const whole = wholeOf(inBar)
  const share = whole > 0 ? soap / whole : 0
  return say.list([
    `${bands.find(({ from }) => share >= from)!.says} soap`,
    ...(inBar.some(({ kind }) => kind === 'scent') ? ['perfumes'] : []),
    ...allergens.filter(({ named }) => named).map(({ name }) => name),
  ])
}
