import type { Reached, Reading } from '#contracts/trial'
import type { TrialStage } from '#contracts/trialWords'
import { mean } from '../statistics/sum'
import { controlZero, stagesOf, type RoundPot } from './clocks'

/** Minutes that "at once" counts as: sooner nobody looks. */
const atOnce = 0.25
/** Stages to compare by, the nearest to medium first; of two that are as near the later one, which is read more surely. */
const nearest: TrialStage[] = ['medium', 'thick', 'light', 'too-far']

/** Stages by which one that never got there is bounded: the first it missed says most. */
const missed: TrialStage[] = ['light', 'medium', 'thick', 'too-far']

/** What all controls of a round say together: the geometric mean of their times. */
function together(controls: Partial<Record<TrialStage, Reached>>[], stage: TrialStage) {
  const seen = controls.flatMap((times) => times[stage] ?? [])
  const usable = seen.filter(({ minutes }) => minutes > 0)
  if (!usable.length) return null
  return {
    minutes: Math.exp(mean(usable.map(({ minutes }) => Math.log(minutes)))),
    unsure: usable.some(({ unsure }) => unsure),
  }
}

/**
 * What a pot says against the controls of its round; null when neither got anywhere, or there is no control.
 * @param round all its pots, this one included
 * @param tried share of the oils and water : lye of the pot
 * @example
 * readingOf(
 *   { zero: 0, marks: [{ minutes: 10, saw: 'medium' }], until: 60 },
 *   [{ zero: null, marks: [{ minutes: 40, saw: 'medium' }], until: 60 }],
 *   { rate: 0.05, ratio: 2.14 },
 * ).d // -1.38629
 */
export function readingOf(
  pot: RoundPot,
  round: readonly RoundPot[],
  tried: { rate: number; ratio: number },
): Reading | null {
  const plain = round.filter(({ zero }) => zero === null)
  if (pot.zero === null || !plain.length) return null
  const zero = controlZero(round)
  const own = stagesOf(pot.marks, pot.zero)
  const controls = plain.map(({ marks }) => stagesOf(marks, zero))
  const reading = (d: number, is: Reading['is'], unsure: boolean): Reading => ({
    d,
    is,
    unsure,
    ...tried,
  })
  for (const stage of nearest) {
    const control = together(controls, stage)
    const at = own[stage]
    if (control && at)
      return reading(
        Math.log(Math.max(atOnce, at.minutes) / control.minutes),
        'seen',
        at.unsure || control.unsure,
      )
  }
  for (const stage of missed) {
    const control = together(controls, stage)
    const watched = pot.until - pot.zero
    if (control && watched > 0)
      return reading(Math.log(watched / control.minutes), 'atLeast', control.unsure)
    const at = own[stage]
    const plainWatched = Math.max(...plain.map(({ until }) => until - zero))
    if (at && plainWatched > 0)
      return reading(Math.log(Math.max(atOnce, at.minutes) / plainWatched), 'atMost', at.unsure)
  }
  return null
}
