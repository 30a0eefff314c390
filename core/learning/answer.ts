import type { Asked, BatchRecord, Within } from '#contracts/learning'
import { median } from '../statistics/quantile'
import { randomSource, seedFrom } from '../statistics/randomSource'
import { mean, sumOf } from '../statistics/sum'
import { shareApart, shiftOf, type Shift } from '../statistics/groups'
import { trendOf, type Trend } from '../statistics/trend'
import { daysBetween, type Day } from '../units/days'
import type { Formatter } from '../units/formatter'
import { capital, inSentence } from '../units/language'
import { figureOf, isNo, isYes, valueOf, type Figure, type FigureNames } from './figures'
import { pullOf } from './pulls'

/*
 * What the workshop's own batches say to a question, and how far to trust it. It is never an experiment: what else differed is said.
 */

/** How far an answer can be trusted, in four words. */
export const trusts = ['too few', 'a hint', 'lean on it', 'settled'] as const
export type Trust = (typeof trusts)[number]

/** A batch of an answer with its two figures. */
export interface Point {
  batch: BatchRecord
  /** Of the axis that the picture has: the outcome, or the cause where the outcome is yes or no. */
  value: number
  /** Of the other axis; the group where there are two. */
  beside: number
}

/** What else differed between the two sides, by how much. */
export interface Imbalance {
  id: string
  says: string
  /** What it does to the outcome as far as anybody knows; else how it lay. */
  because: string
  /** How far the two sides lie apart in spreads of all: above 0 where the first side has more. */
  tilt: number
  /** It pulls the outcome the way that was seen. */
  withIt: boolean
}

export interface Answer {
  asked: Asked
  cause: Figure
  outcome: Figure
  /** groups: two sides on one axis; shares: how often on two sides; trend: one figure over another. */
  kind: 'groups' | 'shares' | 'trend'
  /** The figure of the axis. */
  axis: Figure
  /** The sides, the one with it first. In a trend the lower and the upper half. */
  sides: { says: string; points: Point[] }[]
  /** Batches between the two sides, as gelled in part: shown, and not counted. */
  between: Point[]
  title: string
  /** In a few words, for a list of answers. */
  shortly: string
  /** How many, and what chance would do. */
  rests: string
  shift: Shift | null
  trend: Trend | null
  /** The band in words; empty without one. */
  band: string
  trust: Trust
  trustSays: string
  imbalances: Imbalance[]
  leftOut: { batches: number; says: string }[]
}

/** Batches on a side below which nothing is said, and points of a trend. */
const fewest = 3
const fewestOfTrend = 4
/** From which chance on nothing is made of it, and below which so many batches settle it (judgement). */
const mayBeChance = 0.1
const settles = { chance: 0.01, each: 6, trend: 12 } as const
/** Spreads apart from which on something else is said to differ; how many are named. */
const apartFrom = 0.5
/** Of a step of a figure: what is less is no difference worth a word. */
const hardly = 0.3
const named = 3

/** Batches that a question is about. */
const within = (records: readonly BatchRecord[], { formulaId, gel, since }: Within) =>
  records.filter((record) => {
    if (formulaId && record.formulaId !== formulaId) return false
    if (since && record.pouredOn < since) return false
    const gelled = record.figures.gelled
    return (
      gel === 'any' || (gelled !== undefined && (gel === 'gelled' ? isYes(gelled) : isNo(gelled)))
    )
  })

/** Batches that stood long enough to show a trouble, as half of those that have it did; of other outcomes all. */
function stood(records: readonly BatchRecord[], outcome: Figure, today: Day): BatchRecord[] {
  if (!outcome.id.startsWith('trouble:')) return [...records]
  const trouble = outcome.id.slice('trouble:'.length)
  const days = records.flatMap(({ seen }) => seen[trouble] ?? [])
  const needed = days.length ? median(days) : 0
  return records.filter(
    ({ seen, pouredOn, leftOn }) =>
      seen[trouble] !== undefined || daysBetween(pouredOn, leftOn ?? today) >= needed,
  )
}

