import type { Asked } from '#contracts/learning'
import { fillers, stemOf } from '../journal/vocabulary'
import { knownDay } from '../journal/knownDay'
import { tokensOf, type Range, type Token } from '../materials/tokens'
import type { Day } from '../units/days'
import type { Figure } from './figures'

/* What a question in a sentence of the maker's own asks for. */

/** A stretch of the sentence and what it was taken for. */
export interface Meant extends Range {
  as: 'cause' | 'outcome' | 'within' | 'since' | 'pair' | 'version'
}

/** What a sentence asks; what is not said in it is null. */
export interface ReadQuestion {
  kind: 'with' | 'pair' | 'version' | null
  cause: string | null
  outcome: string | null
  formulaId: string | null
  since: Day | null
  /** Numbers of two batches. */
  pair: [number, number] | null
  /** Number of a version; null for the newest. */
  version: number | null
  meant: Meant[]
  /** Words that were passed over and may have meant something. */
  left: string[]
}

export interface QuestionContext {
  figures: readonly Figure[]
  formulas: readonly { id: string; name: string }[]
  today: Day
}

interface Phrase {
  words: string[]
  figures: Figure[]
  formulaId: string | null
}

/** Small words of questions, beside those that a search passes over. */
const small = new Set(
  `keep keeps keeping take takes taking stay stays loaf loaves longer shorter less more sooner later why how much many long get gets
  come comes make makes help helps affect affects change changes cause causes give gives go goes against versus vs than while if really
  always ever still see mean means bring brings between work worked works every each time differ differs different difference was what
  better worse often delay delays stop stops prevent prevents slow slows day days would could should can will has have`.split(
    /\s+/,
  ),
)

const plainWords = (text: string) =>
  tokensOf(text)
    .filter(({ kind }) => kind !== 'sign')
    .map(({ text: word }) => word)

function phrasesOf({ figures, formulas }: QuestionContext): Phrase[] {
  const phrases = new Map<string, Phrase>()
  const add = (text: string, figure: Figure | null, formulaId: string | null) => {
    const words = plainWords(text)
    const key = words.map(stemOf).join(' ')
    if (!key) return
    const known = phrases.get(key) ?? { words, figures: [], formulaId: null }
    if (figure && !known.figures.includes(figure)) known.figures.push(figure)
    known.formulaId ??= formulaId
    phrases.set(key, known)
  }
  // The whole name of a formula goes before a material of one of its words.
  for (const { id, name } of formulas) add(name, null, id)
  for (const figure of figures) for (const words of figure.words) add(words, figure, null)
  // A material by any long word of its name that no other thing has.
  const single = new Map<string, Figure[]>()
  for (const figure of figures)
    if (figure.id.includes(':') && figure.role === 'cause')
      for (const word of new Set(plainWords(figure.short)))
        if (word.length >= 4) single.set(word, [...(single.get(word) ?? []), figure])
  for (const [word, [figure, ...others]] of single)
    if (figure && !others.length && !phrases.has(stemOf(word))) add(word, figure, null)
  return [...phrases.values()].sort((a, b) => b.words.length - a.words.length)
}

const isWhole = ({ kind, value }: Token) =>
  kind === 'number' && Number.isInteger(value) && value > 0
const joins = new Set(['and', 'against', 'versus', 'vs', 'than', 'to', '&', ','])

/** Two batches by their numbers: "18 and 20", "batch 31 against batch 27". */
function pairIn(tokens: readonly Token[]): { pair: [number, number]; meant: Meant[] } | null {
  const numbers = tokens.filter(isWhole).filter(({ raw }) => /^\d+$/.test(raw))
  const [one, other] = numbers
  if (!one || !other || numbers.length !== 2 || one.value === other.value) return null
  const between = tokens.slice(tokens.indexOf(one) + 1, tokens.indexOf(other))
  const isPair =
    tokens.some(({ text }) => text === 'batch' || text === 'batches') ||
    between.some(({ text }) => joins.has(text))
  const meant = [one, other].map(({ start, end }): Meant => ({ start, end, as: 'pair' }))
  return isPair ? { pair: [one.value, other.value], meant } : null
}

/**
 * Reads a question: what it holds against what, among which batches, since when.
 * @param typed in any words; capitals and accents do not matter
 * @example readQuestion('batch 18 against 20', { figures: [], formulas: [], today: '2026-03-01' }).pair // [18, 20]
 */
