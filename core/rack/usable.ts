import type { BatchEvent, Made, Usable } from '#contracts/batch'
import { oddsText } from '../risk/oddsText'
import { formatter } from '../units/formatter'
import { daysBetween, type Day } from '../units/days'

/** A strip of this or less is soap; up to the second it is tested again; above that it is lye. */
export const soapPh = 10
export const lyePh = 11
/** Days after which a held or locked batch is tested again. */
export const againAfter = 3
/** Days after the pour at which weights may be trusted: by then right weights leave no free lye; and where it saponified slowly. */
export const trustAfter = 2
export const trustSlowAfter = 5

/**
 * Whether a test or the weights speak against it: nothing of it goes to others.
 * @example isBlocked({ state: 'locked' }) // true
 */
export const isBlocked = ({ state }: Pick<Usable, 'state'>): boolean =>
  state === 'held' || state === 'locked'

const keyOf = ({ bar, pot }: { bar: number | null; pot: number | null }) => `${bar} ${pot}`

/**
 * Whether bars may be used, by the tests and the weights. The latest test of each bar and pot counts, and of those the worst; a
 * strip that was too dry says nothing. Free lye by the weights locks whatever a strip says: strips miss it in patches.
 * @param events that hold, in order
 * @param made as weighed; undefined where nobody weighed at the bench
 * @param builders soda or silicate is in it: its lather reads high without any free lye, so no strip decides, for or against
 * @example usableOf([told({ kind: 'strip', day: '2026-03-03', ph: 9, where: 'lather' })], undefined)
 *   // { state: 'usable', since: '2026-03-03', ph: 9, because: 'strip' }
 */
export function usableOf(
  events: readonly BatchEvent[],
  made: Made | undefined,
  builders = false,
): Usable {
  if (made && made.superfat < 0)
    return { state: 'locked', since: null, ph: null, because: 'weights' }
  const strips = new Map<string, { ph: number; day: Day }>()
  const zaps = new Map<string, { zap: boolean; day: Day }>()
  let trustedOn: Day | null = null
  for (const event of events) {
    if (event.kind === 'strip' && !event.tooDry) strips.set(keyOf(event), event)
    if (event.kind === 'zapped') zaps.set(keyOf(event), event)
    if (event.kind === 'trusted') trustedOn = event.day
  }
  const zapped = [...zaps.values()].findLast(({ zap }) => zap)
  const worst = [...strips.values()].reduce<{ ph: number; day: Day } | null>(
    (most, one) => (!most || one.ph > most.ph ? one : most),
    null,
  )
  const latest = [...strips.values()].reduce<Day | null>(
    (last, { day }) => (!last || day > last ? day : last),
    null,
  )
  const ph = worst?.ph ?? null
  if (zapped) return { state: 'locked', since: zapped.day, ph, because: 'zap' }
  if (builders)
    return trustedOn
      ? { state: 'trusted', since: trustedOn, ph, because: 'weights' }
      : { state: 'untested', since: null, ph, because: 'nothing' }
  if (worst && worst.ph > lyePh) return { state: 'locked', since: worst.day, ph, because: 'strip' }
  if (worst && worst.ph > soapPh) return { state: 'held', since: worst.day, ph, because: 'strip' }
  if (worst) return { state: 'usable', since: latest, ph, because: 'strip' }
  if (trustedOn) return { state: 'trusted', since: trustedOn, ph: null, because: 'weights' }
  return { state: 'untested', since: null, ph: null, because: 'nothing' }
}

/**
 * The day on which to test, or to test again; null when there is nothing to test for.
 * @example testOn({ state: 'untested' }, '2026-03-01', () => '2026-03-03') // '2026-03-03'
 */
export const testOn = (usable: Usable, pouredOn: Day, addDays: (day: Day, count: number) => Day) =>
  usable.state === 'untested'
    ? addDays(pouredOn, trustAfter)
    : isBlocked(usable) && usable.since
      ? addDays(usable.since, againAfter)
      : null

/** What of a batch decides whether its weights can be trusted. */
export interface Trust {
  usable: Usable
  /** Somebody weighed at the bench, or wrote the weights up; undefined in facts from before it was told apart. */
  weights?: boolean
  /** It saponified slowly: no gel, citric acid, a cold pot or a cold room. */
  slow?: boolean
  /** Chance of lye left over by the spread of the fats; null while it is being worked out. */
  lyeHeavy: number | null
}

/**
 * Why weights cannot be trusted on a day, or null when they can.
 * @param most chance that the workshop puts up with for what this soap is for; null where it does not ask
 * @example whyNotTrusted('2026-03-01', '2026-03-01', { usable: { state: 'untested' }, lyeHeavy: null }, null)
 *   // 'Weights can be trusted 48 hours after the pour, not before.'
 */
export function whyNotTrusted(
  pouredOn: Day,
  day: Day,
  { usable, weights, slow, lyeHeavy }: Trust,
  most: number | null,
): string | null {
  if (weights === false)
    return 'Nobody weighed this batch at the bench, so there are no weights to trust: hold a strip to it.'
  const days = daysBetween(pouredOn, day)
  if (days < trustAfter) return 'Weights can be trusted 48 hours after the pour, not before.'
  if (slow && days < trustSlowAfter)
    return `Without gel, with citric acid, in a cold pot or a cold room soap is slow to finish: weights can be trusted ${trustSlowAfter} days after the pour.`
  if (isBlocked(usable)) return 'A test says otherwise: trusting the weights does not undo it.'
  if (most === null) return null
  if (lyeHeavy === null)
    return 'How likely lye is left over is still being worked out: try again in a moment.'
  const say = formatter()
  return lyeHeavy > most
    ? `By the spread of its fats, lye is left over in ${oddsText(lyeHeavy, say)} such batches, and this workshop puts up with ${oddsText(most, say)}: that wants a strip.`
    : null
}