/** Causes that say the same as another one, or of which another one is made. */
const kin: Readonly<Record<string, readonly string[]>> = {
  water: ['strength'],
  strength: ['water'],
  scented: ['scent'],
  scent: ['scented'],
  superfat: ['spoiling-fat'],
  'spoiling-fat': ['superfat'],
}
const besides = [
  'water',
  'superfat',
  'mixed-at',
  'room',
  'humidity',
  'fat:olive',
  'hard-fats',
  'gelled',
  'citric',
  'scented',
  'hand',
  'batter',
  'vessels-apart',
  'when',
] as const

function imbalancesOf(
  sides: readonly [readonly BatchRecord[], readonly BatchRecord[]],
  { cause, outcome }: Pick<Answer, 'cause' | 'outcome'>,
  way: number,
  names: FigureNames,
  say: Formatter,
): Imbalance[] {
  const found = besides.flatMap((id): Imbalance[] => {
    if (id === cause.id || id === outcome.id || kin[cause.id]?.includes(id)) return []
    const figure = figureOf(id, names)
    if (!figure) return []
    const [one, other] = sides.map((side) => side.flatMap((batch) => valueOf(batch, id) ?? []))
    if (!one || !other || one.length < 2 || other.length < 2) return []
    // What half of a side never says may be anything.
    if (sides.some((side, place) => (place ? other : one).length * 2 < side.length)) return []
    const [a, b] = [mean(one), mean(other)]
    const all = [...one, ...other]
    const middle = mean(all)
    const spread = Math.sqrt(sumOf(all, (value) => (value - middle) ** 2) / all.length)
    if (!(spread > 0) || Math.abs(a - b) < hardly * figure.step) return []
    const tilt = (a - b) / spread
    const pull = pullOf(outcome.id, id)
    const yes = (side: readonly number[]) =>
      `${say.number(side.filter(isYes).length)} of ${say.number(side.length)}`
    const says =
      figure.kind === 'yes-no'
        ? `${figure.groups[0]}: ${yes(one)}, against ${yes(other)}`
        : `${capital(figure.short)} ${figure.text(a, say)}, against ${figure.text(b, say)}`
    if (id === 'when' && Math.abs(tilt) < 1.2) return []
    return [
      {
        id,
        says,
        because:
          pull?.says ??
          (id === 'when'
            ? 'other things changed meanwhile too'
            : 'what that does to it nobody knows'),
        tilt,
        withIt: pull !== null && Math.sign(pull.way * tilt) === Math.sign(way),
      },
    ]
  })
  const weight = ({ tilt, id }: Imbalance) => Math.abs(tilt) * (pullOf(outcome.id, id) ? 1 : 0.6)
  return found
    .filter(({ tilt }) => Math.abs(tilt) >= apartFrom)
    .sort((a, b) => weight(b) - weight(a))
    .slice(0, named)
}

const counts = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]
const batchesText = (count: number, say: Formatter) =>
  `${capital(counts[count] ?? say.number(count))} ${say.plural(count, 'batch', 'batches')}`

function chanceText({ times, ways, drawn }: Shift['chance'], say: Formatter): string {
  if (drawn && times / ways < 0.001)
    return 'Dealt out by chance, they would part this far less than once in 1,000.'
  if (drawn)
    return `Dealt out by chance, they would part this far in about ${say.percent(times / ways)} of cases.`
  const often = say.plural(times, 'once', `${say.number(times)} times`)
  return `Dealt out by chance, they would part this far ${often} in ${say.number(ways)}.`
}

/**
 * A difference with its direction.
 * @example moved(1.5, { apart: (value) => `${value} days`, more: 'longer', less: 'shorter' }, say) // '1.5 days longer'
 */
export function moved(
  value: number,
  figure: Pick<Figure, 'apart' | 'more' | 'less'>,
  say: Formatter,
): string {
  return `${figure.apart(Math.abs(value), say)} ${value >= 0 ? figure.more : figure.less}`
}
/** Two figures with their unit once. */
function betweenText(low: string, high: string): string {
  const unit = /^[\d.,]+( \D.*)$/.exec(high)?.[1]
  return `${unit && /^[\d.,]+ \D/.test(low) ? /^[\d.,]+/.exec(low)![0] : low} to ${high}`
}
function bandText(band: { low: number; high: number }, figure: Figure, say: Formatter): string {
  const { low, high } = band
  if (low >= 0 || high <= 0) {
    const [near, far] = [
      Math.min(Math.abs(low), Math.abs(high)),
      Math.max(Math.abs(low), Math.abs(high)),
    ]
    return `90 in 100: ${betweenText(figure.apart(near, say), figure.apart(far, say))}`
  }
  return `90 in 100: from ${moved(low, figure, say)} to ${moved(high, figure, say)}`
}

