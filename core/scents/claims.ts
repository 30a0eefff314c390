import type { Claims, Effect, Judged, StrengthOn } from '#contracts/scent'
import type { PaceWord } from '#contracts/trialWords'
import { faint } from './noses'

/** What was found of it here. */
export interface Found {
  effect: Effect | null
  /** CIEDE2000 from plain, by day. */
  colour: readonly { day: number; from: number }[]
  strength: readonly StrengthOn[]
}

/** Part of the plain batter's time below which a scent does not behave, and above which one that hurries does not hurry (judgement). */
const hasty = 0.75
/** Part of it above which one slows. */
const slow = 1.1
/**
 * From when to when a pot is medium, in minutes, if its supplier's word is right: slower than is said does no harm.
 * @param plain minutes to medium of plain batter
 * @example promisedMinutes('behaves', 32) // { from: 24, to: Infinity }
 */
export const promisedMinutes = (pace: PaceWord, plain: number): { from: number; to: number } =>
  pace === 'hurries' ? { from: 0, to: plain * hasty } : { from: plain * hasty, to: Infinity }

/** CIEDE2000 from plain from which a bar is no longer pale. */
const visible = 5
/** Day by which one that keeps must still be more than weak. */
const keepsUntil = 60

/**
 * Which of a supplier's claims held here, of those that can be judged by now.
 * @example
 * judgedClaims(
 *   { pace: 'behaves', colour: 'pale', keeps: null },
 *   { effect: { b: -1.13, sd: 0.17, factor: 0.322, from: 0.244, to: 0.426, pots: 2, rests: 'own' }, colour: [{ day: 90, from: 2.2 }], strength: [] },
 * ) // [{ claim: 'pace', held: false }, { claim: 'colour', held: true }]
 */
export function judgedClaims(claims: Claims, { effect, colour, strength }: Found): Judged[] {
  const judged: Judged[] = []
  if (claims.pace && effect && effect.pots > 0) {
    const { factor } = effect
    const held =
      claims.pace === 'behaves'
        ? factor >= hasty
        : claims.pace === 'hurries'
          ? factor < hasty
          : factor > slow
    judged.push({ claim: 'pace', held })
  }
  const latest = colour.at(-1)
  if (claims.colour && latest) {
    const pale = latest.from < visible
    judged.push({ claim: 'colour', held: (claims.colour === 'pale') === pale })
  }
  const later = strength.filter(({ day }) => day >= keepsUntil)
  const faded = strength.some(({ middle }) => middle <= faint)
  if (claims.keeps !== null && (later.length || faded)) {
    const keeps = strength.at(-1)!.middle > faint
    judged.push({ claim: 'keeps', held: claims.keeps === keeps })
  }
  return judged
}
