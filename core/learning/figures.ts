import type { Batch } from '#contracts/batch'
import type { BatchFigures, BatchRecord } from '#contracts/learning'
import type { FeelTest, Trouble } from '#contracts/rackWords'
import { shareOfAcids } from '../chemistry/fattyAcids'
import { byBlender } from '../formula/method'
import type { Library } from '../materials/library'
import { driedOn } from '../rack/facts'
import { feelKinds } from '../rack/feel'
import { daysBetween, type Day } from '../units/days'
import type { Formatter } from '../units/formatter'
import { inSentence } from '../units/language'
import { standingEvents } from '../units/standingEvents'
import { sumOf } from '../statistics/sum'
import { roundTo } from '../statistics/roundTo'
import { sightings } from '../troubles/along'
import { caseOf, type Case } from '../troubles/case'
import { figureKinds } from '../troubles/figures'
import { troubleKinds } from '../troubles/kinds'
import { troubleWords } from '../journal/vocabulary'

/*
 * What can be asked of a batch: what its maker chose and what was about it (causes), and what became of it (outcomes). Figures that
 * name a material or a scent are made of its id: `fat:olive`.
 */

/** What can be asked of a batch, and how it is said. */
export interface Figure {
  id: string
  /** As a noun: "days from pour to unmould". */
  says: string
  /** The same in a word or two: "water". */
  short: string
  role: 'cause' | 'outcome' | 'both'
  /** A figure, or whether something is so. */
  kind: 'number' | 'yes-no'
  /** Of yes and no: how the two are called. */
  groups: readonly [yes: string, no: string]
  more: string
  less: string
  /** A figure with its unit. */
  text: (value: number, say: Formatter) => string
  /** How far two figures are apart, 0 or more. */
  apart: (value: number, say: Formatter) => string
  /** What counts as one step of it, in a trend; and what is hardly a difference. */
  step: number
  /** Phrases by which a question means it, in plain letters. */
  words: readonly string[]
}

type Unit = Pick<Figure, 'text' | 'apart' | 'step'>
const decimals = (value: number) => (Math.abs(value) < 10 ? 1 : 0)
const counted =
  (one: string, many: string) =>
  (value: number, say: Formatter): string =>
    `${say.number(value, 0, decimals(value))} ${say.plural(roundTo(value, 1), one, many)}`
const days: Unit = { text: counted('day', 'days'), apart: counted('day', 'days'), step: 1 }
const minutes: Unit = {
  text: counted('minute', 'minutes'),
  apart: counted('minute', 'minutes'),
  step: 5,
}
const points: Unit['apart'] = (value, say) =>
  `${say.number(value * 100, 0, value < 0.1 ? 1 : 0)} ${say.plural(roundTo(value * 100, 1), 'point', 'points')}`
const share = (step: number): Unit => ({
  text: (value, say) => say.percent(value, value < 0.1 ? 1 : 0),
  apart: points,
  step,
})
const degrees: Unit = {
  text: (value, say) => say.temperature(value),
  apart: (value, say) => say.degreesApart(value),
  step: 5,
}
const scored: Unit = {
  text: (value, say) => say.number(value, 0, 1),
  apart: counted('point', 'points'),
  step: 1,
}
const grams: Unit = {
  text: (value, say) => say.amount(value),
  apart: (value, say) => say.amount(value),
  step: 500,
}
const yesNo: Unit = { text: (value) => (value > 0 ? 'yes' : 'no'), apart: points, step: 1 }

const made = (
  id: string,
  role: Figure['role'],
  unit: Unit,
  says: string,
  more: Partial<Figure> & Pick<Figure, 'words'>,
): Figure => ({
  id,
  role,
  kind: unit === yesNo ? 'yes-no' : 'number',
  says,
  short: says,
  groups: ['With it', 'Without'],
  more: 'more',
  less: 'less',
  ...unit,
  ...more,
})

