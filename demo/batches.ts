import type { LessonAbout } from '#contracts/rackWords'
import type { FeelTest, Finish, Gel, Out, RejectReason, Trouble } from '#contracts/rackWords'

/** A batch of the Slate Shed. Days count back from the day the demo is loaded. */
export interface DemoBatch {
  formula: string
  /** Days ago that it was planned. */
  planned: number
  poured?: number
  cut?: number
  bars: number
  left?: { ago: number; why: 'gone' | 'spoiled'; note: string }
  notes?: [ago: number, says: string][]
  /** What was noted at the bench, for a batch that has a run. */
  bench?: string
  /** Share of the batter that went into end pieces. */
  trim?: number
  rejects?: { why: RejectReason; bars: number }[]
  gel?: Gel
  /** Strips: days after the pour, reading. Without any, one of 9. */
  strips?: [after: number, ph: number][]
  /** Days after the pour on which a bar zapped. */
  zapped?: number
  /** Nobody tested; the weights were trusted. */
  trusted?: boolean
  /** Days by which weighing and turning have fallen behind. */
  late?: number
  /** Tests in use: days after the pour, scores, what was noted. */
  felt?: [after: number, scores: Partial<Record<FeelTest, number>>, note?: string][]
  /** Troubles seen: days after the pour, which, how bad. */
  troubles?: [after: number, trouble: Trouble, how: number, note?: string][]
  /** Melted again: days after the pour, g of olive oil and of water that went in. */
  remelted?: [after: number, fat: number, water: number, note: string]
  /** What users say: days ago, who, what. */
  remarks?: [ago: number, from: string, says: string][]
  lessons?: [ago: number, says: string, about?: LessonAbout][]
  /** Worked on after the cut: days after the pour, what, g off a bar. */
  finished?: [after: number, step: Finish, grams?: number][]
  /** Bars on the places of the workshop, by their number. */
  places?: [place: number, bars: number][]
  /** Bars that went: days ago, how many, how, to whom. */
  out?: [ago: number, bars: number, how: Out, to: string][]
}

const gone = (ago: number, note = '') => ({ ago, why: 'gone' as const, note })
const usual = (
  formula: string,
  poured: number,
  bars: number,
  more: Partial<DemoBatch> = {},
): DemoBatch => ({
  formula,
  planned: poured + 1,
  poured,
  cut: poured - 1,
  bars,
  ...more,
})

