import type { Pattern } from '#contracts/words'

/*
 * What hands do for a pattern besides pouring: before, between two layers, after. Rules of the craft: heights, tools and moments as
 * makers name them.
 */

/** One act of a pour: what to do, how, and minutes of it. */
export interface PourAct {
  id: string
  says: string
  short: string
  how: string
  minutes: number
}

export interface PourActs {
  /** How its batter goes into the mould. */
  how: string
  /** What lies ready for it. */
  props: string[]
  /** Before anything runs: the mould is propped. */
  ready?: PourAct
  /** Just before the pour, with all pots at their stage. */
  before?: PourAct
  /** On each layer but the last, once it carries. */
  between?: PourAct
  /** Before the last layer. */
  beforeLast?: PourAct
  /** Once all of it is in. */
  after?: PourAct
}

export const pourActs: Record<Pattern, PourActs> = {
  plain: {
    how: 'From low down, then tap the mould so that the air comes up.',
    props: [],
  },
  layers: {
    how: 'Over the back of a spoon, low, so that the layer below keeps its face. The one below must hold a spoon.',
    props: ['A wide spoon or spatula to pour over'],
  },
  'slanted-layers': {
    how: 'Along the low side, over the back of a spoon, so that the layer below keeps its face. The one below must hold a spoon.',
    props: ['A prop of about 20 mm for one long side', 'A wide spoon or spatula to pour over'],
    ready: {
      id: 'prop',
      says: 'Prop up one long side of the mould by about 20 mm',
      short: 'Mould propped',
      how: 'So that it cannot slip, and where nobody has to move it until the last layer but one has set.',
      minutes: 1,
    },
    beforeLast: {
      id: 'level',
      says: 'Set the mould level again',
      short: 'Mould level',
      how: 'Slowly, both hands: the layers below carry by now. The last one fills it up to a flat top.',
      minutes: 1,
    },
  },
  'in-pot-swirl': {
    how: 'All of it in one go, from one corner, without scraping the pot.',
    props: ['A spatula, and a base pot with room for all colours'],
    before: {
      id: 'swirl-in-pot',
      says: 'Colours into the base, in thin lines; one turn of the spoon',
      short: 'Swirl in the pot',
      how: 'From a hand’s height at twelve, four and eight o’clock, so that they go down to the ground. One turn, no more: the pour does the rest.',
      minutes: 1,
    },
  },
  'drop-pour': {
    how: 'Colour by colour in thin lines, from about 20 cm so that each breaks through; the last ones lower and lower, so that they stay on top.',
    props: ['Jugs with a lip, one for each colour'],
  },
  'hanger-swirl': {
    how: 'Colours in stripes along the mould, one beside and upon the other, from low down.',
    props: ['A wire hanger bent to the width of the mould, wiped with oil'],
    after: {
      id: 'hanger',
      says: 'Draw the hanger through',
      short: 'Hanger through',
      how: 'Down one side to the ground, along it, up at the other; across and down again, two or three loops. Out at a corner, slowly.',
      minutes: 2,
    },
  },
  'spun-swirl': {
    how: 'Colours in turn, a little each, always into the same spot of the tray.',
    props: ['A smooth table or a turntable under the tray, both hands free'],
    after: {
      id: 'spin',
      says: 'Spin the tray: quick turns, sudden stops',
      short: 'Tray spun',
      how: 'A half turn and stop, back and stop, four to six times. Flat on the table; stop while the lines are fine.',
      minutes: 2,
    },
  },
  drizzle: {
    how: 'The base first and level. The drizzle stays thin in its own pot meanwhile: stir it now and then.',
    props: ['A bottle or small jug with a thin lip', 'A skewer'],
    after: {
      id: 'drizzle',
      says: 'Drizzle the thin colour over the top',
      short: 'Drizzle',
      how: 'A thin thread from 10 cm, back and forth; then the skewer through it once, in loops. It must still run: if it does not, leave it at lines.',
      minutes: 3,
    },
  },
  'pencil-line': {
    how: 'Over the back of a spoon, very low: a drop from high up washes the line away.',
    props: ['A dry colour for the line, about 1 g, and a fine sieve or a puff'],
    between: {
      id: 'line',
      says: 'Sieve or puff the dry colour over the layer',
      short: 'Powder line',
      how: 'Hardly a breath of it, to the edges: where it is thick, the bar splits there later. The layer must carry the powder without drawing it in. Mask on, it is dust.',
      minutes: 1,
    },
  },
  'textured-top': {
    how: 'All of it in, then tap the mould: the top is worked afterwards.',
    props: ['A spoon and a skewer for the top'],
    after: {
      id: 'texture',
      says: 'When a skewer’s mark stays: work the top',
      short: 'Top textured',
      how: 'Pull the back of a spoon up along the loaf, or draw with the skewer. If the mark closes again, wait some minutes and look.',
      minutes: 4,
    },
  },
}

/**
 * What lies ready for some patterns, each thing once.
 * @example propsFor(['plain', 'textured-top']) // ['A spoon and a skewer for the top']
 */
export const propsFor = (patterns: readonly Pattern[]): string[] => [
  ...new Set(patterns.flatMap((pattern) => pourActs[pattern].props)),
]
