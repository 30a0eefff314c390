import type { Batch } from '#contracts/batch'
import type { Thumbnail } from '#contracts/thumbnail'
import { frozenLibrary } from '../formula/frozen'
import { nameOfFat } from '../formula/names'
import { driedOn } from '../rack/facts'
import { caseOf } from '../troubles/case'
import { troubleKinds } from '../troubles/kinds'
import { daysBetween } from '../units/days'
import type { Formatter } from '../units/formatter'
import { inSentence } from '../units/language'
import { standingEvents } from '../units/standingEvents'

/* A year of batches as a book to print, with an index that leads to its pages. */

/** A batch in the yearbook, in words. */
export interface YearEntry {
  id: string
  number: number
  name: string
  thumbnail: Thumbnail
  pouredOn: string
  /** What went in, how it was made, what became of it. */
  fats: string
  made: string
  became: string
  /** What was written of it, the first first. */
  said: string[]
  scents: string[]
  troubles: string[]
}

/**
 * A batch as it stands in the yearbook. Null for one that was never poured.
 * @example yearEntry({ ...cut, id: 'a', number: 41, name: 'Hostel Bar', thumbnail: { pattern: 'plain', colours: ['#ffffff'] } }, say).became
 *   // 'Cut after 1 day, 12 bars'
 */
export function yearEntry(
  batch: Pick<Batch, 'id' | 'number' | 'name' | 'thumbnail' | 'frozen' | 'events' | 'facts'>,
  say: Formatter,
): YearEntry | null {
  const { id, number, name, thumbnail, frozen, facts } = batch
  const { pouredOn, cutOn } = facts
  if (!pouredOn) return null
  const about = caseOf(batch, pouredOn, 0, say)
  const library = frozenLibrary(frozen)
  const { document } = frozen
  const events = standingEvents(batch.events)
  const fats = [...frozen.result.fats]
    .sort((a, b) => b.share - a.share)
    .map(
      (fat) => `${inSentence(nameOfFat(fat, library).split(',')[0]!)} ${say.percent(fat.share, 0)}`,
    )
  const extras = frozen.result.additives.map((line) => inSentence(line.name.split(',')[0]!))
  const scents = document.scents.map((line) => line.name ?? line.id)
  const { bench } = about
  const lyeC = bench?.lyeC ?? document.method.lyeC
  const oilsC = bench?.oilsC ?? document.method.oilsC
  const dry = driedOn(facts)
  const troubles = facts.troubles.map(({ trouble }) => troubleKinds[trouble].says)
  const said = events.flatMap((event) => {
    if (event.kind === 'noted') return [event.from ? `${event.from}: ${event.note}` : event.note]
    if (event.kind === 'trouble' && event.how > 0)
      return [`${troubleKinds[event.trouble].says}${event.note ? `: ${event.note}` : ''}`]
    return 'note' in event && event.kind !== 'pictured' && event.note ? [event.note] : []
  })
  return {
    id,
    number,
    name,
    thumbnail,
    pouredOn,
    fats: say.list([...fats, ...extras, ...scents.map(inSentence)]),
    made: say.list([
      `${say.percent(about.made.superfat)} superfat`,
      `water ${say.ratio(about.made.ratio)}`,
      `lye ${say.temperature(lyeC)}, oils ${say.temperature(oilsC)}`,
      ...(bench?.minutes
        ? [`poured after ${say.count(Math.round(bench.minutes), 'minute', 'minutes')}`]
        : []),
      `${say.amount(about.made.batter)} of batter`,
    ]),
    became: say.list([
      ...(cutOn
        ? [`Cut after ${say.count(daysBetween(pouredOn, cutOn), 'day', 'days')}`]
        : ['Never cut']),
      say.count(facts.bars, 'bar', 'bars'),
      ...(dry ? [`dry on day ${say.number(daysBetween(pouredOn, dry))}`] : []),
      ...(facts.spoiled ? ['spoiled'] : []),
    ]),
    said,
    scents,
    troubles,
  }
}

/** Batches on a page, and pages before the first of them. */
export const yearPerPage = 5
const before = 1

/**
 * The page of the yearbook on which a batch stands.
 * @param place among the batches of the year, from 0
 * @example yearPage(5) // 3
 */
export const yearPage = (place: number): number => before + 1 + Math.floor(place / yearPerPage)

/** A heading of the index with the batches and pages it leads to. */
export interface IndexLine {
  says: string
  batches: { number: number; page: number }[]
}

/**
 * The index of a year: by formula, scent and trouble, each in the order of the alphabet.
 * @example yearIndex([]).formulas // []
 */
export function yearIndex(
  entries: readonly YearEntry[],
): Record<'formulas' | 'scents' | 'troubles', IndexLine[]> {
  const by = (names: (entry: YearEntry) => readonly string[]): IndexLine[] => {
    const lines = new Map<string, IndexLine['batches']>()
    entries.forEach((entry, place) => {
      for (const name of new Set(names(entry)))
        lines.set(name, [
          ...(lines.get(name) ?? []),
          { number: entry.number, page: yearPage(place) },
        ])
    })
    return [...lines]
      .map(([says, batches]) => ({ says, batches }))
      .sort((a, b) => a.says.localeCompare(b.says, 'en'))
  }
  return {
    formulas: by(({ name }) => [name]),
    scents: by(({ scents }) => scents),
    troubles: by(({ troubles }) => troubles),
  }
}