export function readQuestion(typed: string, context: QuestionContext): ReadQuestion {
  const tokens = tokensOf(typed)
  const taken = new Set<Token>()
  const meant: Meant[] = []
  const take = (some: readonly Token[], as: Meant['as']) => {
    for (const token of some) taken.add(token)
    meant.push({ start: some[0]!.start, end: some.at(-1)!.end, as })
  }
  const result: ReadQuestion = {
    kind: null,
    cause: null,
    outcome: null,
    formulaId: null,
    since: null,
    pair: null,
    version: null,
    meant,
    left: [],
  }
  const since = tokens.findIndex(({ text }) => text === 'since')
  if (since >= 0 && since < tokens.length - 1) {
    // As much of the rest as is a day: "since September 2025".
    for (let end = Math.min(tokens.length, since + 4); end > since + 1; end--) {
      const some = tokens.slice(since + 1, end)
      const when = knownDay(typed.slice(some[0]!.start, some.at(-1)!.end), context.today)
      if (!when?.day) continue
      result.since = when.day
      take(tokens.slice(since, end), 'since')
      break
    }
  }
  const versionAt = tokens.findIndex(({ text }) => text === 'version')
  const numbered = tokens[versionAt + 1]
  const isVersion =
    versionAt >= 0 || tokens.some(({ text }) => text === 'change' || text === 'changed')
  if (versionAt >= 0) {
    const own = numbered && isWhole(numbered) ? [numbered] : []
    take([tokens[versionAt]!, ...own], 'version')
    result.version = own[0]?.value ?? null
  }
  const pair = pairIn(tokens.filter((token) => !taken.has(token)))
  if (pair) {
    result.pair = pair.pair
    meant.push(...pair.meant)
    for (const token of tokens)
      if (isWhole(token) || token.text.startsWith('batch')) taken.add(token)
  }
  const found: { figures: Figure[]; tokens: Token[] }[] = []
  const words = tokens.filter(({ kind }) => kind !== 'sign')
  for (const { words: phrase, figures, formulaId } of phrasesOf(context))
    for (let at = 0; at + phrase.length <= words.length; at++) {
      const some = words.slice(at, at + phrase.length)
      if (some.some((token) => taken.has(token))) continue
      if (
        !some.every(
          ({ text }, nth) => text === phrase[nth] || stemOf(text) === stemOf(phrase[nth]!),
        )
      )
        continue
      if (formulaId && !result.formulaId) {
        result.formulaId = formulaId
        take(some, 'within')
      } else if (figures.length) {
        for (const token of some) taken.add(token)
        found.push({ figures, tokens: some })
      }
    }
  found.sort((a, b) => a.tokens[0]!.start - b.tokens[0]!.start)
  const ofRole = (role: Figure['role'], figures: readonly Figure[]) =>
    figures.find((figure) => figure.role === role)
  const used = new Set<(typeof found)[number]>()
  const pick = (roles: readonly Figure['role'][]): string | null => {
    for (const role of roles)
      for (const one of found) {
        const figure = used.has(one) ? undefined : ofRole(role, one.figures)
        if (!figure) continue
        used.add(one)
        take(one.tokens, role === 'outcome' || roles[0] === 'outcome' ? 'outcome' : 'cause')
        return figure.id
      }
    return null
  }
  result.outcome = pick(['outcome'])
  result.cause = pick(['cause', 'both'])
  result.outcome ??= pick(['outcome', 'both'])
  // Gel alone, with something that may bring it, is what came of it.
  if (!result.outcome && result.cause === 'gelled') {
    result.outcome = 'gelled'
    result.cause = pick(['cause'])
  }
  if (result.outcome && !result.cause && result.formulaId) result.cause = 'when'
  result.left = words
    .filter(
      (token) =>
        !taken.has(token) &&
        !fillers.has(token.text) &&
        !small.has(token.text) &&
        token.kind === 'word',
    )
    .map(({ raw }) => raw)
  result.kind = result.pair
    ? 'pair'
    : isVersion && result.formulaId
      ? 'version'
      : result.cause || result.outcome
        ? 'with'
        : null
  meant.sort((a, b) => a.start - b.start)
  return result
}

/**
 * The question that a sentence asks, once it names both sides; null until then.
 * @example askedIn({ cause: 'citric', outcome: null }) // null
 */
export const askedIn = ({
  cause,
  outcome,
  formulaId,
  since,
}: Pick<ReadQuestion, 'cause' | 'outcome'> & Partial<ReadQuestion>): Asked | null =>
  cause && outcome
    ? { cause, outcome, within: { formulaId: formulaId ?? null, gel: 'any', since: since ?? null } }
    : null
