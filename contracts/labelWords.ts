/* Words that labels are made of: how a list is written where a bar is sold. */

/** A list of what was weighed, or of what is in the bar. */
export const listCustoms = ['put-in', 'in-bar'] as const

export const plantNames = ['latin', 'english', 'both'] as const
export type PlantNames = (typeof plantNames)[number]
