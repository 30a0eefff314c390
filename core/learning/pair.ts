import type { Batch } from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { BatchRecord } from '#contracts/learning'
import { usualMinutes } from '../bench/run/batter'
import { afterPlanOf } from '../bench/run/checks'
import { workingTime } from '../batter/workingTime'
import { computeFormula } from '../formula/compute'
import { byBlender } from '../formula/method'
import { frozenLibrary } from '../formula/frozen'
import { nameOfExtra, nameOfFat, nameOfLiquid } from '../formula/names'
import type { Library } from '../materials/library'
import { dryingPrior } from '../rack/drying/fit'
import type { Formatter } from '../units/formatter'
import { capital, inSentence } from '../units/language'
import { standingEvents } from '../units/standingEvents'
import { wordings } from '../versions/changes'
import { caseOf } from '../troubles/case'
import { answerOf, moved, type AnswerContext } from './answer'
import { figureOf, valueOf, type Figure } from './figures'
import { pullOf } from './pulls'

/*
 * Two batches held beside each other: all that differs, what a model or own batches say each of it does, and whether one thing can be
 * blamed.
 */

type Held = Pick<Batch, 'frozen' | 'events' | 'facts' | 'number' | 'name'>

/** One thing in which two batches differ. */
export interface Difference {
  id: string
  says: string
  one: string
  other: string
  /** What it does to the outcome, by a model or by own batches; null where neither says. */
  effect: { says: string; size: number | null } | null
  /** It goes the way that was seen, and a good part of it. */
  explains: boolean
  /** It was chosen, and can be changed by itself; the formula with only this as in the first batch. */
  changed: FormulaDocument | null
}

export interface PairAnswer {
  outcome: Figure | null
  /** Of the two batches; null where nobody knows. */
  values: readonly [number | null, number | null]
  differences: Difference[]
  title: string
  says: string
  /** The one to change by itself first. */
  first: Difference | null
}

/** Share of the difference that a thing has to bring to be said to explain it (judgement). */
const goodPart = 0.25
/** Outcomes that two batches are held against by themselves, the first that both know and that differs. */
const usualOutcomes = ['unmould', 'minutes', 'dry'] as const

/** The formula as it was made: by the weights, at the temperatures that were read, with the tool that was used. */
function asMade({ frozen, events }: Held, say: Formatter): FormulaDocument {
  const { document, made, bench } = caseOf({ frozen, events }, '2000-01-01', 0, say)
  const { method } = document
  return {
    ...document,
    superfat: made.superfat,
    water: { held: 'ratio', value: made.ratio },
    method: {
      ...method,
      lyeC: bench?.lyeC ?? method.lyeC,
      oilsC: bench?.oilsC ?? method.oilsC,
      tool: bench?.tool ?? method.tool,
    },
  }
}

type Predict = (document: FormulaDocument, library: Library) => number
/** Hours of a day. */
const dayHours = 24
/** What models say of an outcome by the formula alone. */
const models: Readonly<Record<string, Predict>> = {
  minutes: (document, library) => {
    const { minutes } = workingTime(document, computeFormula(document, library), library)
    return usualMinutes(minutes, byBlender(document)).medium
  },
  unmould: (document, library) => {
    const result = computeFormula(document, library)
    const { from, to } = afterPlanOf(document, result, library, '2000-01-01T12:00:00Z').after
      .unmould
    return (from + to) / 2 / dayHours
  },
  loss: (document, library) => {
    const result = computeFormula(document, library)
    return dryingPrior(result.water.content / result.batter, 100, 0.55).loss
  },
}

interface Words extends ReturnType<typeof wordings> {
  say: Formatter
  library: Library
}
/** The name of a material without what is told beside it. */
const short = (name: string) => inSentence(name.split(',')[0]!)

