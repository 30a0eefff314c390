import type { BatchEvent, BatchFacts, NewBatchEvent } from '#contracts/batch'
import type { Place } from '#contracts/workshop'
import type { RiskLimits } from '../risk/odds'
import type { Standing } from '../rack/standing'
import type { Day } from '../units/days'
import type { Formatter } from '../units/formatter'

/** Kinds of what happens to a batch. Taking back is none of them: it only says that another event does not hold. */
export type Kind = Exclude<BatchEvent['kind'], 'undone'>
export type EventOf<K extends Kind> = Extract<BatchEvent, { kind: K }>
export type NewEventOf<K extends Kind> = Extract<NewBatchEvent, { kind: K }>

/** A batch as it is when something is said to have happened to it. */
export interface Before {
  facts: BatchFacts
  /** By the workshop's clock. */
  today: Day
  /** Chance of lye left over that the workshop puts up with. */
  limits: RiskLimits
}

/** What an event's sentence is made with. */
export interface Words {
  say: Formatter
  /** Planks and trays of the workshop. */
  places: readonly Place[]
}

/** An event on the line of a batch's life. */
export interface Mark {
  says: string
  looks: 'plain' | 'good' | 'bad'
}

/** A way to write an event down, as a button or in a menu. */
export interface Offer {
  says: string
  /** Among what is likely to come next, or first of all; else in the menu. */
  next?: boolean
  first?: boolean
}

/** All that Mantle knows of one kind of event besides what it holds, which is in contracts. */
export interface EventKind<K extends Kind> {
  /** Why it cannot have happened, or null when it can. That its day is none to come is seen to already. */
  whyNot(event: EventOf<K>, before: Before): string | null
  /** What happened, in one line without a full stop. */
  says(event: NewEventOf<K>, words: Words): string
  /** On the line of the batch's life; none where it is not drawn there. */
  mark?(event: EventOf<K>, words: Words): Mark | null
  /** Done again and again: folded in lists, and no more than a tick on the line. */
  often?: { tick: 'long' | 'short' | null }
  /** May be told of a day before the pour. */
  anyDay?: boolean
  /** When it is offered; not there where it is told by other means only. */
  offer?(standing: Standing, facts: BatchFacts): Offer | null
  /** The dialog that asks for it. */
  dialog?: { title: string; confirm: string; cancel?: string; wide?: boolean }
}

export const notPoured = 'This batch is not poured yet.'
export const notCut = 'This batch is not cut yet.'
/**
 * For what needs a pour.
 * @example afterPour(null, { facts: batch().facts }) // 'This batch is not poured yet.'
 */
export const afterPour = (_event: unknown, { facts }: Before): string | null =>
  facts.pouredOn ? null : notPoured
/**
 * For what needs bars.
 * @example afterCut(null, { facts: batch().facts }) // 'This batch is not cut yet.'
 */
export const afterCut = (_event: unknown, { facts }: Before): string | null =>
  facts.cutOn ? null : notCut
/**
 * For what needs a loaf that is not cut.
 * @example beforeCut(null, cut) // 'This batch is cut already.'
 */
export const beforeCut = (_event: unknown, { facts }: Before): string | null => {
  if (!facts.pouredOn) return notPoured
  return facts.cutOn ? 'This batch is cut already.' : null
}

/**
 * Why bars may not be put into other hands; null when they may.
 * @example blocked({ usable: { state: 'locked', because: 'zap' }, releasedOn: null })
 *   // 'It is locked: there may be free lye in it. It cannot be sold or given.'
 */
export function blocked({ usable, releasedOn }: BatchFacts): string | null {
  if (usable.state === 'held')
    return 'It is held: a strip read over 10. Test it again before it goes out.'
  if (usable.state === 'locked')
    return 'It is locked: there may be free lye in it. It cannot be sold or given.'
  if (usable.state === 'untested' && !releasedOn)
    return 'It was never tested: a strip first, or trust the weights.'
  return null
}

/**
 * Offered of every batch that is poured and has not left.
 * @example whilePoured('Note it')({ stage: 'curing', pouredOn: '2026-03-01' }) // { says: 'Note it' }
 */
export const whilePoured =
  (says: string) =>
  ({ stage, pouredOn }: Standing): Offer | null =>
    pouredOn && stage !== 'left' ? { says } : null
/**
 * Offered of every batch that is cut and has not left.
 * @example whileCut('Note it')({ stage: 'curing', cutOn: null }) // null
 */
export const whileCut =
  (says: string) =>
  ({ stage, cutOn }: Standing): Offer | null =>
    cutOn && stage !== 'left' ? { says } : null
/**
 * Offered of every batch that is poured and not cut yet.
 * @example whileLoaf({ says: 'Look under the cover' })(standing, cut.facts) // null
 */
export const whileLoaf =
  (offer: Offer) =>
  ({ stage, pouredOn, cutOn }: Standing): Offer | null =>
    pouredOn && !cutOn && stage !== 'left' ? offer : null
