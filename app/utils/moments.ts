import type { AdditiveMoment, LiquidMoment, WayOfLiquid } from '#contracts/words'

/** When something goes in, in words. */
export const momentNames: Record<AdditiveMoment | LiquidMoment, string> = {
  water: 'in the water',
  lye: 'in the lye',
  'cooled-lye': 'in the cooled lye',
  oils: 'into the oils',
  trace: 'at trace',
}

/** How a liquid goes in, in words. */
export const wayNames: Record<WayOfLiquid, string> = {
  poured: 'poured',
  frozen: 'frozen, in the lye',
  'into-cooled-lye': 'in the cooled lye',
}
