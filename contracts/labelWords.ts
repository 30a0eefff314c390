/* Words that labels are made of: what a bar is sold as, and how its list is written where it is sold. */

/** What a bar is sold as: that decides which rules are asked for. */
export const saleClasses = ['cosmetic', 'detergent', 'household'] as const
export type SaleClass = (typeof saleClasses)[number]

/** A list of what was weighed, or of what is in the bar. */
export const listCustoms = ['put-in', 'in-bar'] as const
export type ListCustom = (typeof listCustoms)[number]

export const plantNames = ['latin', 'english', 'both'] as const
export type PlantNames = (typeof plantNames)[number]
