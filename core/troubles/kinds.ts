import type { Trouble } from '#contracts/rackWords'

interface Kind {
  says: string
  looks: string
  /** What to do with the bars. */
  bars: string
  /** May mean free lye or spoiled fat: not only looks. */
  bad: boolean
}

/** What each trouble is, and what becomes of the bars. */
export const troubleKinds: Record<Trouble, Kind> = {
  'orange-spots': {
    says: 'Orange spots',
    looks: 'orange or brown dots, a smell of old oil',
    bars: 'Harmless to wash with at first, but it spreads. Use them up at home, for floors or laundry; do not sell them.',
    bad: true,
  },
  ash: {
    says: 'Ash',
    looks: 'a white, powdery veil on the top or the cut faces',
    bars: 'Looks only. Steam it off, spray alcohol, plane it, or leave it: it goes at the first wash.',
    bad: false,
  },
  crystals: {
    says: 'White crystals',
    looks: 'needles or frost that grow while it dries',
    bars: 'Looks only, once a strip reads 10 or less. Wipe them off with a damp cloth.',
    bad: false,
  },
  sweating: {
    says: 'Sweating',
    looks: 'drops of clear liquid on the bars',
    bars: 'Blot them, move them to dry moving air, do not wrap them. Hold a strip to the drops: they must not read over 10.',
    bad: false,
  },
  cracks: {
    says: 'Cracks',
    looks: 'splits along the top or the sides',
    bars: 'Looks only. Press them closed while the loaf is warm, or cut them off and sell them as offcuts.',
    bad: false,
  },
  rings: {
    says: 'Rings',
    looks: 'a darker, translucent middle with a plain rim',
    bars: 'Looks only: both parts are soap.',
    bad: false,
  },
  soft: {
    says: 'Soft',
    looks: 'takes the mark of a finger, bends',
    bars: 'Let them dry longer, with air on all sides. Test them with a strip all the same.',
    bad: false,
  },
  air: {
    says: 'Air pockets',
    looks: 'holes in the cut face',
    bars: 'Looks only, and a bar weighs less than its size says: weigh it for the label. A pocket with liquid in it is to be tested.',
    bad: false,
  },
  crumbled: {
    says: 'Crumbled edges',
    looks: 'corners and edges break off',
    bars: 'Test them: too little fat crumbles too. Bevel them, or grate them into the next batch.',
    bad: false,
  },
  specks: {
    says: 'Specks',
    looks: 'white, brown or coloured dots within',
    bars: 'Hold a strip to a wetted speck first: lye bites. If it reads 10 or less it is looks only.',
    bad: true,
  },
  'coloured-lather': {
    says: 'Coloured lather',
    looks: 'the lather or the cloth takes the colour',
    bars: 'Good for use at home on dark cloths. Not for sale: it stains.',
    bad: false,
  },
  'scent-gone': {
    says: 'Scent gone',
    looks: 'hardly any scent when rubbed wet',
    bars: 'Good soap: label it without its scent. Keep the next ones closed in paper, in the dark.',
    bad: false,
  },
  'oil-on-top': {
    says: 'Oil or liquid on top',
    looks: 'a film of oil, or drops of clear liquid under it',
    bars: 'Gloves: it may have parted, and the liquid may be lye. Do not use it before several places read 10 or less; else rework it or throw it away.',
    bad: true,
  },
}