interface Aspect {
  id: string
  says: string
  /** The figure of own batches that is the same thing. */
  figure: string | null
  /** `to` with this taken from `from`. */
  take: (from: FormulaDocument, to: FormulaDocument) => FormulaDocument
  text: (document: FormulaDocument, words: Words) => string
}
const method = (
  id: 'lyeC' | 'oilsC' | 'gel' | 'tool',
  says: string,
  figure: string | null,
  text: Aspect['text'],
): Aspect => ({
  id,
  says,
  figure,
  take: (from, to) => ({ ...to, method: { ...to.method, [id]: from.method[id] } }),
  text,
})
const aspects: readonly Aspect[] = [
  {
    id: 'fats',
    says: 'Fats',
    figure: 'hard-fats',
    take: (from, to) => ({ ...to, fats: from.fats }),
    text: ({ fats }, { say, library, fat }) =>
      say.list(
        [...fats]
          .sort((a, b) => (b.share ?? 0) - (a.share ?? 0))
          .map((line) => `${short(nameOfFat(line, library))} ${fat(line)}`),
      ),
  },
  {
    id: 'superfat',
    says: 'Superfat',
    figure: 'superfat',
    take: (from, to) => ({ ...to, superfat: from.superfat }),
    text: ({ superfat }, { say }) => say.percent(superfat ?? 0),
  },
  {
    id: 'water',
    says: 'Water to lye',
    figure: 'water',
    take: (from, to) => ({ ...to, water: from.water }),
    text: ({ water }, { say }) => say.ratio(water.value ?? 0),
  },
  {
    id: 'liquids',
    says: 'Other liquids',
    figure: null,
    take: (from, to) => ({ ...to, liquids: from.liquids }),
    text: ({ liquids }, { say, library }) =>
      say.list(liquids.map(({ id }) => short(nameOfLiquid(id, library)))) || 'none',
  },
  {
    id: 'extras',
    says: 'Extras',
    figure: null,
    take: (from, to) => ({ ...to, additives: from.additives }),
    text: ({ additives }, { say, library, extra }) =>
      say.list(additives.map((line) => `${short(nameOfExtra(line.id, library))} ${extra(line)}`)) ||
      'none',
  },
  {
    id: 'scents',
    says: 'Scent',
    figure: 'scent',
    take: (from, to) => ({ ...to, scents: from.scents }),
    text: ({ scents }, { say, scent }) =>
      say.list(scents.map((line) => `${line.name ?? line.id} ${scent(line)}`)) || 'none',
  },
  method('lyeC', 'Lye at', 'mixed-at', ({ method: { lyeC } }, { say }) => say.temperature(lyeC)),
  method('oilsC', 'Oils at', 'mixed-at', ({ method: { oilsC } }, { say }) =>
    say.temperature(oilsC),
  ),
  method('gel', 'Gel asked for', 'gelled', ({ method: { gel } }) =>
    gel === 'force' ? 'kept warm' : gel === 'prevent' ? 'kept cool' : 'left to itself',
  ),
  method('tool', 'Brought together by', 'hand', ({ method: { tool } }) => tool.replace(/-/g, ' ')),
  {
    id: 'pots',
    says: 'Pots',
    figure: null,
    take: (from, to) => ({ ...to, parts: from.parts }),
    text: ({ parts }, { say }) => say.list(parts.map(({ name }) => name)) || 'one',
  },
  {
    id: 'size',
    says: 'Size',
    figure: 'batter',
    take: (from, to) => ({ ...to, size: from.size }),
    text: (document, { say, library }) => say.amount(computeFormula(document, library).oils),
  },
]

/** What differs and was no choice of the formula: figures that only the records know. */
const besides = ['minutes', 'room', 'humidity', 'gelled', 'unmould'] as const

const merged = (one: Library, other: Library): Library => ({
  ...one,
  fats: new Map([...other.fats, ...one.fats]),
  liquids: new Map([...other.liquids, ...one.liquids]),
  additives: new Map([...other.additives, ...one.additives]),
  scents: new Map([...(other.scents ?? []), ...(one.scents ?? [])]),
})

/**
 * What differs between two batches, and what of it may lie behind an outcome.
 * @param outcome a figure by its id; null for the first of the usual ones that differs
 * @param lots codes of the lots behind each, where they are known
 * @example pairOf([{ ...cut, name: 'Slab', number: 1 }, { ...cut, name: 'Slab', number: 2 }], null, [], { names: new Map(), today: '2026-03-15', say }).title
 *   // 'Nothing that was written down differs.'
 */