/** Both ways to say what came out: the heading, and a few words in a list. `seen` is empty where there is nothing to see. */
function saidAs(
  few: string,
  seen: string,
  none: string,
  title: (seen: string) => string,
): Pick<Answer, 'title' | 'shortly'> {
  if (few) return { title: 'Too few to tell.', shortly: 'Too few to tell' }
  return { title: title(seen), shortly: seen || none }
}

interface Judged {
  trust: Trust
  says: string
}
/** How far to trust it, by how many there are, whether more is seen than chance does, and what else pulls the same way. */
function judged(about: {
  few: string
  seen: boolean
  settled: boolean
  plan: string
  imbalances: readonly Imbalance[]
}): Judged {
  if (about.few) return { trust: 'too few', says: about.few }
  const first = about.imbalances.find(({ withIt }) => withIt)
  if (!about.seen)
    return {
      trust: 'a hint',
      says: `Chance alone does as much too often to build on it. More batches tell, or a pair that differs in nothing else.`,
    }
  const shadow = first
    ? ` It is no experiment: ${inSentence(first.says.split(',')[0]!)} there, and ${first.because}, so part of it may come from that.`
    : about.imbalances.length
      ? ' It is no experiment: see what else differed.'
      : ' It is no experiment, though nothing else differed much.'
  return { trust: about.settled && !first ? 'settled' : 'lean on it', says: about.plan + shadow }
}

/** What is asked, by figures that are known; null where one of them is not. */
export interface AnswerContext {
  names: FigureNames
  today: Day
  say: Formatter
}

/**
 * What own batches say to a question of what goes with what.
 * @returns null where the cause or the outcome is no figure of this workshop
 * @example answerOf({ cause: 'citric', outcome: 'unmould', within: { formulaId: null, gel: 'any', since: null } }, [],
 *   { names: new Map(), today: '2026-03-01', say }).trust // 'too few'
 */
