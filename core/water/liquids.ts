export interface LiquidShare {
  /** Share of all liquid by mass, 0–1. */
  share: number
  /** Water content, 0–1. */
  water: number
}

/**
 * Splits a wanted water content over water and other liquids by their shares of all liquid mass. Grams.
 * A ready-mixed lye's own water counts as part of the water, so what is left to weigh is that much less; it is
 * negative when the solution alone brings more than the formula wants.
 * @param wanted water content wanted in all
 * @param waterInSolution water that a ready-mixed lye brings, 0 without one
 */
export function divideLiquid(wanted: number, liquids: LiquidShare[], waterInSolution = 0) {
  const waterShare = 1 - liquids.reduce((sum, liquid) => sum + liquid.share, 0)
  const content = waterShare + liquids.reduce((sum, liquid) => sum + liquid.share * liquid.water, 0)
  const mass = wanted / content
  return {
    mass,
    water: mass * waterShare - waterInSolution,
    liquids: liquids.map((liquid) => mass * liquid.share),
    /** g water content below which the solution brings too much; Infinity when the liquids leave no room for any. */
    smallestWanted:
      waterInSolution === 0 ? 0 : (waterInSolution * content) / Math.max(waterShare, 0),
  }
}
