/* The words of the rack that are lists of choices. */

/** How far the mass turned translucent. */
export const gels = ['none', 'partial', 'full'] as const
export type Gel = (typeof gels)[number]

/** Why a bar is not a good one. */
export const rejectReasons = ['crumbled', 'air', 'cracked', 'crooked', 'colour', 'other'] as const
export type RejectReason = (typeof rejectReasons)[number]

/** Where a strip was held. */
export const stripPlaces = ['lather', 'face'] as const
export type StripPlace = (typeof stripPlaces)[number]

/** Where bars went. */
export const outs = ['sold', 'given', 'used', 'reworked', 'binned', 'sample'] as const
export type Out = (typeof outs)[number]
