/*
 * From cost to price and back. What a maker keeps is always a share of what reaches her, never a mark-up on the cost.
 */

/** What lies between a price and what reaches the maker. Shares of the price, but for the tax. */
export interface Between {
  /** Of the stall, shop window or card. */
  fee: number
  /** Given away, as "three for …". */
  discount: number
  /** What a shop that sells it on keeps. */
  wholesale: number
  /** Tax that is within the price, as a share of the price without it: 0.2 where 20 % is put on. */
  tax: number
}

/**
 * What reaches the maker of a price.
 * @example reaches(450, { fee: 0.08, discount: 0.05, wholesale: 0, tax: 0 }) // 391.5
 */
export const reaches = (price: number, { fee, discount, wholesale, tax }: Between): number =>
  (price * (1 - discount - wholesale)) / (1 + tax) - price * fee

/**
 * The price at which a share of what reaches the maker is kept; null where nothing reaches her whatever the price.
 * @param keep share of what reaches the maker that is not spent, 0–1
 * @example priceFor(135.125, 0.6, { fee: 0, discount: 0, wholesale: 0, tax: 0 }) // 337.813
 */
export function priceFor(cost: number, keep: number, between: Between): number | null {
  const share = reaches(1, between)
  return share > 0 && keep < 1 ? cost / (1 - keep) / share : null
}

/**
 * What may be spent on a bar that is sold at a price.
 * @example maySpend(450, 0.6, { fee: 0.08, discount: 0.05, wholesale: 0, tax: 0 }) // 156.6
 */
export const maySpend = (price: number, keep: number, between: Between): number =>
  Math.max(0, reaches(price, between)) * (1 - keep)

/**
 * The share of what reaches the maker that a cost leaves her; null where nothing reaches her.
 * @example keptOf(450, 172.2, { fee: 0.08, discount: 0.05, wholesale: 0, tax: 0 }) // 0.560153
 */
export function keptOf(price: number, cost: number, between: Between): number | null {
  const reached = reaches(price, between)
  return reached > 0 ? 1 - cost / reached : null
}
