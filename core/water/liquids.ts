export interface LiquidPart {
  /** Share of all liquid by mass, 0–1; 0 where it is held by weight. */
  share: number
  /** g where it is held by weight, else 0. */
  grams: number
  /** Water content, 0–1. */
  water: number
}

/** How much water is wanted: its content in all that is liquid, or what is weighed as water. g. */
export type WantedWater = { content: number } | { weighed: number }

/**
 * Splits a wanted water over water and other liquids: some by their share of all liquid mass, some held by weight. Grams.
 * A ready-mixed lye's own water counts as part of the water, so what is left to weigh is that much less; it is
 * negative when solution and held liquids alone bring more than the formula wants.
 *
 * With M the mass of all liquid, Σx and Σxw over the liquids by share, Σg and Σgw over those held:
 * water in all = M(1 − Σx) − Σg, content = M(1 − Σx + Σxw) − Σg(1 − w).
 * @param waterInSolution water that a ready-mixed lye brings, 0 without one
 * @example divideLiquid({ content: 300.379 }, [{ share: 0.4, grams: 0, water: 0.87 }]).mass // 316.855
 */
export function divideLiquid(wanted: WantedWater, liquids: LiquidPart[], waterInSolution = 0) {
  let shares = 0
  let sharesOfWater = 0
  let held = 0
  let heldDry = 0
  for (const { share, grams, water } of liquids) {
    shares += share
    sharesOfWater += share * water
    held += grams
    heldDry += grams * (1 - water)
  }
  const waterShare = 1 - shares
  const contentShare = waterShare + sharesOfWater
  const mass =
    'content' in wanted
      ? (wanted.content + heldDry) / contentShare
      : (wanted.weighed + waterInSolution + held) / waterShare
  const smallestMass = (waterInSolution + held) / Math.max(waterShare, 0)
  return {
    mass,
    water: mass * waterShare - held - waterInSolution,
    /** g of water in all of it. */
    content: mass * contentShare - heldDry,
    liquids: liquids.map(({ share, grams }) => mass * share + grams),
    /** g water content below which there is nothing left to weigh; Infinity when the liquids leave no room for any. */
    smallestWanted: waterInSolution + held === 0 ? 0 : smallestMass * contentShare - heldDry,
  }
}
