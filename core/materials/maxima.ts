import type { KnownScent } from '#contracts/scent'
import type { CapUse } from '#contracts/trialWords'
import type { Use } from '#contracts/words'

/**
 * Which maximum of a sheet counts for a use.
 * @example capUseOf('scrub') // 'wash'
 */
export function capUseOf(use: Use): CapUse {
  switch (use) {
    case 'body':
    case 'hands':
    case 'scrub':
      return 'wash'
    case 'dishes':
    case 'laundry':
      return 'household'
    case 'hair':
    case 'shaving':
    case 'face':
    case 'baby':
      return use
  }
}

/**
 * The most of a scent that its sheet allows in a finished bar of a use, 0–1; null where it says nothing for it.
 * @example maximumFor({ maxima: { wash: 0.051 } }, 'body') // 0.051
 */
export const maximumFor = (
  known: Pick<KnownScent, 'maxima'> | undefined,
  use: Use,
): number | null => known?.maxima[capUseOf(use)] ?? null
