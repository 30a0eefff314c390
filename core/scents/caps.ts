import { sumOf } from '../statistics/sum'

/**
 * The most of a blend that may be in the finished bar: 1/Σ(shareᵢ/capᵢ), since what is restricted in one may be in the other too.
 * @param parts shares of the blend, together 1, each with the most of it in the bar, 0–1; null where its supplier says none
 * @returns null where no part has a maximum; `whole` tells whether all have one
 * @example capOfBlend([{ share: 0.5, cap: 0.02 }, { share: 0.5, cap: 0.1 }]) // { cap: 0.0333333, whole: true }
 */
export function capOfBlend(
  parts: readonly { share: number; cap: number | null }[],
): { cap: number; whole: boolean } | null {
  const capped = parts.filter(({ share, cap }) => share > 0 && cap !== null)
  const used = sumOf(capped, ({ share, cap }) => (cap! > 0 ? share / cap! : Infinity))
  if (!capped.length || used <= 0) return null
  return {
    cap: 1 / used,
    whole: capped.length === parts.filter(({ share }) => share > 0).length,
  }
}

/**
 * The most of a scent that may go in, as a share of the oils, for a maximum on the finished bar.
 * @param cap share of the finished bar, 0–1
 * @param barPerOils what a bar without scent comes to when it is as dry as it gets, per gram of oils
 * @example mostOfOils(0.051, 1.2652) // 0.0679928
 */
export const mostOfOils = (cap: number, barPerOils: number): number =>
  cap >= 1 ? Infinity : (cap * barPerOils) / (1 - cap)
