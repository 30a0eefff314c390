import type { Pattern } from '#contracts/formula'

/** Pours in words, with the batter each asks for. */
export const patternNames: Record<Pattern, { says: string; wants: string }> = {
  plain: { says: 'Plain', wants: 'any batter that still pours' },
  layers: { says: 'Layers', wants: 'medium trace, each set before the next' },
  'slanted-layers': { says: 'Slanted layers', wants: 'medium trace, the mould propped up' },
  'in-pot-swirl': { says: 'In-pot swirl', wants: 'light trace, poured at once' },
  'drop-pour': { says: 'Drop pour', wants: 'light trace, poured from different heights' },
  'hanger-swirl': { says: 'Hanger swirl', wants: 'emulsion to light trace, time to draw' },
  'spun-swirl': { says: 'Spun swirl', wants: 'emulsion, very fluid' },
  drizzle: { says: 'Thin drizzle', wants: 'emulsion for the drizzle, light trace below' },
  'pencil-line': { says: 'Pencil line', wants: 'medium trace, dry colour sieved between' },
  'textured-top': { says: 'Textured top', wants: 'thick: a skewer’s mark stays' },
}
