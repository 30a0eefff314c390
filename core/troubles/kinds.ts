import type { Trouble } from '#contracts/rackWords'

interface Kind {
  says: string
  looks: string
  /** What it is, and how to be sure. */
  tell: string
  /** What looks much like it. */
  alike: Trouble[]
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
    tell: 'Fat going rancid: small dots, each with a paler ring, on any face. They smell of old oil or crayons. What wipes off is something else.',
    alike: ['ash', 'specks', 'rings', 'crystals'],
    bars: 'Harmless to wash with at first, but it spreads. Use them up at home, for floors or laundry; do not sell them.',
    bad: true,
  },
  ash: {
    says: 'Ash',
    looks: 'a white, powdery veil on the top or the cut faces',
    tell: 'Sodium carbonate: lye at the surface that met the air before it met fat. Steam takes it away; crystals stay.',
    alike: ['crystals', 'specks'],
    bars: 'Looks only. Steam it off, spray alcohol, plane it, or leave it: it goes at the first wash.',
    bad: false,
  },
  crystals: {
    says: 'White crystals',
    looks: 'needles or frost that grow while it dries',
    tell: 'Salts that come out as the water goes: sodium citrate, lactate, salt. Needles or frost under a lens, gritty to the finger.',
    alike: ['ash', 'specks'],
    bars: 'Looks only, once a strip reads 10 or less. Wipe them off with a damp cloth.',
    bad: false,
  },
  sweating: {
    says: 'Sweating',
    looks: 'drops of clear liquid on the bars',
    tell: 'Water from the air, drawn by glycerin, salt or sugar, or a cold bar in a warm room. Drops that read over 10 on a strip are lye.',
    alike: ['oil-on-top'],
    bars: 'Blot them, move them to dry moving air, do not wrap them. Hold a strip to the drops: they must not read over 10.',
    bad: false,
  },
  cracks: {
    says: 'Cracks',
    looks: 'splits along the top or the sides',
    tell: 'The middle swelled with heat while the skin was firm already. Splits along the top, often where it is thickest.',
    alike: ['rings', 'crumbled'],
    bars: 'Looks only. Press them closed while the loaf is warm, or cut them off and sell them as offcuts.',
    bad: false,
  },
  rings: {
    says: 'Rings',
    looks: 'a darker, translucent middle with a plain rim',
    tell: 'The middle gelled and the rim did not. A darker, translucent oval in every cut face, the same soap in both.',
    alike: ['cracks', 'oil-on-top'],
    bars: 'Looks only: both parts are soap.',
    bad: false,
  },
  soft: {
    says: 'Soft',
    looks: 'takes the mark of a finger, bends',
    tell: 'Too much that stays liquid: free fat, water, or oils that never set hard. A finger leaves its mark.',
    alike: ['sweating'],
    bars: 'Let them dry longer, with air on all sides. Test them with a strip all the same.',
    bad: false,
  },
  air: {
    says: 'Air pockets',
    looks: 'holes in the cut face',
    tell: 'Air folded in by a blender or a thick pour. Empty, round holes; a hole with liquid in it is another thing.',
    alike: ['oil-on-top', 'specks'],
    bars: 'Looks only, and a bar weighs less than its size says: weigh it for the label. A pocket with liquid in it is to be tested.',
    bad: false,
  },
  crumbled: {
    says: 'Crumbled edges',
    looks: 'corners and edges break off',
    tell: 'Brittle soap: cut too late, too cold or too lean. Corners break, the cut face is dull and grainy.',
    alike: ['cracks'],
    bars: 'Test them: too little fat crumbles too. Bevel them, or grate them into the next batch.',
    bad: false,
  },
  specks: {
    says: 'Specks',
    looks: 'white, brown or coloured dots within',
    tell: 'Pigment, scorched milk, hard fat or undissolved lye. Only lye bites: wet a speck and hold a strip to it.',
    alike: ['orange-spots', 'crystals', 'air'],
    bars: 'Hold a strip to a wetted speck first: lye bites. If it reads 10 or less it is looks only.',
    bad: true,
  },
  'coloured-lather': {
    says: 'Coloured lather',
    looks: 'the lather or the cloth takes the colour',
    tell: 'More colour than the soap holds, or pigment in clumps. Lather on a white cloth for half a minute shows it.',
    alike: ['specks'],
    bars: 'Good for use at home on dark cloths. Not for sale: it stains.',
    bad: false,
  },
  'scent-gone': {
    says: 'Scent gone',
    looks: 'hardly any scent when rubbed wet',
    tell: 'Light notes that left, or were never many. Rub it wet: what comes back then was only asleep.',
    alike: [],
    bars: 'Good soap: label it without its scent. Keep the next ones closed in paper, in the dark.',
    bad: false,
  },
  'oil-on-top': {
    says: 'Oil or liquid on top',
    looks: 'a film of oil, or drops of clear liquid under it',
    tell: 'Batter that parted: fat above, lye below. The liquid under the film may be lye; so may the crumbs.',
    alike: ['sweating', 'air'],
    bars: 'Gloves: it may have parted, and the liquid may be lye. Do not use it before several places read 10 or less; else rework it or throw it away.',
    bad: true,
  },
}