/** Those that every workshop has. */
const fixed: readonly Figure[] = [
  made('unmould', 'outcome', days, 'days from pour to unmould', {
    short: 'days in the mould',
    more: 'longer in the mould',
    less: 'sooner out of the mould',
    words: [
      'in the mould',
      'in the mold',
      'out of the mould',
      'out of the mold',
      'leave the mould',
      'unmould',
      'unmoulds',
      'unmoulding',
      'unmold',
      'days to unmould',
      'to the cut',
      'set up hard',
    ],
  }),
  made('minutes', 'outcome', minutes, 'minutes from lye to pour', {
    short: 'minutes to the pour',
    more: 'longer to the pour',
    less: 'sooner to the pour',
    words: [
      'minutes',
      'minute',
      'trace',
      'time to pour',
      'to the pour',
      'working time',
      'thicken',
      'thickens',
      'quicker',
      'set up',
      'race',
      'races',
      'racing',
      'accelerate',
    ],
  }),
  made('dry', 'outcome', days, 'days from pour to dry', {
    short: 'days to dry',
    more: 'longer to dry',
    less: 'sooner dry',
    words: ['dry', 'dries', 'drying', 'dry day', 'days to dry', 'cure', 'ready'],
  }),
  made('loss', 'outcome', share(0.01), 'share of its mass that a bar loses', {
    short: 'loss of a bar',
    words: ['lose', 'loses', 'loss', 'shrink', 'shrinks', 'weight lost'],
  }),
  made('torn', 'outcome', yesNo, 'torn, cracked or crumbled at the cut', {
    short: 'tearing',
    groups: ['Torn or crumbled', 'Cut clean'],
    more: 'torn more often',
    less: 'torn less often',
    words: ['tear', 'tears', 'tearing', 'torn', 'tore', 'crumble at the cut', 'stick', 'sticks'],
  }),
  made('lost', 'outcome', share(0.05), 'share of bars lost at the cut', {
    short: 'bars lost at the cut',
    more: 'more bars lost',
    less: 'fewer bars lost',
    words: ['rejects', 'bars lost', 'lost at the cut', 'waste'],
  }),
  made(
    'ph',
    'outcome',
    {
      text: (value, say) => `pH ${say.number(value, 1)}`,
      apart: (value, say) => say.number(value, 1),
      step: 0.5,
    },
    'pH of the first strip',
    {
      more: 'higher on the strip',
      less: 'lower on the strip',
      words: ['ph', 'strip', 'strips'],
    },
  ),
  made('gelled', 'both', yesNo, 'gelled or not', {
    short: 'gel',
    groups: ['Gelled', 'Did not gel'],
    more: 'gelled more often',
    less: 'gelled less often',
    words: ['gel', 'gels', 'gelled', 'gelling', 'gelled or not', 'translucent'],
  }),
  made('citric', 'cause', yesNo, 'with or without citric acid', {
    short: 'citric acid',
    groups: ['With citric acid', 'Without'],
    words: ['citric', 'citric acid'],
  }),
  made('scented', 'cause', yesNo, 'with or without scent', {
    short: 'scent',
    groups: ['With scent', 'Without'],
    words: ['scent', 'scents', 'scented', 'unscented', 'fragrance', 'essential oil'],
  }),
  made('hand', 'cause', yesNo, 'by hand or with the blender', {
    short: 'stirring by hand',
    groups: ['By hand', 'With the blender'],
    words: ['hand', 'by hand', 'spoon', 'whisk', 'blender', 'blend', 'stirred', 'stirring'],
  }),
  made('froze', 'cause', yesNo, 'out of the freezer or not', {
    short: 'the freezer',
    groups: ['Through the freezer', 'Never frozen'],
    words: ['freezer', 'frozen', 'freezing', 'freeze', 'froze'],
  }),
  made(
    'water',
    'cause',
    {
      text: (value, say) => `${say.number(value, 1, 2)} to 1`,
      apart: (value, say) => say.number(value, 0, 2),
      step: 0.5,
    },
    'water to lye',
    {
      short: 'water',
      more: 'more water',
      less: 'less water',
      words: ['water', 'wetter', 'wet', 'water to lye'],
    },
  ),
  made('strength', 'cause', share(0.05), 'lye strength', {
    more: 'stronger lye',
    less: 'weaker lye',
    words: ['lye strength', 'strength', 'lye concentration', 'strong lye', 'stronger lye'],
  }),
  made('superfat', 'cause', share(0.01), 'superfat', {
    more: 'more superfat',
    less: 'less superfat',
    words: ['superfat', 'lye discount', 'excess fat'],
  }),
  made('mixed-at', 'cause', degrees, 'temperature when lye and oils met', {
    short: 'temperature of the mix',
    more: 'warmer',
    less: 'cooler',
    words: ['temperature', 'temperatures', 'warm', 'warmer', 'hot', 'hotter', 'cool', 'cooler'],
  }),
  made('vessels-apart', 'cause', degrees, 'how far lye and oils were apart', {
    short: 'lye and oils apart',
    words: ['apart', 'degrees apart', 'vessels apart'],
  }),
  made('scent', 'cause', share(0.01), 'scent, of the oils', {
    short: 'amount of scent',
    words: ['scent load', 'more scent', 'amount of scent', 'scent rate'],
  }),
  made('colour', 'cause', share(0.005), 'colour, of the oils', {
    short: 'amount of colour',
    words: ['colour', 'colours', 'color', 'pigment', 'clay'],
  }),
  made('hard-fats', 'cause', share(0.1), 'hard fatty acids, of all', {
    short: 'hard fats',
    words: ['hard fats', 'hard fat', 'hard oils', 'hard oil', 'saturated'],
  }),
  made(
    'spoiling-fat',
    'cause',
    { text: (value, say) => `${say.number(value, 1)} g`, apart: grams.apart, step: 0.5 },
    'free fat that spoils, in 100 g of bar',
    {
      short: 'fat that spoils',
      words: ['fat that spoils', 'spoiling fat', 'linoleic'],
    },
  ),
  made('room', 'cause', degrees, 'temperature of the room in the first two days', {
    short: 'the room',
    more: 'warmer',
    less: 'colder',
    words: ['room', 'cold room', 'warm room', 'cold', 'winter', 'summer', 'weather'],
  }),
  made('humidity', 'cause', share(0.05), 'humidity of the room while it dried', {
    short: 'humidity',
    more: 'damper',
    less: 'drier',
    words: ['humidity', 'humid', 'damp', 'damper', 'dampness', 'wet weather'],
  }),
  made('batter', 'cause', grams, 'size of the batch', {
    short: 'size',
    more: 'bigger',
    less: 'smaller',
    words: ['size', 'big batches', 'bigger batches', 'small batches', 'larger'],
  }),
  made('version', 'cause', yesNo, 'since the version or before it', {
    short: 'the change',
    groups: ['Since the change', 'Before it'],
    words: [],
  }),
  made(
    'when',
    'cause',
    {
      text: (value, say) => say.day(dayOf(value)),
      apart: counted('day', 'days'),
      step: 91,
    },
    'the day it was poured',
    {
      short: 'time',
      more: 'later',
      less: 'earlier',
      words: [
        'over time',
        'over the year',
        'over the years',
        'lately',
        'trend',
        'getting',
        'become',
      ],
    },
  ),
]

