/* The words of a making day that are lists of choices. Apart from the schema, so that a screen does not load what validates. */

/** What matters on a day: that it is short, that nobody hurries before a pour, or that it is over early. */
export const dayWishes = ['shortest', 'calm', 'early'] as const
export type DayWish = (typeof dayWishes)[number]

/** Kinds of work on a day, as people learn their own minutes of. */
export const dayWorks = ['lye', 'late-lye', 'weigh', 'ready', 'fats-on', 'batter', 'rinse'] as const
export type DayWork = (typeof dayWorks)[number]