export function answerOf(
  asked: Asked,
  records: readonly BatchRecord[],
  { names, today, say }: AnswerContext,
): Answer | null {
  const cause = figureOf(asked.cause, names)
  const outcome = figureOf(asked.outcome, names)
  if (!cause || !outcome) return null
  const asWished = within(records, asked.within)
  const there = stood(asWished, outcome, today)
  const known = there.flatMap((batch) => {
    const [why, what] = [valueOf(batch, cause.id), valueOf(batch, outcome.id)]
    return why === null || what === null ? [] : [{ batch, why, what }]
  })
  const missing = (id: string) => there.filter((batch) => valueOf(batch, id) === null).length
  const leftOut = [
    { batches: missing(outcome.id), says: `never say: ${outcome.says}` },
    {
      batches: there.filter(
        (one) => valueOf(one, outcome.id) !== null && valueOf(one, cause.id) === null,
      ).length,
      says: `never say: ${cause.says}`,
    },
    { batches: asWished.length - there.length, says: 'have not stood long enough to show it' },
  ].filter(({ batches }) => batches > 0)
  const common = { asked, cause, outcome, leftOut }
  const isTrend = cause.kind === 'number' && outcome.kind === 'number'
  if (isTrend) return { ...common, ...trendAnswer(known, common, { names, say }) }
  // A figure on one side and yes or no on the other: the yes and the no are the sides, whichever was asked as the cause.
  const by = cause.kind === 'yes-no' ? cause : outcome
  const axis = by === cause ? outcome : cause
  const points = known.map(({ batch, why, what }): Point => {
    const [side, value] = by === cause ? [why, what] : [what, why]
    return { batch, value, beside: side }
  })
  const yes = points.filter(({ beside }) => isYes(beside))
  const no = points.filter(({ beside }) => isNo(beside))
  const between = points.filter(({ beside }) => !isYes(beside) && !isNo(beside))
  const sides = [
    { says: by.groups[0], points: yes },
    { says: by.groups[1], points: no },
  ]
  const of = `${batchesText(yes.length + no.length, say)}.`
  const short = Math.min(yes.length, no.length)
  const needs = [yes, no].flatMap((side, place) =>
    side.length < fewest
      ? [`${say.number(fewest - side.length)} more ${inSentence(by.groups[place === 0 ? 0 : 1])}`]
      : [],
  )
  const few =
    short < fewest
      ? `Three on each side are the least that says anything: ${say.list(needs, 'and')} ${needs.length > 1 ? 'are' : 'would be'} wanted.`
      : ''
  const batches = sides.map((side) => side.points.map(({ batch }) => batch)) as [
    BatchRecord[],
    BatchRecord[],
  ]
  /** Of yes and no as of figures: 1 and 0. */
  const valuesOf = (side: readonly Point[]) =>
    side.map(({ value }) => (axis.kind === 'yes-no' ? Number(isYes(value)) : value))
  const shift =
    yes.length && no.length
      ? shiftOf(valuesOf(yes), valuesOf(no), randomSource(seedFrom(cause.id + outcome.id)))
      : null
  const chance = shift ? shift.chance.times / shift.chance.ways : 1
  const settled = chance <= settles.chance && short >= settles.each
  const rests = `${of}${few || !shift ? '' : ` ${chanceText(shift.chance, say)}`}`
  if (axis.kind === 'yes-no') {
    const times = sides.map(({ points: side }) => side.filter(({ value }) => isYes(value)).length)
    const apart =
      yes.length && no.length
        ? shareApart({ times: times[0]!, of: yes.length }, { times: times[1]!, of: no.length })
        : null
    const imbalances = short < 2 ? [] : imbalancesOf(batches, common, apart?.at ?? 0, names, say)
    const often = `${say.number(times[0]!)} of ${say.number(yes.length)}, against ${say.number(times[1]!)} of ${say.number(no.length)}`
    const isSeen = apart !== null && apart.at !== 0 && chance <= mayBeChance
    const way = apart && apart.at > 0 ? axis.more : axis.less
    const verdict = judged({
      few,
      seen: isSeen,
      settled,
      plan: `${by.groups[0]}, reckon with ${way}.`,
      imbalances,
    })
    return {
      ...common,
      kind: 'shares',
      axis,
      sides,
      between,
      shift,
      trend: null,
      ...saidAs(few, isSeen ? way : '', 'No difference seen', (seen) =>
        seen ? `${by.groups[0]}, ${seen}: ${often}.` : `No difference seen: ${often}.`,
      ),
      rests,
      band:
        few || !apart
          ? ''
          : bandText(apart, { ...axis, more: 'more often', less: 'less often' }, say),
      trust: verdict.trust,
      trustSays: verdict.says,
      imbalances,
    }
  }
  // Which way the outcome went, as far as it is the one that is measured.
  const imbalances =
    short < 2 ? [] : imbalancesOf(batches, common, by === cause ? (shift?.at ?? 0) : 1, names, say)
  const isSeen = shift !== null && shift.at !== 0 && chance <= mayBeChance
  const verdict = judged({
    few,
    seen: isSeen,
    settled,
    plan:
      by === cause
        ? `Plan for ${axis.text(median(yes.map(({ value }) => value)), say)}, ${inSentence(cause.groups[0])}.`
        : `${by.groups[0]}: ${axis.text(median(yes.length ? yes.map(({ value }) => value) : [0]), say)} in the middle.`,
    imbalances,
  })
  return {
    ...common,
    kind: 'groups',
    axis,
    sides,
    between,
    shift: few ? null : shift,
    trend: null,
    ...saidAs(few, isSeen ? moved(shift.at, axis, say) : '', 'No difference seen', (seen) =>
      seen ? `${by.groups[0]}, about ${seen}.` : 'No difference seen.',
    ),
    rests,
    band: few || !shift?.band ? '' : bandText(shift.band, axis, say),
    trust: verdict.trust,
    trustSays: verdict.says,
    imbalances,
  }
}