const troubles = Object.keys(troubleKinds) as Trouble[]
const feelTests = Object.keys(feelKinds) as FeelTest[]

const epoch = '2000-01-01'
const dayOf = (value: number): Day =>
  new Date(Date.parse(`${epoch}T00:00:00Z`) + Math.round(value) * 86_400_000)
    .toISOString()
    .slice(0, 10)
/**
 * A day as the figure `when`.
 * @example dayFigure('2000-02-01') // 31
 */
export const dayFigure = (day: Day): number => daysBetween(epoch, day)

const troubleFigure = (trouble: Trouble): Figure => {
  const says = inSentence(troubleKinds[trouble].says)
  return made(`trouble:${trouble}`, 'outcome', yesNo, says, {
    groups: [`With ${says}`, `Without`],
    more: `${says} more often`,
    less: `${says} less often`,
    words: troubleWords[trouble],
  })
}
const feltWords: Partial<Record<FeelTest, readonly string[]>> = {
  quickFoam: ['quick foam', 'foam', 'lather', 'bubbly'],
  lastingFoam: ['lasting foam', 'creamy', 'lasting lather'],
  skinAfter: ['skin', 'mild', 'milder', 'kind', 'kinder', 'skin after'],
  keepsShape: ['keeps its shape', 'slimy', 'mushy in use', 'lasts', 'hard', 'harder'],
  scent: ['smell', 'smells'],
  rinseSpots: ['ring in the bath', 'scum', 'scum ring', 'hard water'],
}
const always: readonly Figure[] = [
  ...fixed,
  ...troubles.map(troubleFigure),
  ...feelTests.map((test) =>
    made(`felt:${test}`, 'outcome', scored, `${inSentence(feelKinds[test].says)} in use, 1 to 5`, {
      short: inSentence(feelKinds[test].says),
      more: `higher: ${inSentence(feelKinds[test].says)}`,
      less: `lower: ${inSentence(feelKinds[test].says)}`,
      words: feltWords[test] ?? [],
    }),
  ),
]
const byId = new Map(always.map((figure) => [figure.id, figure]))

