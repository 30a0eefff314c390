import type { FollowedLesson, Import, Note, Ribbon, ShortWord, When } from '#contracts/journal'
import { noteSchema, ribbonSchema } from '#contracts/journal'
import { columnsFor, rowPage, type Grid } from '#core/journal/table'
import { readPage } from '#core/journal/page'
import { richText } from '#core/journal/plainText'
import { randomSource } from '#core/statistics/randomSource'
import { formatter } from '#core/units/formatter'
import { addDays, type Day } from '#core/units/days'
import { demoLibrary as library } from './materials'

/*
 * The Slate Shed's journal: two of Maren's notebooks from the years in her kitchen, the table she kept after them, and what the three
 * write since they share the shed.
 */

const say = formatter()

/** Maren's own shorthand, as she put it right page by page. */
export const demoShortWords: ShortWord[] = [
  { short: 'OO', long: 'olive oil', place: 'anywhere', times: 15 },
  { short: 'CO', long: 'coconut oil', place: 'anywhere', times: 14 },
  { short: 'tr', long: 'trace', place: 'anywhere', times: 11 },
  { short: 'w', long: 'weak', place: 'afterTime', times: 6 },
  { short: 'cas', long: 'castor oil', place: 'anywhere', times: 5 },
]

interface Page {
  /** Years and days before the day of the load; null where the page says none. */
  years: number | null
  ago?: number
  known?: When['known']
  title: string
  what?: Note['what']
  typed?: string
  text?: string
  weather?: string
  photo?: boolean
}
/** Notebook 4, one winter and spring in the kitchen. */
const four: Page[] = [
  {
    years: 17,
    ago: 300,
    title: 'Plain olive, no 1',
    typed: 'OO 700\nlye 89\nwater 220\ntr 55 min',
    text: 'By hand with the wooden spoon. Never again without help.',
    photo: true,
  },
  {
    years: 17,
    ago: 293,
    title: 'Olive and coconut',
    typed: 'OO 500\nCO 250\nlye 106\nwater 250\ntr 30 min',
    photo: true,
  },
  { years: null, title: '', what: 'gap' },
  {
    years: 17,
    ago: 270,
    title: 'White one for the boat',
    typed: 'OO 450\nCO 300\nlye 112\nwater 280',
    text: 'Ash on top, steamed it off.',
    photo: true,
  },
  {
    years: 17,
    ago: 262,
    title: 'Goat milk, yellow',
    typed: 'OO 500\nCO 200\ngoat milk 230\nlye 98',
    text: 'Froze the milk. It went orange where I poured too quickly.',
    photo: true,
  },
  {
    years: 17,
    ago: 255,
    title: 'Lard, plain',
    typed: 'lard 600\nCO 200\nlye 113\nwater 240\ntr 25 min',
    text: 'Smooth as butter, ready in a month.',
  },
  {
    years: 17,
    ago: 240,
    title: 'Brown, cocoa',
    typed: 'OO 500\nCO 250\ncocoa butter 80\nlye 117\nwater 260\ncocoa 1 tbsp',
  },
  {
    years: 17,
    ago: 222,
    known: 'month',
    title: 'Oats',
    typed: 'OO 550\nCO 200\nlye 104\nwater 240',
    text: 'Oats ground fine next time, they scratch.',
  },
  { years: null, title: '', what: 'gap' },
  {
    years: 17,
    ago: 205,
    title: 'Salt bar',
    typed: 'CO 700\nlye 108\nwater 240\nsalt 300',
    text: 'Cut at three hours and it crumbled all the same.',
    photo: true,
  },
  {
    years: 17,
    ago: 198,
    title: 'What the market wants',
    what: 'note',
    text: 'Square bars, no flowers in them, a name they can say. Two asked for one without any scent.',
  },
  {
    years: 17,
    ago: 190,
    title: 'Rosemary lard no 1',
    typed:
      'OO 500\nCO 250\nlard 250\nlye 146\nwater 300\nrosemary essential oil 30 g\ntr 20 min\n1 wk 3\n4 wk w',
    photo: true,
  },
  {
    years: 17,
    ago: 176,
    title: 'Castor up, more foam?',
    typed: 'OO 400\nCO 250\ncas 100\nlye 108\nwater 250',
    text: 'Sticky to cut. Foam no better than before.',
  },
  { years: null, title: '', what: 'gap' },
  {
    years: 17,
    ago: 160,
    title: 'Shaving try',
    typed: 'OO 300\ntallow 300\ncas 80\nlye 92\nwater 200',
  },
  {
    years: 17,
    ago: 158,
    title: 'Tallow, white',
    typed: 'tallow 700\nCO 150\nlye 117\nwater 250\ntr 18 min',
    photo: true,
  },
]
/** Notebook 9, later: colours. */
const nine: Page[] = [
  {
    years: 11,
    ago: 250,
    title: 'Green with clay',
    typed: 'OO 600\nCO 250\nlye 118\nwater 260',
    text: 'French green clay, two spoons. Dull but honest.',
  },
  {
    years: 11,
    ago: 231,
    known: 'month',
    title: 'Dark blue w. ultramarine',
    typed: 'OO 600\nCO 250\nlye 119\ncloves 20 g',
    text: 'Wrapped in the car rug, split like a bread. Smells of cloves still.',
    weather: 'bright, easterly',
    photo: true,
  },
  {
    years: 11,
    ago: 214,
    title: 'Blue again, no rug',
    typed: 'OO 600\nCO 250\nlye 118\nwater 300',
    text: 'Same ultramarine, left on the stone floor. Whole.',
    photo: true,
  },
  {
    years: 11,
    ago: 190,
    title: 'Two layers',
    typed: 'OO 500\nCO 250\nshea butter 50\nlye 113\nwater 300',
    text: 'Second layer went through the first: poured too soon.',
  },
  {
    years: 11,
    ago: 120,
    title: 'Honey, for Gran',
    typed: 'OO 500\nCO 250\nhoney 15 g\nlye 106\nwater 250',
    text: 'Hot in the middle, a ring all round. No blanket with honey.',
  },
  {
    years: 11,
    ago: 64,
    title: 'Lavender, wedding',
    typed: 'OO 900\nCO 400\nlye 183\nwater 420\nlavender essential oil 40 g\n1 wk 3\n8 wk 2',
    text: 'Sixty little bars. Cried twice.',
  },
]

