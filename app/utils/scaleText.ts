import { scaleSteps } from '#contracts/words'

/** A scale's step as the scale shows it: 0.1 g, 0.05 oz. */
export const scaleText = (grams: number): string =>
  scaleSteps.find((step) => step.grams === grams)?.says ?? `${grams} g`
