import { z } from 'zod'
import { daySchema, idSchema, limitedRecord } from './basics'
import { sourceSchema } from './formula'
import { richTextSchema } from './richText'
import type { Thumbnail } from './thumbnail'

/*
 * The journal: notes and old pages as documents, lessons that are followed, searches that are kept, and the maker's own short words. Days are
 * dates of the workshop, grams and fractions as everywhere.
 */

const text = (most: number) => z.string().trim().max(most)
const names = z.array(text(60).min(1)).max(20)

/** A day as far as it is known: the first that it can have been. */
export const knownDayKinds = ['day', 'month', 'year', 'none'] as const
export type KnownDayKind = (typeof knownDayKinds)[number]
export const whenSchema = z.strictObject({
  /** Null where nothing is known of it. */
  day: daySchema.nullable(),
  known: z.enum(knownDayKinds),
  /** Taken from what stands around it and not from the page. */
  guessed: z.boolean().default(false),
})
export type When = z.infer<typeof whenSchema>

/** What a page tells of. `unread`: its photo is here and nobody has looked at it yet; `gap`: nothing of it can be read. */
export const pageKinds = ['note', 'batch', 'formula', 'trial', 'gap', 'unread'] as const
export type PageKind = (typeof pageKinds)[number]

/** How strong a scent was after a while, as a page says it: 0 gone, 1 weak, 2 clear, 3 strong. */
const strengthSchema = z.strictObject({
  days: z.number().int().min(0).max(4000),
  strength: z.number().int().min(0).max(3),
})
/** What a page came to when it was read last; null where it does not say enough. Fractions, minutes. */
const foundSchema = z.strictObject({
  superfat: z.number().nullable(),
  ratio: z.number().nullable(),
  /** Whether it names a lye, and a water. */
  lye: z.boolean(),
  water: z.boolean(),
  traceMinutes: z.number().min(0).max(100_000).nullable().default(null),
  strengths: z.array(strengthSchema).max(12).default([]),
  /** Materials of the library that it names. */
  materials: z.array(z.string().max(80)).max(40).default([]),
  /** What nobody has answered yet. */
  open: z.number().int().min(0).max(200),
})
export type PageFound = z.infer<typeof foundSchema>

export const noteSchema = z.strictObject({
  what: z.enum(pageKinds).default('note'),
  title: text(160).default(''),
  when: whenSchema,
  text: richTextSchema.default({ type: 'doc', content: [] }),
  /** A recipe and what was seen, line by line as it stands on the page. */
  typed: z.string().max(20_000).default(''),
  /** Answers to what was asked of its lines, by the line: which option, and which of the question after it. */
  answers: limitedRecord(
    z.string().max(300),
    z.array(z.number().int().min(0).max(40)).max(6),
    80,
  ).default({}),
  found: foundSchema.nullable().default(null),
  /** Who wrote it, who else is in it, its words for finding it, the weather of the day. */
  who: text(60).default(''),
  people: names.default([]),
  words: names.default([]),
  weather: text(120).default(''),
  batchId: idSchema.nullable().default(null),
  formulaId: idSchema.nullable().default(null),
  photos: z.array(idSchema).max(20).default([]),
  /** Where it stood on paper. */
  page: z
    .strictObject({ book: text(80), number: z.number().int().min(1).max(100_000).nullable() })
    .nullable()
    .default(null),
  source: sourceSchema.nullable().default(null),
  /** What its bare figures are: null where that is asked line by line. */
  unit: z.enum(['g', 'oz']).nullable().default(null),
  /** What it came in with, and its line of the table there. */
  importId: idSchema.nullable().default(null),
  line: z.number().int().min(1).nullable().default(null),
})
export type Note = z.infer<typeof noteSchema>

/** What a column of a table is taken for. */
export const columnRoles = [
  'title',
  'day',
  'note',
  'who',
  'weather',
  'lye',
  'water',
  'superfat',
  'scent',
  'ingredient',
  'recipe',
  'source',
  'ignore',
] as const
export type ColumnRole = (typeof columnRoles)[number]
export const columnSchema = z.strictObject({
  role: z.enum(columnRoles),
  /** The material that its figures are grams of, as it is called; for ingredients and the scent. */
  name: text(120).default(''),
})
export type Column = z.infer<typeof columnSchema>

/** Pages or rows that came in together, and leave together where they are taken out again. */
export const importSchema = z.strictObject({
  kind: z.enum(['pages', 'table']),
  name: text(120).min(1),
  day: daySchema,
  /** Heads of the table and what each column was taken for: remembered for the next table with the same heads. */
  heads: z.array(z.string().max(200)).max(80).default([]),
  columns: z.array(columnSchema).max(80).default([]),
  /** What bare figures of its pages are, once somebody said. */
  unit: z.enum(['g', 'oz']).nullable().default(null),
  /** Days are written with the month first. */
  monthFirst: z.boolean().default(false),
  count: z.number().int().min(0).max(100_000).default(0),
})
export type Import = z.infer<typeof importSchema>

/** Where a short word means that: before an amount, after a scent or a time, or anywhere. */
export const shortPlaces = ['anywhere', 'beforeNumber', 'afterTime'] as const
export type ShortPlace = (typeof shortPlaces)[number]
export const shortWordSchema = z.strictObject({
  short: text(40).min(1),
  long: text(120).min(1),
  place: z.enum(shortPlaces).default('anywhere'),
  /** Pages that it was read on. */
  times: z.number().int().min(0).max(1_000_000).default(0),
})
export type ShortWord = z.infer<typeof shortWordSchema>

