import type { Reached } from '#contracts/trial'
import type { TrialSign, TrialStage } from '#contracts/trialWords'
import { median } from '../statistics/quantile'

/** What was seen in a pot, on the clock that all pots share. */
export interface Mark {
  /** Minutes since lye and oils met. */
  minutes: number
  saw: TrialStage | TrialSign
  /** Whoever marked it was not sure. */
  unsure?: boolean
}

/** A pot of a round. */
export interface RoundPot {
  /** Minutes on the shared clock at which its scent went in; null for a control. */
  zero: number | null
  marks: readonly Mark[]
  /** Minutes on the shared clock until which it was watched. */
  until: number
}

const order: Record<TrialStage, number> = {
  emulsion: 0,
  light: 1,
  medium: 2,
  thick: 3,
  'too-far': 4,
}
/** The stages of a pot in their order. */
export const stagesInOrder = Object.keys(order) as TrialStage[]
const isStage = (saw: Mark['saw']): saw is TrialStage => saw in order
/** A pot that seizes is past pouring at once. */
const stageOf = (saw: Mark['saw']): number | null =>
  saw === 'seizes' ? order['too-far'] : isStage(saw) ? order[saw] : null

const byClock = (marks: readonly Mark[]) => [...marks].sort((a, b) => a.minutes - b.minutes)
/** When scent went into those that got any. */
const zerosOf = (pots: readonly RoundPot[]) =>
  pots.flatMap(({ zero }) => (zero === null ? [] : [zero]))

/**
 * When a pot first reached each stage, in minutes from its zero. Who marks "thick" without having seen "medium" has seen it pass:
 * it was reached by then. What came before it loosened was not it yet.
 * @param zero of the pot on the shared clock
 * @example stagesOf([{ minutes: 14, saw: 'light' }, { minutes: 20, saw: 'medium' }], 10).medium // { minutes: 10, unsure: false }
 */
export function stagesOf(
  marks: readonly Mark[],
  zero: number,
): Partial<Record<TrialStage, Reached>> {
  const sorted = byClock(marks)
  const loosened = sorted.findLastIndex(({ saw }) => saw === 'loosens')
  const reached: Partial<Record<TrialStage, Reached>> = {}
  for (const { minutes, saw, unsure = false } of sorted.slice(loosened + 1)) {
    const to = stageOf(saw)
    if (to === null || minutes < zero) continue
    for (const stage of stagesInOrder)
      if (order[stage] <= to) reached[stage] ??= { minutes: minutes - zero, unsure }
  }
  return reached
}

/**
 * From when to when a pot was grainy, in minutes from its zero; `to` null where nobody saw it smooth again.
 * @example ricedOf([{ minutes: 11, saw: 'rices' }, { minutes: 15, saw: 'smooth-again' }], 10) // { from: 1, to: 5 }
 */
export function ricedOf(
  marks: readonly Mark[],
  zero: number,
): { from: number; to: number | null } | null {
  const sorted = byClock(marks)
  const riced = sorted.find(({ saw }) => saw === 'rices')
  if (!riced) return null
  const smooth = sorted.find(
    ({ saw, minutes }) => saw === 'smooth-again' && minutes > riced.minutes,
  )
  return { from: riced.minutes - zero, to: smooth ? smooth.minutes - zero : null }
}

/**
 * Zero of the controls of a round on the shared clock: the middle of the others' zeros, since the batter ages while they are dosed.
 * @example controlZero([{ zero: 10, marks: [], until: 60 }, { zero: 14, marks: [], until: 60 }, { zero: null, marks: [], until: 60 }])
 *   // 12
 */
export function controlZero(pots: readonly RoundPot[]): number {
  const zeros = zerosOf(pots)
  return zeros.length ? median(zeros) : 0
}

/** Part of the control's own time that dosing may take before the round says so. */
const longDosing = 0.2

/**
 * Whether dosing took so long that the last pot was dosed into another batter than the first: over a fifth of the control's time to
 * medium, or of the time it was watched where it never got there.
 * @example
 * dosedTooLong([
 *   { zero: 5, marks: [], until: 60 },
 *   { zero: 20, marks: [], until: 60 },
 *   { zero: null, marks: [{ minutes: 50, saw: 'medium' }], until: 60 },
 * ]) // true
 */
export function dosedTooLong(pots: readonly RoundPot[]): boolean {
  const zeros = zerosOf(pots)
  const control = pots.find(({ zero }) => zero === null)
  if (!zeros.length || !control) return false
  const zero = controlZero(pots)
  const time = stagesOf(control.marks, zero).medium?.minutes ?? control.until - zero
  return Math.max(...zeros) - Math.min(...zeros) > longDosing * time
}
