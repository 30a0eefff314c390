import type { Pattern } from '#contracts/words'

export type PourStage = 'emulsion' | 'light' | 'medium' | 'thick'

/** A pour, the batter it asks for, and how long that batter must stay so. */
export interface Pour {
  says: string
  stage: PourStage
  wants: string
  /** Minutes from emulsion until the last of it is in the mould, by makers' usual pace. */
  minutes: number
  /** What it lives on: batter that stays fluid, or batter that sets. */
  lives: 'fluid' | 'setting' | 'any'
  /** Whether it shows anything in a batter of one colour. */
  needsColours: boolean
  /** Whether each pot is made and poured by itself, on top of one that sets: otherwise all are poured together. */
  oneByOne: boolean
}

export const pours: Record<Pattern, Pour> = {
  plain: {
    says: 'Plain',
    stage: 'light',
    wants: 'any batter that still pours',
    minutes: 5,
    lives: 'any',
    needsColours: false,
    oneByOne: false,
  },
  layers: {
    says: 'Layers',
    stage: 'medium',
    wants: 'medium trace, each set before the next',
    minutes: 15,
    lives: 'setting',
    needsColours: true,
    oneByOne: true,
  },
  'slanted-layers': {
    says: 'Slanted layers',
    stage: 'medium',
    wants: 'medium trace, the mould propped up',
    minutes: 18,
    lives: 'setting',
    needsColours: true,
    oneByOne: true,
  },
  'in-pot-swirl': {
    says: 'In-pot swirl',
    stage: 'light',
    wants: 'light trace, poured at once',
    minutes: 8,
    lives: 'fluid',
    needsColours: true,
    oneByOne: false,
  },
  'drop-pour': {
    says: 'Drop pour',
    stage: 'light',
    wants: 'light trace, poured from different heights',
    minutes: 12,
    lives: 'fluid',
    needsColours: true,
    oneByOne: false,
  },
  'hanger-swirl': {
    says: 'Hanger swirl',
    stage: 'light',
    wants: 'emulsion to light trace, time to draw',
    minutes: 15,
    lives: 'fluid',
    needsColours: true,
    oneByOne: false,
  },
  'spun-swirl': {
    says: 'Spun swirl',
    stage: 'emulsion',
    wants: 'emulsion, very fluid',
    minutes: 12,
    lives: 'fluid',
    needsColours: true,
    oneByOne: false,
  },
  drizzle: {
    says: 'Thin drizzle',
    stage: 'emulsion',
    wants: 'emulsion for the drizzle, light trace below',
    minutes: 18,
    lives: 'fluid',
    needsColours: true,
    oneByOne: false,
  },
  'pencil-line': {
    says: 'Pencil line',
    stage: 'medium',
    wants: 'medium trace, dry colour sieved between',
    minutes: 15,
    lives: 'setting',
    needsColours: false,
    oneByOne: true,
  },
  'textured-top': {
    says: 'Textured top',
    stage: 'thick',
    wants: 'thick: a skewer’s mark stays',
    minutes: 15,
    lives: 'setting',
    needsColours: false,
    oneByOne: false,
  },
}