const dayOf = (today: Day, { years, ago = 0 }: Page): Day | null =>
  years === null ? null : addDays(today, -(Math.round((years - 1) * 365.25) + ago))

function noteOf(page: Page, today: Day, importId: string, book: string, number: number): Note {
  const day = dayOf(today, page)
  const typed = page.typed ?? ''
  const context = { library, words: demoShortWords, unit: 'g' as const, answers: {} }
  const known = page.known ?? 'day'
  return noteSchema.parse({
    what: page.what ?? 'batch',
    title: page.title,
    when: {
      day: day && known === 'month' ? `${day.slice(0, 7)}-01` : day,
      known: day ? known : 'none',
    },
    typed,
    text: richText(page.text ?? ''),
    found: typed ? readPage(typed, context, say).found : null,
    who: 'Maren',
    weather: page.weather ?? '',
    page: { book, number },
    unit: 'g',
    importId,
  })
}

/** A notebook with its pages, and whether each has a photo. */
export interface DemoBook {
  document: Import
  pages: (importId: string) => { note: Note; photo: boolean }[]
}
const book =
  (name: string, pages: readonly Page[], ago: number, first: number) =>
  (today: Day): DemoBook => ({
    document: {
      kind: 'pages',
      name,
      day: addDays(today, -ago),
      heads: [],
      columns: [],
      unit: 'g',
      monthFirst: false,
      count: pages.length,
    },
    pages: (importId) =>
      pages.map((page, nth) => ({
        note: noteOf(page, today, importId, name, first + nth),
        photo: page.photo ?? false,
      })),
  })
export const demoBooks = [book('Notebook 4', four, 96, 1), book('Notebook 9', nine, 95, 30)]

