import type { PeekFind, Touch } from '#contracts/rackWords'

/* What to do about a loaf in its mould, by what is seen and felt. Rules of the craft. */

export interface LookAdvice {
  /** What it is. */
  says: string
  /** What to do. */
  so: string
  /** Something is wrong with it, beyond its looks. */
  bad: boolean
}

/**
 * What is seen under the cover after the pour, and what to do about it.
 * @example peekAdvice('fine', false) // { says: 'As it should be: even, not rising.', so: 'Cover it again.', bad: false }
 */
export function peekAdvice(find: PeekFind, milk: boolean): LookAdvice {
  switch (find) {
    case 'fine':
      return { says: 'As it should be: even, not rising.', so: 'Cover it again.', bad: false }
    case 'ring':
      return {
        says: 'A darker, translucent middle: gel has begun and not reached the sides.',
        so: milk
          ? 'Milk wants no gel: uncover it and cool the mould with moving air. A ring may stay; it is looks only.'
          : 'Wrap it warmer now and it goes through to the sides, or live with a ring. It is looks only.',
        bad: false,
      }
    case 'hot':
      return {
        says: 'Cracked, domed or rising: it is too hot.',
        so: 'Uncover it, take the mat away, stand it in moving cool air. If it climbs out of the mould, gloves and goggles on, spoon it back; press the crack closed while it is soft.',
        bad: false,
      }
    case 'wet':
      return {
        says: 'Oil or clear liquid on top: it may be separating, and the liquid may be lye.',
        so: 'Gloves on, touch nothing bare. Leave it a day: a thin film of oil is often taken up again. If liquid stays, it is lye-heavy in places: do not use it; test several places, or look at what can be rescued.',
        bad: true,
      }
  }
}

/** Hours that a loaf waits before it is tried again. */
const waits: Record<Touch, number | null> = { soft: 12, sticky: 24, firm: null, hard: null }
/** Hours in the freezer after which a soft loaf lets go of its mould. */
const freezeHours = 2
/** From which share of the hours to its window on a loaf may go there, and from which hour where nobody knows its window: raw it must not. */
const freezeFrom = { share: 0.8, hours: 18 } as const

export interface TouchAdvice extends LookAdvice {
  /** Hours to wait, and with the freezer, where it may go there; null when it can be cut now. */
  again: { waiting: number; frozen: number | null } | null
}

/**
 * What a finger says of a loaf in its mould.
 * A freezer is spoken of only near its window or after it: a raw loaf stops turning into soap there.
 * @param hours since the pour; null when nobody knows
 * @param window hours between which it should be cut
 * @example touchAdvice('firm', 24, { from: 20, to: 40 })
 *   // { says: 'Firm, like cold cheese: this is the moment.', so: 'Gloves on, it is still caustic. Unmould and cut it now.', bad: false, again: null }
 */
export function touchAdvice(
  touch: Touch,
  hours: number | null,
  window: { from: number; to: number } | null,
): TouchAdvice {
  const early = hours !== null && window !== null && hours < window.from
  const late = hours !== null && window !== null && hours > window.to
  const mayFreeze =
    hours !== null && hours >= (window ? window.from * freezeFrom.share : freezeFrom.hours)
  const frozen = mayFreeze ? freezeHours : null
  switch (touch) {
    case 'soft':
      return {
        says: early
          ? 'Too soft, and that is to be expected: its window has not opened.'
          : late
            ? 'Still soft after its window: much water, soft oils or a high superfat.'
            : 'Too soft to stand by itself: it would bend and keep the marks of fingers.',
        so: mayFreeze
          ? `Try again in ${waits.soft} hours, or put it in the freezer for ${freezeHours}: it comes out of the mould hard and sweats a little afterwards.`
          : `Try again in ${waits.soft} hours. Not into the freezer yet: it is still turning into soap.`,
        bad: false,
        again: { waiting: waits.soft!, frozen },
      }
    case 'sticky':
      return {
        says: 'Sides that stick tear when the mould is pulled.',
        so: mayFreeze
          ? `Wait a day: it shrinks from the sides by itself. In a hurry, freeze it for ${freezeHours} hours and let it stand ten minutes first.`
          : 'Wait a day: it shrinks from the sides by itself.',
        bad: false,
        again: { waiting: waits.sticky!, frozen },
      }
    case 'firm':
      return {
        says: 'Firm, like cold cheese: this is the moment.',
        so: 'Gloves on, it is still caustic. Unmould and cut it now.',
        bad: false,
        again: null,
      }
    case 'hard':
      return {
        says: 'Hard: under a wire or knife it may crumble at the edges.',
        so: 'Cut at once, with a thin blade, in one slow push. Warm it first to 30 to 35 °C if it cracks; very hard salt or coconut soap is best sawn.',
        bad: false,
        again: null,
      }
  }
}