/** When a lesson speaks up: while all of it holds of a formula. */
export const lessonWhenSchema = z.strictObject({
  /** Ids of materials or scents of which one is in it, and from which share of the oils on, 0–1. */
  anyOf: z.array(z.string().max(80)).max(12).default([]),
  atLeast: z.number().min(0).max(1).default(0),
  gel: z.enum(['force', 'prevent', 'leave']).nullable().default(null),
  pattern: z.string().max(40).nullable().default(null),
  /** Of one formula only. */
  formulaId: idSchema.nullable().default(null),
})
export type LessonWhen = z.infer<typeof lessonWhenSchema>

/** A lesson that is followed, under the id of the event that told it where there was one. */
export const lessonSchema = z.strictObject({
  says: text(500).min(1),
  on: daySchema,
  who: text(60).default(''),
  /** The batch it is of; null for one that is of none. */
  batchId: idSchema.nullable().default(null),
  speaksUp: lessonWhenSchema.nullable().default(null),
  /** Batches in which it could be seen, and whether it held. */
  seen: z
    .array(z.strictObject({ batchId: idSchema, held: z.boolean(), note: text(300).default('') }))
    .max(200)
    .default([]),
  dropped: z
    .strictObject({ on: daySchema, why: text(300).default('') })
    .nullable()
    .default(null),
})
export type FollowedLesson = z.infer<typeof lessonSchema>

export const journalKinds = [
  'batch',
  'lesson',
  'trouble',
  'note',
  'photo',
  'page',
  'trial',
  'count',
] as const
export type JournalKind = (typeof journalKinds)[number]
export const outcomes = ['here', 'sold', 'given', 'spoiled', 'troubled', 'untroubled'] as const
export type Outcome = (typeof outcomes)[number]

/** What is shown of the journal besides what is searched for. */
export const journalFilterSchema = z.strictObject({
  kind: z.enum(journalKinds).nullable().default(null),
  who: text(60).default(''),
  mould: text(80).default(''),
  weather: text(40).default(''),
  outcome: z.enum(outcomes).nullable().default(null),
})
export type JournalFilter = z.infer<typeof journalFilterSchema>

/** A search that is kept. */
export const ribbonSchema = z.strictObject({
  name: text(40).min(1),
  search: text(200).default(''),
  filter: journalFilterSchema.prefault({}),
})
export type Ribbon = z.infer<typeof ribbonSchema>

/** One thing on the time line. */
export interface Entry {
  /** Its place in the order of the line: rises with its day. */
  id: number
  kind: JournalKind
  /** Of its document, batch, trial or lot; of its event where it is one of a batch. */
  ref: string
  batchId: string | null
  when: When
  who: string
  title: string
  says: string
  /** Written by a person, and so in italics. */
  byHand: boolean
  thumbnail: Thumbnail | null
  batchName: string
  number: number | null
  photos: string[]
  /** Of a page: its book and number. */
  page: Note['page']
  fromPaper: boolean
  /** Colours of the pots of a trial. */
  pots: string[]
  lesson: LessonStanding | null
}
/** How a lesson stands. */
export interface LessonStanding {
  state: 'suspected' | 'held' | 'dropped'
  held: number
  of: number
  batches: { id: string; number: number; thumbnail: Thumbnail; held: boolean }[]
}

/** How a word of a search was read. */
export interface SearchTerm {
  typed: string
  /** "the bar's colour, or the word". */
  says: string
  /** Beginnings of words that it is found by in what is shown. */
  marks: string[]
}
export interface JournalPage {
  entries: Entry[]
  /** Entries of the line between each and the one before it; since today for the first. */
  between: number[]
  terms: SearchTerm[]
  /** How many were found in all; all entries where nothing is looked for. */
  found: number
  /** What to ask with for what follows; null at the end. */
  next: number | null
  /** How many of them are of each year, the last first. */
  years: [year: number, found: number][]
  /** Owners whose entries are still to be written down. */
  settling: number
}
/** What fits all words of a search but one. */
export interface NearlyFound {
  /** Words that were looked for. */
  words: number
  found: number
  /** Each with the word that it lacks. */
  hits: { entry: Entry; without: string }[]
}
/** The edge of the book: its years, and what may be chosen. */
export interface JournalEdge {
  /** `before`: what to ask with so that the line begins with that year. */
  years: { year: number; entries: number; paper: number; before: number }[]
  who: string[]
  mould: string[]
  weather: string[]
  /** What was written on this day a year ago, and in earlier years. */
  thisDay: Entry[]
}

/** What the address of the time line says. */
export const journalQuerySchema = journalFilterSchema.extend({
  kind: z.enum(journalKinds).nullable().catch(null).default(null),
  outcome: z.enum(outcomes).nullable().catch(null).default(null),
  search: text(200).default(''),
  before: z.coerce.number().int().min(0).nullable().default(null),
})
export const journalAboutSchema = z.strictObject({
  words: z.array(text(80).min(1)).max(24),
})
/** Notes that come in together. */
export const manyNotesSchema = z.strictObject({
  notes: z
    .array(z.strictObject({ id: idSchema, document: noteSchema }))
    .min(1)
    .max(500),
})