function trendAnswer(
  known: readonly { batch: BatchRecord; why: number; what: number }[],
  { cause, outcome }: Pick<Answer, 'cause' | 'outcome'>,
  { names, say }: Pick<AnswerContext, 'names' | 'say'>,
): Omit<Answer, 'asked' | 'cause' | 'outcome' | 'leftOut'> {
  const points = known.map(({ batch, why, what }): Point => ({ batch, value: what, beside: why }))
  const trend = trendOf(points.map(({ beside, value }) => [beside, value] as const))
  const few =
    points.length < fewestOfTrend
      ? `Four batches are the least that shows a trend: ${say.number(fewestOfTrend - points.length)} more would be wanted.`
      : !trend
        ? `All of them have the same ${cause.short}: nothing to hold against each other.`
        : ''
  const middle = points.length ? median(points.map(({ beside }) => beside)) : 0
  const upper = points.filter(({ beside }) => beside > middle)
  const lower = points.filter(({ beside }) => beside <= middle)
  const way = trend?.slope ?? 0
  const imbalances =
    few || upper.length < 2 || lower.length < 2
      ? []
      : imbalancesOf(
          [upper.map(({ batch }) => batch), lower.map(({ batch }) => batch)],
          { cause, outcome },
          way,
          names,
          say,
        )
  const step =
    cause.id === 'when' ? 'three months on' : `for ${cause.apart(cause.step, say)} ${cause.more}`
  const each = way * cause.step
  const seen = !few && trend !== null && way !== 0 && trend.p <= mayBeChance
  const verdict = judged({
    few,
    seen,
    settled: (trend?.p ?? 1) <= settles.chance && points.length >= settles.trend,
    plan: `Reckon with ${moved(each, outcome, say)}, ${step}.`,
    imbalances,
  })
  const apart = trend?.band && {
    low: trend.band.low * cause.step,
    high: trend.band.high * cause.step,
  }
  return {
    kind: 'trend',
    axis: outcome,
    sides: [
      { says: `${capital(cause.more)}`, points: upper },
      { says: `${capital(cause.less)}`, points: lower },
    ],
    between: [],
    shift: null,
    trend: few ? null : trend,
    ...saidAs(few, seen ? `${moved(each, outcome, say)}, ${step}` : '', 'No trend seen', (said) =>
      said ? `${capital(said)}.` : 'No trend seen.',
    ),
    rests: `${batchesText(points.length, say)}.${few ? '' : ` In no order at all they would lie this straight ${trend!.p < 0.001 ? 'less than once in 1,000' : `in ${say.percent(trend!.p)} of cases`}.`}`,
    band: few || !apart ? '' : `${bandText(apart, outcome, say)}, ${step}`,
    trust: verdict.trust,
    trustSays: verdict.says,
    imbalances,
  }
}

/**
 * What may be asked next to a question: another outcome, what else differed, the same within one formula.
 * @param own what was answered to it
 * @example nextTo({ asked: { cause: 'citric', outcome: 'unmould', within: {} }, sides: [], imbalances: [] }, [], { names: new Map(), today: '2026-03-01', say }) // []
 */
export function nextTo(
  own: Pick<Answer, 'asked' | 'sides' | 'imbalances'>,
  records: readonly BatchRecord[],
  context: AnswerContext,
): Answer[] {
  const { asked } = own
  const others = ['unmould', 'dry', 'minutes', 'loss'].filter((id) => id !== asked.outcome)
  const [imbalance] = own.imbalances
  const byFormula = new Map<string, number>()
  for (const { points } of own.sides)
    for (const { batch } of points)
      byFormula.set(batch.formulaId, (byFormula.get(batch.formulaId) ?? 0) + 1)
  const [most] = [...byFormula].sort((a, b) => b[1] - a[1])
  const wished: Asked[] = [
    ...others.slice(0, 2).map((outcome) => ({ ...asked, outcome })),
    ...(imbalance ? [{ ...asked, cause: imbalance.id }] : []),
    ...(most && !asked.within.formulaId
      ? [{ ...asked, within: { ...asked.within, formulaId: most[0] } }]
      : []),
  ]
  return wished.flatMap((one) => {
    const answer = answerOf(one, records, context)
    return answer && sumOf(answer.sides, ({ points }) => points.length) > 0 ? [answer] : []
  })
}
