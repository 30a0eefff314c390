import type { BatchFacts, ToldBatchEvent } from '#contracts/batch'
import type { Outcome } from '#contracts/journal'
import type { Frozen } from '#contracts/result'
import type { Thumbnail } from '#contracts/thumbnail'
import { pours } from '../batter/patterns'
import { frozenLibrary } from '../formula/frozen'
import { plainWord } from '../materials/tokens'
import { troubleKinds } from '../troubles/kinds'
import { standingEvents } from '../units/standingEvents'
import { colourNames } from './colourNames'
import { facet } from './query'
import { weatherMeant } from './vocabulary'

/** What is to be known of a batch so that it can be found. */
export interface Findable {
  number: number
  name: string
  frozen: Frozen
  facts: BatchFacts
  events: readonly ToldBatchEvent[]
  thumbnail: Thumbnail
  madeOn: string
  /** The mould it was planned for, and codes of the lots that went into it. */
  mould: string
  lots: readonly string[]
}

/**
 * What became of a batch, for finding it: none, one or several.
 * @example outcomesOf(cut.facts, []) // ['here', 'untroubled']
 */
export function outcomesOf(facts: BatchFacts, events: readonly ToldBatchEvent[]): Outcome[] {
  const outs = standingEvents(events).flatMap((event) => (event.kind === 'out' ? [event.how] : []))
  return [
    ...(facts.leftOn === null ? (['here'] as const) : []),
    ...(outs.includes('sold') ? (['sold'] as const) : []),
    ...(outs.includes('given') ? (['given'] as const) : []),
    ...(facts.spoiled ? (['spoiled'] as const) : []),
    facts.troubles.length ? 'troubled' : 'untroubled',
  ]
}

/**
 * Kinds of weather that a text speaks of.
 * @example weatherIn('Bright, easterly') // ['bright', 'wind']
 */
export const weatherIn = (text: string): string[] => [
  ...new Set(
    plainWord(text)
      .split(/[^\p{L}]+/u)
      .flatMap(weatherMeant),
  ),
]

/** Every colour that a picture of a bar shows, by name. */
const coloursOf = ({ colours }: Thumbnail): string[] => [...new Set(colours.flatMap(colourNames))]

/**
 * The words by which a batch is found, in plain letters: what it is called, what is in it, how it was poured, what went wrong, and marks
 * for its colours, its month and what became of it.
 * @example batchWords({ ...batch(), number: 41, name: 'Hostel Bar', madeOn: '2026-03-01', mould: '', lots: [], thumbnail: { pattern: 'plain', colours: ['#ffffff'] } }).time
 *   // 'xqm03 xqy2026'
 */
export function batchWords(batch: Findable): { own: string; time: string; outcomes: Outcome[] } {
  const { frozen, facts, thumbnail } = batch
  const { document } = frozen
  const library = frozenLibrary(frozen)
  const day = facts.pouredOn ?? batch.madeOn
  const outcomes = outcomesOf(facts, batch.events)
  const gel = standingEvents(batch.events).findLast((event) => event.kind === 'gelled')
  const own = [
    batch.name,
    String(batch.number),
    document.use,
    document.notes,
    ...document.fats.map(({ id }) => library.fats.get(id)?.name ?? id),
    ...document.liquids.map(({ id }) => library.liquids.get(id)?.name ?? id),
    ...document.additives.map(({ id }) => library.additives.get(id)?.name ?? id),
    ...document.scents.map(({ id, name }) => name ?? id),
    ...document.parts.map(({ name }) => name),
    ...document.method.patterns.map((pattern) => pours[pattern].says),
    batch.mould,
    ...batch.lots,
    document.method.gel === 'force' ? 'forced gel blanket' : '',
    gel?.kind === 'gelled' && gel.gel !== 'none' ? 'gelled' : '',
    ...facts.troubles.map(
      ({ trouble }) => `${troubleKinds[trouble].says} ${facet.trouble(trouble)}`,
    ),
    ...coloursOf(thumbnail).map((name) => `${name} ${facet.colour(name)}`),
    ...outcomes.map(facet.outcome),
    facet.number(batch.number),
  ]
  return { own: plainWord(own.filter(Boolean).join(' ')), time: timeWords(day, 'day'), outcomes }
}

/**
 * The marks of a day for finding: its month where that is known, and its year.
 * @example timeWords('2026-04-16', 'day') // 'xqm04 xqy2026'
 */
export function timeWords(day: string | null, known: 'day' | 'month' | 'year' | 'none'): string {
  if (!day || known === 'none') return ''
  const month = known === 'year' ? '' : `${facet.month(Number(day.slice(5, 7)))} `
  return `${month}${facet.year(day.slice(0, 4))}`
}