export function pairOf(
  batches: readonly [Held & { id?: string }, Held & { id?: string }],
  outcome: string | null,
  records: readonly BatchRecord[],
  context: AnswerContext,
  lots: readonly [readonly string[], readonly string[]] = [[], []],
): PairAnswer {
  const { names, say } = context
  const recordOf = (batch: Held) => records.find(({ number }) => number === batch.number) ?? null
  const [recordA, recordB] = [recordOf(batches[0]), recordOf(batches[1])]
  const known = (id: string) =>
    [recordA, recordB].map((record) => record && valueOf(record, id)) as [
      number | null,
      number | null,
    ]
  const differs = (id: string) => {
    const [a, b] = known(id)
    return a !== null && b !== null && a !== b
  }
  const asked = outcome ?? usualOutcomes.find(differs) ?? null
  const figure = asked ? figureOf(asked, names) : null
  const values = asked ? known(asked) : ([null, null] as const)
  const seen = values[0] !== null && values[1] !== null ? values[0] - values[1] : null
  const library = merged(frozenLibrary(batches[0].frozen), frozenLibrary(batches[1].frozen))
  const words: Words = { ...wordings(library, say), say, library }
  const [a, b] = batches.map((batch) => asMade(batch, say)) as [FormulaDocument, FormulaDocument]
  const model = asked ? models[asked] : undefined
  const before = model?.(b, library) ?? 0
  const signed = (size: number): string => (figure ? moved(size, figure, say) : '')
  /** What own batches say of a cause, where they can be leaned on. */
  const ownWord = (id: string | null): Difference['effect'] => {
    if (!asked || !id || id === asked) return null
    const answer = answerOf(
      { cause: id, outcome: asked, within: { formulaId: null, gel: 'any', since: null } },
      records,
      context,
    )
    if (!answer || (answer.trust !== 'lean on it' && answer.trust !== 'settled')) return null
    const [one, other] = known(id)
    if (one === null || other === null) return null
    const size = answer.trend
      ? answer.trend.slope * (one - other)
      : answer.axis.id === asked && answer.shift
        ? answer.shift.at * Math.sign(one - other)
        : 0
    return size ? { says: `your own batches: ${signed(size)}`, size } : null
  }
  const explains = (effect: Difference['effect']) =>
    effect?.size != null &&
    seen !== null &&
    Math.sign(effect.size) === Math.sign(seen) &&
    Math.abs(effect.size) >= goodPart * Math.abs(seen)
  const chosen = aspects.flatMap((aspect): Difference[] => {
    const [one, other] = [aspect.text(a, words), aspect.text(b, words)]
    if (one === other) return []
    const [planA, planB] = batches.map(({ frozen }) => frozen.document) as [
      FormulaDocument,
      FormulaDocument,
    ]
    // What only the weighing made differ is no choice that a version could take back.
    const changed =
      aspect.text(planA, words) === aspect.text(planB, words) ? null : aspect.take(planA, planB)
    const size = model ? model(aspect.take(a, b), library) - before : 0
    const byModel: Difference['effect'] =
      figure && Math.abs(size) > figure.step * 0.05
        ? { says: `by the model ${signed(size)}`, size }
        : null
    const effect = ownWord(aspect.figure) ?? byModel
    return [
      { id: aspect.id, says: aspect.says, one, other, effect, explains: explains(effect), changed },
    ]
  })
  const rest = besides.flatMap((id): Difference[] => {
    const own = figureOf(id, names)!
    const [one, other] = known(id)
    if (id === asked || one === null || other === null) return []
    const text = (value: number) =>
      own.kind === 'yes-no'
        ? value > 0.75
          ? 'yes'
          : value > 0
            ? 'in part'
            : 'no'
        : own.text(value, say)
    if (text(one) === text(other)) return []
    const pull = asked ? pullOf(asked, id) : null
    const effect = ownWord(id) ?? (pull ? { says: pull.says, size: null } : null)
    return [
      {
        id,
        says: own.says,
        one: text(one),
        other: text(other),
        effect,
        explains: explains(effect),
        changed: null,
      },
    ]
  })
  const blended = batches.map(
    ({ events }) =>
      standingEvents(events).findLast((event) => event.kind === 'poured')?.bench?.blenderSeconds ??
      null,
  )
  const blending: Difference[] =
    blended[0] !== null && blended[1] !== null && Math.abs(blended[0]! - blended[1]!) > 5
      ? [
          {
            id: 'blending',
            says: 'Seconds of blending',
            one: say.number(blended[0]!),
            other: say.number(blended[1]!),
            effect: null,
            explains: false,
            changed: null,
          },
        ]
      : []
  const onlyIn = (place: 0 | 1) => lots[place].filter((code) => !lots[1 - place]!.includes(code))
  const [lotsA, lotsB] = [onlyIn(0), onlyIn(1)]
  const lotRow: Difference[] =
    lotsA.length || lotsB.length
      ? [
          {
            id: 'lots',
            says: 'Lots',
            one: say.list(lotsA) || '–',
            other: say.list(lotsB) || '–',
            effect: null,
            explains: false,
            changed: null,
          },
        ]
      : []
  const differences = [...chosen, ...rest, ...blending, ...lotRow]
  const strongest = (list: readonly Difference[]) =>
    [...list].sort((x, y) => Math.abs(y.effect?.size ?? 0) - Math.abs(x.effect?.size ?? 0))[0] ??
    null
  const likely = differences.filter((one) => one.explains)
  const first = strongest(chosen.filter((one) => one.explains)) ?? strongest(chosen)
  const [only, ...more] = chosen
  const title = !differences.length
    ? 'Nothing that was written down differs.'
    : !only
      ? 'Made alike: what differs was not chosen.'
      : more.length
        ? `${say.count(chosen.length, 'thing', 'things')} changed: cannot tell.`
        : only.explains
          ? `${only.says}: likely explains it.`
          : `One thing was changed: ${inSentence(only.says)}.`
  const [cause] = likely
  const says =
    more.length && first
      ? `Change one: ${inSentence(first.says)} first, as ${first.explains ? 'that likely explains the most' : 'the rest stays as it was'}.`
      : cause?.effect
        ? `${capital(cause.effect.says)}.`
        : 'No model and no other batches of yours say what it does.'
  return { outcome: figure, values, differences, title, says, first }
}
