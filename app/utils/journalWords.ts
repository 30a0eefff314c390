import type {
  Entry,
  JournalKind,
  LessonStanding,
  Note,
  Outcome,
  PageKind,
  When,
} from '#contracts/journal'
import type { Formatter } from '#core/units/formatter'
import { daysBetween } from '#core/units/days'
import { capital } from '#core/units/language'

/** Kinds of entries, as many of them. */
export const kindWords: Record<JournalKind, string> = {
  batch: 'batches',
  lesson: 'lessons',
  trouble: 'troubles',
  note: 'notes',
  photo: 'photos',
  page: 'old pages',
  trial: 'trials',
  count: 'counts',
}
export const kindWord: Record<JournalKind, string> = {
  batch: 'Batch',
  lesson: 'Lesson',
  trouble: 'Trouble',
  note: 'Note',
  photo: 'Photo',
  page: 'Old page',
  trial: 'Trial',
  count: 'Count',
}
export const outcomeNames: Record<Outcome, string> = {
  here: 'still here',
  sold: 'sold',
  given: 'given away',
  spoiled: 'spoiled',
  troubled: 'with a trouble',
  untroubled: 'without a trouble',
}
export const pageKindWords: Record<Exclude<PageKind, 'unread' | 'gap'>, string> = {
  batch: 'a batch',
  formula: 'a formula',
  trial: 'a trial',
  note: 'a note',
}

/** A day as far as it is known, in two lines: the day or month, and what is not known of it or its year. */
export function whenLines({ day, known }: When, today: string): [string, string] {
  if (!day || known === 'none') return ['Undated', 'day not said']
  const year = day.slice(0, 4)
  if (known === 'year') return [year, 'day not said']
  if (known === 'month')
    return [monthText(day, year === today.slice(0, 4) ? day : today), 'day not said']
  return [dayText(day), day === today ? 'today' : year === today.slice(0, 4) ? '' : year]
}
/** A day as far as it is known, in one line. */
export function whenKnownText({ day, known }: When, today: string): string {
  if (!day || known === 'none') return 'day not known'
  if (known === 'year') return day.slice(0, 4)
  return known === 'month' ? monthText(day, today) : dayText(day, { today })
}
/** The same as somebody would type it. */
export function whenTyped(when: When): string {
  const { day, known, guessed } = when
  if (!day || known === 'none') return ''
  const text = known === 'year' ? day.slice(0, 4) : known === 'month' ? monthText(day, '') : day
  return `${text}${guessed ? ' ?' : ''}`
}

/** How long lies between two days, as one says it. */
export function betweenText(later: string, earlier: string, say: Formatter): string {
  const days = daysBetween(earlier, later)
  if (days < 14) return say.count(days, 'day', 'days')
  if (days < 70 * 7 && days < 400) return say.count(Math.round(days / 7), 'week', 'weeks')
  return say.count(Math.floor(days / 365.25), 'year', 'years')
}

/** How a lesson stands, in a few words. */
export function lessonText({ state, held, of }: LessonStanding): string {
  if (state === 'dropped') return 'Dropped.'
  return state === 'suspected' ? 'Suspected.' : `Held up ${held} of ${of}.`
}

/** What an entry is, over its words. */
export function overText(entry: Entry, say: Formatter): string {
  const { kind, who, page, photos } = entry
  const by = who ? `, ${who}` : ''
  if (page) {
    const number = page.number === null ? '' : `, page ${page.number}`
    return `${page.book}${number}${by}`
  }
  if (kind === 'photo') return `${say.count(photos.length, 'photo', 'photos')}${by}`
  return `${kindWord[kind]}${by}`
}

/** What a page came to, in a few words; empty where it is no recipe. */
export function foundText({ found, what }: Note, say: Formatter): string {
  if (what === 'gap') return 'A gap: nothing of it can be read.'
  if (!found || (!found.lye && found.superfat === null)) return ''
  const open = found.open
    ? say.count(found.open, 'line open', 'lines open')
    : 'superfat not to be told'
  const superfat = found.superfat === null ? open : `superfat ${say.percent(found.superfat)}`
  const water = found.ratio === null ? 'water not said' : `water ${say.ratio(found.ratio)}`
  return capital(`${superfat}, ${water}`)
}

/** What a day of an earlier year is to today. */
export function anniversaryText(day: string, today: string): string {
  const years = Number(today.slice(0, 4)) - Number(day.slice(0, 4))
  return years < 2 ? 'A year ago' : `This day in ${day.slice(0, 4)}`
}