/** Fourteen months of work, oldest first. */
export const demoBatches: DemoBatch[] = [
  usual('Quiet Olive', 421, 18, {
    felt: [
      [
        60,
        { quickFoam: 1, lastingFoam: 2, skinAfter: 4, keepsShape: 1 },
        'Slimy after a day on the dish.',
      ],
      [180, { quickFoam: 2, lastingFoam: 3, skinAfter: 5, keepsShape: 3 }],
      [365, { quickFoam: 3, lastingFoam: 4, skinAfter: 5, keepsShape: 5 }, 'Worth the year.'],
    ],
    places: [[1, 18]],
    notes: [[56, 'A year old: no longer slimy, small tight lather.']],
    out: [
      [50, 6, 'sold', 'Saturday ferry market'],
      [22, 1, 'sample', 'kept in the drawer'],
    ],
  }),
  usual('Wardrobe Block', 405, 34, { left: gone(300, 'All to the wardrobe.') }),
  usual('Plain Tallow', 392, 22, { left: gone(290) }),
  usual('Hostel Bar', 377, 23, { cut: 374, left: gone(270, 'Hostel took twenty, three kept.') }),
  usual('Boatyard Scrub', 362, 20, { cut: 360, left: gone(250) }),
  usual('Laurel Evening', 344, 17, { places: [[1, 17]], trusted: true, strips: [] }),
  {
    formula: 'Fir & Smoke',
    planned: 331,
    poured: 330,
    bars: 23,
    troubles: [[1, 'oil-on-top', 3, 'A finger of oil, and clear drops under it.']],
    lessons: [
      [
        328,
        'Let the vessels meet: never more than 5 °C apart with this much tallow.',
        'temperatures',
      ],
    ],
    left: {
      ago: 329,
      why: 'spoiled',
      note: 'Separated in the mould, oil on top, zapped. Oils were at 26 °C and the lye at 48: false trace taken for trace. Meet the temperatures first.',
    },
  },
  usual('Fir & Smoke', 322, 23, { left: gone(214) }),
  usual('Estuary Hands', 301, 14, { left: gone(205, 'Sold out at the spring market.') }),
  usual('Hostel Bar', 283, 24, {
    cut: 280,
    bench: 'Steady as always, light trace after four minutes.',
    felt: [
      [42, { quickFoam: 4, lastingFoam: 4, skinAfter: 4, keepsShape: 4 }],
      [70, { quickFoam: 5, lastingFoam: 4, skinAfter: 4, keepsShape: 5 }],
    ],
    remarks: [
      [205, 'The hostel', 'Lasts three weeks in the big washroom. Guests ask where to buy it.'],
    ],
    left: gone(190),
  }),
  usual('Market Rose', 262, 16, {
    troubles: [[10, 'ash', 1]],
    left: gone(168),
  }),
  usual('Quiet Olive', 249, 17, {
    felt: [[120, { quickFoam: 2, lastingFoam: 3, skinAfter: 5, keepsShape: 2 }]],
    lessons: [[230, 'Cut all-olive at 18 hours, not 22.', 'cover']],
    troubles: [[1, 'crumbled', 2, 'One end, last three bars.']],
    places: [[2, 17]],
    notes: [[230, 'Cut at 22 hours, one end crumbled. Earlier next time.']],
    rejects: [{ why: 'crumbled', bars: 1 }],
  }),
  usual('Wardrobe Block', 233, 33, {
    felt: [
      [
        40,
        { soiledCloth: 5, rinseSpots: 4, quickFoam: 4 },
        'Greasepaint out of linen at the first go.',
      ],
    ],
    left: gone(121),
  }),
  usual('Oat & Buttermilk', 210, 18, {
    left: gone(133),
    notes: [[209, 'Went orange at the rim: oils were still 41 °C. Wait for 35.']],
  }),
  usual('Plain Tallow', 196, 23, { left: gone(101), bench: 'Quicker than the book says.' }),
  usual('Lighthouse Coconut', 181, 9, {
    cut: 181,
    troubles: [[6, 'ash', 2, 'White tops again, as always without gel.']],
    left: gone(96),
  }),
  usual('Boatyard Scrub', 163, 21, {
    cut: 161,
    troubles: [[1, 'oil-on-top', 2, 'A spoon of oil in one corner.']],
    remelted: [
      3,
      45,
      320,
      'One corner had parted. Melted again the same week: rough to look at, sound in use.',
    ],
    left: gone(84),
  }),
  usual('Hostel Bar', 148, 24, {
    cut: 145,
    bench: 'Soft on the second day, cut on the third.',
    felt: [[45, { quickFoam: 4, lastingFoam: 5, skinAfter: 4, keepsShape: 4 }]],
    left: gone(70),
  }),
  usual('Dish Slate', 130, 12, { left: gone(62) }),
  {
    formula: 'Market Rose',
    planned: 117,
    poured: 116,
    cut: 114,
    bars: 16,
    troubles: [
      [23, 'orange-spots', 2],
      [24, 'orange-spots', 3, 'On every bar by now.'],
    ],
    lessons: [[92, 'Smell every bottle of nut oil before it is weighed.', 'weighing']],
    left: {
      ago: 92,
      why: 'spoiled',
      note: 'Orange spots from week three. The almond oil was two years old: smell every bottle first.',
    },
  },
  usual('Ferry Shave', 104, 11, {
    felt: [
      [40, { glide: 4, lastingFoam: 4, skinAfter: 3 }],
      [
        75,
        { glide: 5, lastingFoam: 4, skinAfter: 4, scent: 3 },
        'Stands till the end of a slow shave.',
      ],
    ],
    remarks: [[9, 'The boatyard', 'Softer than the tin stuff.']],
    places: [[6, 11]],
    out: [[12, 5, 'given', 'the boatyard']],
    gel: 'none',
  }),
  usual('Estuary Hands', 89, 14, { left: gone(20), bench: 'Nothing to tell.' }),
  usual('Hostel Bar', 74, 24, {
    cut: 72,
    felt: [
      [45, { quickFoam: 5, lastingFoam: 4, skinAfter: 4, keepsShape: 4, scent: 4, colour: 5 }],
    ],
    finished: [
      [2, 'bevelled', 2.1],
      [2, 'stamped'],
    ],
    left: gone(8, 'Hostel, all of it.'),
    bench: 'Poured at a thin trace, level by itself.',
  }),
  usual('Wardrobe Block', 58, 34, {
    places: [[3, 34]],
    out: [
      [20, 18, 'sold', 'Theatre wardrobe'],
      [6, 10, 'sold', 'Theatre wardrobe'],
    ],
    gel: 'full',
  }),
  usual('Fir & Smoke', 50, 23, {
    felt: [
      [28, { quickFoam: 3, lastingFoam: 4, scent: 5, colour: 4 }],
      [
        42,
        { quickFoam: 4, lastingFoam: 4, skinAfter: 3, scent: 4, colour: 4 },
        'Smoke first, fir after a minute.',
      ],
    ],
    places: [[3, 23]],
    out: [[2, 8, 'sold', 'Saturday ferry market']],
    gel: 'full',
  }),
  usual('Market Rose', 40, 16, {
    troubles: [[9, 'ash', 2, 'A veil on the tops, none on the cut faces.']],
    felt: [[30, { quickFoam: 3, skinAfter: 4, scent: 3, colour: 3 }]],
    places: [[4, 16]],
    gel: 'none',
    late: 5,
  }),
  usual('Boatyard Scrub', 34, 21, {
    places: [[4, 21]],
    finished: [[2, 'trimmed', 1.2]],
    gel: 'full',
    trim: 0.02,
    late: 2,
  }),
  usual('Quiet Olive', 29, 18, {
    places: [[2, 18]],
    gel: 'partial',
    notes: [[28, 'Cut at 18 hours: clean.']],
  }),
  usual('Tide Pool', 23, 17, {
    places: [[5, 17]],
    late: 2,
    notes: [[22, 'Three shades, hardly any ash. The dark one took a day longer.']],
  }),
  usual('Hostel Bar', 18, 23, {
    places: [[5, 23]],
    late: 3,
    gel: 'full',
    bench: 'Room was cold, 15 °C. A minute slower than usual.',
  }),
  usual('Night Ferry', 14, 16, {
    places: [
      [5, 10],
      [6, 6],
    ],
    strips: [[2, 8.5]],
    gel: 'none',
  }),
  usual('Oat & Buttermilk', 11, 18, {
    places: [[6, 18]],
    gel: 'none',
    late: 3,
    bench: 'Never over 33 °C, pale yellow to the end.',
  }),
  usual('Estuary Hands', 6, 14, { places: [[7, 14]], strips: [[3, 10.5]] }),
  usual('Plain Tallow', 2, 23, {
    places: [[7, 23]],
    strips: [],
    bench: 'Smooth as ever. Jo held the sieve.',
  }),
  {
    formula: 'Fir & Smoke',
    planned: 2,
    poured: 1,
    bars: 23,
    bench: 'Scent went in at emulsion, four minutes to medium. No time for a swirl.',
  },
  { formula: 'Hostel Bar', planned: 0, bars: 24 },
  { formula: 'Oat & Buttermilk', planned: 0, bars: 18 },
  { formula: 'Fir & Smoke', planned: 0, bars: 23 },
  { formula: 'Landing Goat', planned: 0, bars: 16 },
]
