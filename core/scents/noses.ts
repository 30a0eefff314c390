import type { StrengthOn } from '#contracts/scent'
import type { Sniff } from '#contracts/trial'
import type { NoseDay, Strength } from '#contracts/trialWords'
import type { RandomSource } from '../statistics/randomSource'
import { median } from '../statistics/quantile'
import { roundTo } from '../statistics/roundTo'
import { shuffled } from '../statistics/shuffled'

/** Days after a trial on which its jars want a nose. */
export const noseDays: readonly NoseDay[] = [1, 14, 30, 60, 90]

/**
 * Strength by day, the first day first: the median of the noses with its spread.
 * @example strengthByDay([{ nose: 'Jo', day: 14, strength: 3 }, { nose: 'Maren', day: 14, strength: 2 }])
 *   // [{ day: 14, middle: 2.5, from: 2, to: 3, noses: 2 }]
 */
export function strengthByDay(sniffs: readonly Sniff[]): StrengthOn[] {
  const days = [...new Set(sniffs.map(({ day }) => day))].sort((a, b) => a - b)
  return days.map((day) => {
    const found = sniffs.filter((one) => one.day === day).map(({ strength }) => strength)
    return {
      day,
      middle: roundTo(median(found), 1),
      from: Math.min(...found) as Strength,
      to: Math.max(...found) as Strength,
      noses: found.length,
    }
  })
}

/** Below this middle a scent has faded: between gone and weak. */
export const faint = 1

/**
 * The first day on which a scent had faded to weak or less and stayed so; null where it has not.
 * @example fadesBy([{ day: 1, middle: 3, from: 3, to: 3, noses: 1 }, { day: 30, middle: 1, from: 1, to: 1, noses: 1 }]) // 30
 */
export function fadesBy(byDay: readonly StrengthOn[]): number | null {
  const last = byDay.findLastIndex(({ middle }) => middle > faint)
  return byDay[last + 1]?.day ?? null
}

/**
 * The order in which a nose gets the jars, controls among them: another one for each nose, and never by what is in them.
 * @param random seeded by the round and the nose, so that a reload gives the same order
 * @example sniffingOrder(['NA7', 'KF4'], random).length // 2
 */
export const sniffingOrder = (codes: readonly string[], random: RandomSource): string[] =>
  shuffled([...codes].sort(), random)

/**
 * Whether a nose's round counts: who smells something in the plain jar smells what is not there, and the round is set apart.
 * @param control what the nose wrote of the controls
 * @example noseCounts([0, 0]) // true
 */
export const noseCounts = (control: readonly Strength[]): boolean =>
  control.every((strength) => strength === 0)
