import type { KnownScent } from '#contracts/scent'
import { atUsual, byWater } from './byWater'

type Tried = Pick<KnownScent, 'id' | 'scent' | 'tried'>

/**
 * Minutes to medium at the water that most of its pots were tried at; infinite where none of them got there, null where it was never
 * tried.
 * @example mediumMinutes({ tried: [{ day: '', rate: 0.05, ratio: 2.14, medium: 5, stiff: 10 }] }) // 5
 */
export function mediumMinutes(known: {
  tried: readonly Pick<KnownScent['tried'][number], 'ratio' | 'medium' | 'stiff'>[]
}): number | null {
  const usual = atUsual(byWater(known))
  return usual && (usual.medium ?? Infinity)
}

/**
 * Smells that two scents share, as the workshop wrote them down.
 * @example sharedSmells({ scent: { smells: ['rose', 'clove'] } }, { scent: { smells: ['clove'] } }) // ['clove']
 */
export const sharedSmells = (
  one: { scent: Pick<KnownScent['scent'], 'smells'> },
  other: { scent: Pick<KnownScent['scent'], 'smells'> },
): string[] => one.scent.smells.filter((smell) => other.scent.smells.includes(smell))

/** How many calmer and how many faster ones are named. */
const named = 2

/**
 * Scents that smell like one and were tried here too: calmer ones and faster ones, the likest first. None for one that was not tried.
 * @example likeIt({ id: 'a', scent: { smells: [] }, tried: [] }, []) // { calmer: [], faster: [] }
 */
export function likeIt<One extends Tried>(
  of: Tried,
  all: Iterable<One>,
): { calmer: One[]; faster: One[] } {
  const minutes = mediumMinutes(of)
  if (minutes === null) return { calmer: [], faster: [] }
  const others = [...all].flatMap((one) => {
    const shared = sharedSmells(of, one).length
    const own = mediumMinutes(one)
    return one.id !== of.id && own !== null && shared > 0 ? [{ one, own, shared }] : []
  })
  const far = (own: number) => (own === minutes ? 0 : Math.abs(own - minutes))
  others.sort((a, b) => b.shared - a.shared || far(a.own) - far(b.own))
  const some = (fits: (own: number) => boolean) =>
    others
      .filter(({ own }) => fits(own))
      .slice(0, named)
      .map(({ one }) => one)
  return { calmer: some((own) => own > minutes), faster: some((own) => own < minutes) }
}