/** Names of materials and scents, by the id of their figure. */
export type FigureNames = ReadonlyMap<string, string>

/**
 * The names that figures are made of, of all that a workshop may put into soap.
 * @example figureNames(shipped).get('extra:kaolin') // 'Kaolin'
 */
export function figureNames({ fats, liquids, additives, scents }: Library): FigureNames {
  const of = (kind: string, things: ReadonlyMap<string, { name: string }>) =>
    [...things].map(([id, { name }]): [string, string] => [`${kind}:${id}`, name.split(',')[0]!])
  return new Map([
    ...of('fat', fats),
    ...of('liquid', liquids),
    ...of('extra', additives),
    ...of('scent', scents ?? new Map()),
  ])
}

/**
 * A figure by its id; null for one that nobody knows.
 * @param names of what figures are made of, as `extra:kaolin`
 * @example figureOf('water', new Map()).says // 'water to lye'
 */
export function figureOf(id: string, names: FigureNames): Figure | null {
  const own = byId.get(id)
  if (own) return own
  const name = names.get(id)
  if (!name) return null
  const short = inSentence(name)
  const words = [short]
  return id.startsWith('fat:')
    ? made(id, 'cause', share(0.1), `${short}, of the fats`, {
        short,
        more: `more ${short}`,
        less: `less ${short}`,
        words,
      })
    : made(id, 'cause', yesNo, `with or without ${short}`, {
        short,
        groups: [`With ${short}`, 'Without'],
        words,
      })
}

/**
 * Every figure that batches of a workshop have, the usual ones first.
 * @example figuresIn([], new Map()).length // 0
 */
export function figuresIn(records: readonly BatchRecord[], names: FigureNames): Figure[] {
  const there = new Set(records.flatMap(({ figures }) => Object.keys(figures)))
  const own = [...there].filter((id) => !byId.has(id)).sort()
  return [
    ...always.filter(
      ({ id }) =>
        (there.has(id) || (id === 'when' && records.length > 0)) && !id.startsWith('felt:'),
    ),
    ...always.filter(({ id }) => id.startsWith('felt:') && there.has(id)),
    ...own.flatMap((id) => figureOf(id, names) ?? []),
  ]
}

/** Shares of the fatty acids that make a bar hard. */
const hard = ['palmitic', 'stearic', 'lauric', 'myristic', 'arachidic', 'behenic'] as const
const gelShare = { none: 0, partial: 0.5, full: 1 } as const

const along = [
  ['water', 'water'],
  ['superfat', 'superfat'],
  ['mixed-at', 'mixed-at'],
  ['vessels-apart', 'vessels-apart'],
  ['scent', 'scent'],
  ['colour', 'colour'],
  ['spoiling-fat', 'spoiling-fat'],
] as const

/** What went into it: every material and scent, by its share of the fats or the oils. */
function inIt({ result, document }: Case): BatchFigures {
  const lines: [string, number][] = [
    ...result.fats.map(({ id, share }): [string, number] => [`fat:${id}`, share]),
    ...result.liquids.map(({ id }): [string, number] => [`liquid:${id}`, 1]),
    ...result.additives.map(({ id, grams }): [string, number] => [
      `extra:${id}`,
      Number(grams > 0),
    ]),
    ...document.scents.map(({ id }): [string, number] => [`scent:${id}`, 1]),
  ]
  return Object.fromEntries(lines.filter(([, value]) => value > 0))
}

