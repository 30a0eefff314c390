/** What a scent is known to do to a batter, by what is in its name. */
export interface ScentBehaviour {
  /** How much of the working time is left. */
  pace: number
  says: string
  /** Whether it turns the bar brown while it cures, as vanillin does. */
  browns?: true
}

/*
 * Makers' common experience with kinds of scent, not a test of the bottle at hand: spice oils rich in eugenol and
 * cinnamal seize, many florals hurry, citrus and most woods and mints keep still.
 */
const known: [match: RegExp, behaviour: ScentBehaviour][] = [
  [/\b(clove|cinnamon|allspice|nutmeg)\b/i, { pace: 0.25, says: 'spice oils may seize' }],
  [/\b(bay|pepper|ginger|cardamom)\b/i, { pace: 0.6, says: 'spices hurry the batter' }],
  [
    /\b(lily|ylang|jasmine|gardenia|hyacinth|neroli|rose|garden|blossom|honeysuckle)\b/i,
    { pace: 0.55, says: 'florals often hurry the batter' },
  ],
  [
    /\b(vanilla|honey|benzoin)\b/i,
    { pace: 0.7, says: 'sweet scents hurry it and turn it brown', browns: true },
  ],
  [
    /\b(orange|lemon|lime|grapefruit|bergamot|mint|peppermint|eucalyptus|rosemary|lavender|cedar|pine|fir)\b/i,
    { pace: 1, says: 'such oils usually keep still' },
  ],
]

/**
 * What is commonly known of a scent by its name; null when the name says nothing. The hastiest of several counts.
 * @example scentBehaviour('Clove bud') // { pace: 0.25, says: 'spice oils may seize' }
 */
export function scentBehaviour(name: string): ScentBehaviour | null {
  const fits = known.filter(([match]) => match.test(name)).map(([, behaviour]) => behaviour)
  return fits.sort((a, b) => a.pace - b.pace)[0] ?? null
}