const soaps = ['Kitchen bar', 'Garden hands', 'Plain white', 'Pine', 'Slate grey', 'Oat', 'Rhubarb']
const ends = [
  '',
  '',
  'Fine.',
  'A little ash.',
  'Soft for a week.',
  'Gone in a day at the fair.',
  'Cracked along the top.',
  'Best so far.',
]
/** The table that Maren kept between the notebooks and the shed, as it stood in her spreadsheet. */
export function demoTable(today: Day): Grid {
  const random = randomSource(41)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!
  return {
    heads: [
      'Date',
      'Soap',
      'Olive oil (g)',
      'Coconut oil (g)',
      'Lard (g)',
      'Lye',
      'Water',
      'Notes',
    ],
    rows: Array.from({ length: 44 }, (_, nth) => {
      const day = addDays(today, -(540 + nth * 66 + Math.floor(random.uniform() * 30)))
      const [olive, coconut, lard] = [
        400 + 50 * Math.floor(random.uniform() * 5),
        200 + 25 * Math.floor(random.uniform() * 5),
        pick([0, 0, 150, 250]),
      ]
      const lye = Math.round(
        (olive * 0.1345 + coconut * 0.1825 + lard * 0.1408) * (0.93 + random.uniform() * 0.05),
      )
      const [year, month, date] = day.split('-')
      return {
        line: nth + 2,
        cells: [
          `${Number(date)}/${Number(month)}/${year!.slice(2)}`,
          `${pick(soaps)} ${44 - nth}`,
          String(olive),
          String(coconut),
          lard ? String(lard) : '',
          String(lye),
          nth % 9 === 4 ? '' : String(Math.round(lye * 2.3)),
          pick(ends),
        ],
      }
    }),
  }
}
/** Its rows as notes, read as an import reads them. */
export function demoRows(today: Day, importId: string): { document: Import; notes: Note[] } {
  const grid = demoTable(today)
  const columns = columnsFor(grid.heads, library)
  const how = { today, monthFirst: false, unit: 'g' as const }
  const context = { library, words: [], unit: 'g' as const, answers: {} }
  return {
    document: {
      kind: 'table',
      name: 'Maren’s batches.csv',
      day: addDays(today, -94),
      heads: grid.heads,
      columns,
      unit: 'g',
      monthFirst: false,
      count: grid.rows.length,
    },
    notes: grid.rows.flatMap((row) => {
      const page = rowPage(row, grid, columns, how)?.page
      return page
        ? [
            noteSchema.parse({
              what: 'batch',
              title: page.title,
              when: page.when,
              typed: page.typed,
              text: richText(page.text),
              found: readPage(page.typed, context, say).found,
              who: 'Maren',
              page: { book: 'Maren’s batches.csv', number: null },
              unit: 'g',
              importId,
              line: row.line,
            }),
          ]
        : []
    }),
  }
}

interface Line {
  ago: number
  who: string
  says: string
  title?: string
  people?: string[]
  words?: string[]
  weather?: string
  /** Number of the batch it is about. */
  batch?: number
}
/** What the three write in passing. */
export const demoLines: Line[] = [
  {
    ago: 2,
    who: 'Jo',
    says: 'The hostel wants the wave with less pink in it. Said yes, will ask Maren.',
    people: ['Maren'],
    words: ['hostel'],
  },
  {
    ago: 6,
    who: 'Idris',
    says: 'New thermometer reads two degrees under the old one. Wrote it on its handle.',
    words: ['tools'],
  },
  {
    ago: 16,
    who: 'Maren',
    title: 'Winter list',
    says: 'Night Ferry for the wardrobe people.\nLaurel Evening is a year on the rack in three weeks.\nNo new scents before the market.',
    words: ['plans'],
  },
  {
    ago: 31,
    who: 'Jo',
    says: 'Rain in the gutter all day, the shed at 80 %. Door shut, lamp on.',
    weather: 'rain, damp',
  },
  {
    ago: 58,
    who: 'Maren',
    says: 'Gave the boatyard six seconds of the scrub. They use them on the chain.',
    people: ['Idris'],
    batch: 17,
  },
  {
    ago: 170,
    who: 'Idris',
    says: 'Hot day. Oils never came under 38, poured anyway and watched.',
    weather: 'hot, bright',
  },
  {
    ago: 233,
    who: 'Jo',
    says: 'Cut it late and it splintered under the wire. Green all through, though, lovely.',
    batch: 12,
    weather: 'bright, easterly',
  },
  {
    ago: 258,
    who: 'Maren',
    says: 'The veil on the green and pink one comes where the draught reaches the mould.',
    batch: 11,
    weather: 'wind, cold',
  },
  {
    ago: 366,
    who: 'Jo',
    says: 'First frost. Moved the scrub off the window plank.',
    weather: 'frost',
    batch: 5,
  },
]

/** A lesson that Maren follows, in terms of batch numbers. */
export interface DemoLesson {
  ago: number
  batch: number
  document: Omit<FollowedLesson, 'on' | 'batchId' | 'seen' | 'dropped'>
  seen: [batch: number, held: boolean, note?: string][]
}
export const demoLesson: DemoLesson = {
  ago: 250,
  batch: 11,
  document: {
    says: 'Draught on the mould? Ash, every time. Cover it.',
    who: 'Maren',
    speaksUp: { anyOf: ['rose-clay'], atLeast: 0, gel: null, pattern: null, formulaId: null },
  },
  seen: [
    [16, true],
    [26, true],
    [20, false, 'in the draught for a day and clean: it had been gelled'],
  ],
}

export const demoRibbons: Ribbon[] = [
  { name: 'Cracked', search: 'cracked' },
  { name: 'Ash', search: 'ash veil' },
  { name: 'Hostel', search: 'hostel' },
].map((ribbon) => ribbonSchema.parse(ribbon))