/**
 * All figures of a batch by what was written down of it. What nobody wrote down is not there; the room is known elsewhere.
 * @example figuresOf({ ...batch({ kind: 'poured', day: '2026-03-01' }, { kind: 'cut', day: '2026-03-03', bars: 12 }), facts: cut.facts }, say).figures.unmould // 2
 */
export function figuresOf(
  batch: Pick<Batch, 'frozen' | 'events' | 'facts'>,
  say: Formatter,
): Pick<BatchRecord, 'figures' | 'seen'> {
  const { facts } = batch
  const { pouredOn, drying } = facts
  if (!pouredOn) return { figures: {}, seen: {} }
  const about = caseOf(batch, pouredOn, 0, say)
  const events = standingEvents(batch.events)
  const dried = driedOn(facts)
  const cut = events.findLast((event) => event.kind === 'cut')
  const strip = events.find((event) => event.kind === 'strip' && !event.tooDry)
  const { made: weights, result, bench, gel, document } = about
  const figures: Record<string, number | null | undefined> = {
    ...inIt(about),
    when: dayFigure(pouredOn),
    citric: Number((figureKinds.citric.of(about) ?? 0) > 0),
    scented: Number(result.scents.length > 0),
    hand: Number(
      !byBlender({
        ...document,
        method: { ...document.method, tool: bench?.tool ?? document.method.tool },
      }),
    ),
    strength: weights.strength,
    'hard-fats': shareOfAcids(result.fattyAcids, hard),
    batter: weights.batter,
    gelled: gel && gelShare[gel],
    minutes: bench?.minutes,
    dry: dried === null ? null : daysBetween(pouredOn, dried),
    loss: drying?.levelled ? drying.shape.loss : null,
    ph: strip?.kind === 'strip' ? strip.ph : null,
  }
  for (const [id, figure] of along) figures[id] = figureKinds[figure].of(about)
  if (cut) {
    const lost = sumOf(cut.rejects, ({ bars }) => bars)
    const torn =
      cut.rejects.some(({ why }) => why === 'crumbled' || why === 'cracked') ||
      sightings(batch.events, 'crumbled').length > 0
    Object.assign(figures, {
      unmould: about.cutAfter,
      froze: Number(about.frozenLoaf),
      lost: lost / Math.max(1, lost + cut.bars),
      torn: Number(torn),
    })
  }
  for (const event of events)
    if (event.kind === 'felt')
      for (const test of feelTests)
        if (event.scores[test] !== undefined) figures[`felt:${test}`] = event.scores[test]
  const seen: Record<string, number> = {}
  for (const trouble of troubles) {
    const days = sightings(batch.events, trouble).map(({ day }) => daysBetween(pouredOn, day))
    figures[`trouble:${trouble}`] = Number(days.length > 0)
    if (days.length) seen[trouble] = Math.min(...days)
  }
  return {
    figures: Object.fromEntries(
      Object.entries(figures).flatMap(([id, value]) =>
        value === null || value === undefined || !Number.isFinite(value)
          ? []
          : [[id, roundTo(value, 5)]],
      ),
    ),
    seen,
  }
}

/**
 * Whether a figure of yes and no says yes: half of it, as gelled in part, is neither.
 * @example isYes(0.5) // false
 */
export const isYes = (value: number): boolean => value > 0.75
/**
 * Whether it says no.
 * @example isNo(0) // true
 */
export const isNo = (value: number): boolean => value < 0.25

/** Figures that stand in every batch: where one is not there, it is none. */
const noneWhereMissing = /^(extra|scent|liquid|fat):/

/**
 * A figure of a batch; null where nobody knows it.
 * @example valueOf({ figures: { water: 2.2 } }, 'extra:kaolin') // 0
 */
export const valueOf = ({ figures }: Pick<BatchRecord, 'figures'>, id: string): number | null =>
  figures[id] ?? (noneWhereMissing.test(id) ? 0 : null)
