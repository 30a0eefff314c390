import type { ToldBatchEvent } from '#contracts/batch'
import type { Entry, FollowedLesson, JournalKind, When } from '#contracts/journal'
import type { Frozen } from '#contracts/result'
import type { WorkshopMould } from '#contracts/mould'
import { scentColour } from '#core/batter/colours'
import { happened } from '#core/events/index'
import { batchWords, timeWords, weatherIn } from '#core/journal/batchWords'
import { lessonState } from '#core/journal/lesson'
import { plainText } from '#core/journal/plainText'
import { facet } from '#core/journal/query'
import { lessonsOf } from '#core/rack/lessons'
import { plainWord } from '#core/materials/tokens'
import { thingIn } from '#core/stores/things'
import { trialWords } from '#core/journal/trialWords'
import type { Formatter } from '#core/units/formatter'
import { standingEvents } from '#core/units/standingEvents'
import { getBatch } from './batches'
import type { Db } from './connection'
import { lessons, notes } from './documents'
import type { workshopLibrary } from './library'
import { getTrial } from './trials'

/*
 * What stands on the time line of each owner: a batch with all that was written of it, a note, a lesson of no batch, a trial, a count.
 */

/** An entry before it has its place on the line. */
export interface NewEntry {
  when: When
  card: Omit<Entry, 'id'>
  words: string
  around: string
  mould: string
  weather: string[]
  marks: string[]
}
type Write = (entry: NewEntry) => void

const exactly = (day: string): When => ({ day, known: 'day', guessed: false })
const blank: Omit<Entry, 'id' | 'kind' | 'ref' | 'when'> = {
  batchId: null,
  who: '',
  title: '',
  says: '',
  byHand: false,
  thumbnail: null,
  batchName: '',
  number: null,
  photos: [],
  page: null,
  fromPaper: false,
  pots: [],
  lesson: null,
}

/** What the entries of many owners are written with: read once. */
export interface Known {
  db: Db
  library: ReturnType<typeof workshopLibrary>
  moulds: readonly WorkshopMould[]
  say: Formatter
  /** Lessons that are followed, by the batch that taught them. */
  lessons: ReadonlyMap<string, [id: string, lesson: FollowedLesson][]>
}

/** The mould that a batch was planned for, by its name where the workshop has one of this shape. */
function mouldOf({ document: { size } }: Frozen, known: Known): string {
  if (size.by === 'moulds') return size.moulds[0]?.name ?? ''
  if (size.by !== 'mould') return ''
  const shape = JSON.stringify(size.mould)
  return known.moulds.find(({ mould }) => JSON.stringify(mould) === shape)?.name ?? ''
}

const lotsOf = (db: Db, batchId: string): string[] =>
  db
    .prepare<[string], string>(
      `SELECT DISTINCT lots.document ->> '$.code' FROM moves JOIN lots ON lots.id = lot_id WHERE batch_id = ?`,
    )
    .pluck()
    .all(batchId)

/** Lessons that are followed, by the batch that taught each. */
export function lessonsByBatch(db: Db): Known['lessons'] {
  const by = new Map<string, [string, FollowedLesson][]>()
  for (const { id, document } of lessons.list(db))
    if (document.batchId)
      by.set(document.batchId, [...(by.get(document.batchId) ?? []), [id, document]])
  return by
}

/** How a lesson stands, with the batches it was looked for in. */
function standingOfLesson(db: Db, lesson: FollowedLesson): Entry['lesson'] {
  const state = lessonState(lesson)
  const own = lesson.batchId ? [{ batchId: lesson.batchId, held: true }] : []
  const seen = [...own, ...lesson.seen.filter(({ batchId }) => batchId !== lesson.batchId)]
  const batches = seen.flatMap(({ batchId, held }) => {
    const row = db
      .prepare<[string], { number: number; face: string }>(
        'SELECT number, face FROM batches WHERE id = ?',
      )
      .get(batchId)
    return row
      ? [{ id: batchId, number: row.number, thumbnail: JSON.parse(row.face) as never, held }]
      : []
  })
  return { ...state, batches: batches.sort((one, other) => one.number - other.number) }
}

/** What a text of an event is, and what it is about. */
function kindOfEvent(event: ToldBatchEvent, lessonIds: ReadonlySet<string>): JournalKind | null {
  if (lessonIds.has(event.id)) return 'lesson'
  if (event.kind === 'trouble') return event.how > 0 ? 'trouble' : 'note'
  if (event.kind === 'noted') return 'note'
  if (event.kind === 'salvaged' || event.kind === 'corrected' || event.kind === 'released')
    return 'note'
  if ('photos' in event && event.photos.length) return 'photo'
  if ('note' in event && event.note) return 'note'
  return null
}
/** What somebody wrote in an event, without what Mantle says of it. */
const writtenIn = (event: ToldBatchEvent): string =>
  event.kind === 'noted' ? event.note : 'note' in event ? (event.note ?? '') : ''

function batchEntries(id: string, known: Known, write: Write): void {
  const batch = getBatch(known.db, id)
  if (!batch) return
  const { say } = known
  const events = standingEvents(batch.events)
  const mould = mouldOf(batch.frozen, known)
  const madeOn = batch.madeAt.slice(0, 10)
  const { own, time, outcomes } = batchWords({
    ...batch,
    madeOn,
    mould,
    lots: lotsOf(known.db, id),
  })
  const poured = events.findLast((event) => event.kind === 'poured')
  const told = lessonsOf(batch.events)
  const followed = new Map(known.lessons.get(id))
  const dropped = new Set(
    events.flatMap((event) => (event.kind === 'dropped' ? [event.lesson] : [])),
  )
  const lessonIds = new Set([...told.map((lesson) => lesson.id), ...dropped])
  const bench = poured?.bench?.notes ?? []
  const texts = [...events.map(writtenIn), ...bench].join('\n')
  const weather = weatherIn(texts)
  const of = {
    batchId: id,
    batchName: batch.name,
    number: batch.number,
    thumbnail: batch.thumbnail,
  }
  const chosen = [
    ...outcomes.map(facet.outcome),
    ...(mould ? [facet.mould(mould)] : []),
    ...weather.map(facet.weather),
  ]
  const put = (
    entry: Partial<Entry> & Pick<Entry, 'kind' | 'ref' | 'when'>,
    words: string,
    around: string,
  ) =>
    write({
      when: entry.when,
      card: { ...blank, ...of, ...entry },
      words,
      around: `${around} ${time}`,
      mould,
      weather,
      marks: [...chosen, facet.kind(entry.kind), ...(entry.who ? [facet.who(entry.who)] : [])],
    })
  const { superfat, water } = batch.frozen.result
  const made = poured?.made
  put(
    {
      kind: 'batch',
      ref: id,
      when: exactly(batch.facts.pouredOn ?? madeOn),
      title: `${batch.name} ${batch.number}`,
      says: [
        poured
          ? `Poured, ${say.count(batch.facts.bars, 'bar', 'bars')}${mould ? `, ${mould}` : ''}.`
          : 'Planned.',
        `Superfat ${say.percent(made?.superfat ?? superfat.total)}, water ${say.ratio(made?.ratio ?? water.ratio)}.`,
        ...(bench.length ? [bench.join(' ')] : []),
      ].join(' '),
    },
    `${own} ${plainWord(bench.join(' '))}`,
    '',
  )
  for (const event of events) {
    const kind = kindOfEvent(event, lessonIds)
    if (!kind || event.kind === 'foretold') continue
    const written = writtenIn(event)
    const lesson = told.find((one) => one.id === event.id)?.says ?? ''
    const says = kind === 'lesson' ? lesson || written : happened(event, { say, places: [] })
    const follows = followed.get(event.id)
    followed.delete(event.id)
    const who = event.kind === 'noted' ? event.from : (follows?.who ?? '')
    put(
      {
        kind,
        ref: event.id,
        when: exactly(event.day),
        who,
        says: event.kind === 'noted' ? event.note : says,
        byHand: event.kind === 'noted' || kind === 'lesson',
        photos: 'photos' in event ? event.photos : [],
        lesson:
          kind === 'lesson'
            ? standingOfLesson(known.db, {
                says,
                on: event.day,
                who,
                batchId: id,
                speaksUp: null,
                seen: [],
                ...follows,
                dropped:
                  follows?.dropped ?? (dropped.has(event.id) ? { on: event.day, why: '' } : null),
              })
            : null,
      },
      plainWord(`${says} ${written} ${who}`),
      own,
    )
  }
  // Lessons that were written down in the journal and not at the batch.
  for (const [ref, lesson] of followed)
    put(
      {
        kind: 'lesson',
        ref,
        when: exactly(lesson.on),
        who: lesson.who,
        says: lesson.says,
        byHand: true,
        lesson: standingOfLesson(known.db, lesson),
      },
      plainWord(`${lesson.says} ${lesson.who}`),
      own,
    )
}

function noteEntries(id: string, { db, library }: Known, write: Write): void {
  const stored = notes.get(db, id)
  if (!stored || stored.document.what === 'unread') return
  const note = stored.document
  const text = plainText(note.text)
  const batch = note.batchId ? getBatch(db, note.batchId) : null
  const kind: JournalKind =
    note.what !== 'note' || note.page
      ? 'page'
      : note.photos.length && !text && !note.title
        ? 'photo'
        : 'note'
  const written = [
    note.title,
    text,
    note.typed,
    note.who,
    ...note.people,
    ...note.words,
    note.weather,
    note.page?.book ?? '',
    note.source?.who ?? '',
    // "OO" stands on the page; olive oil is looked for.
    ...(note.found?.materials ?? []).map(
      (one) =>
        library.fats.get(one)?.name ??
        library.liquids.get(one)?.name ??
        library.additives.get(one)?.name ??
        '',
    ),
  ].join(' ')
  const weather = weatherIn(`${note.weather} ${text}`)
  write({
    when: note.when,
    card: {
      ...blank,
      kind,
      ref: id,
      when: note.when,
      who: note.who,
      title: note.title,
      says: text || note.typed.replaceAll('\n', ' · '),
      byHand: true,
      batchId: batch?.id ?? null,
      batchName: batch?.name ?? '',
      number: batch?.number ?? null,
      thumbnail: batch?.thumbnail ?? null,
      photos: note.photos,
      page: note.page,
      fromPaper: kind === 'page',
    },
    words: plainWord(written),
    around: `${timeWords(note.when.day, note.when.known)} ${batch ? plainWord(`${batch.name} ${batch.number}`) : ''}`,
    mould: '',
    weather,
    marks: [
      facet.kind(kind),
      ...[note.who, ...note.people].filter(Boolean).map(facet.who),
      ...weather.map(facet.weather),
    ],
  })
}

function lessonEntries(id: string, { db }: Known, write: Write): void {
  const stored = lessons.get(db, id)
  // One of a batch stands with it.
  if (!stored || stored.document.batchId) return
  const lesson = stored.document
  write({
    when: exactly(lesson.on),
    card: {
      ...blank,
      kind: 'lesson',
      ref: id,
      when: exactly(lesson.on),
      who: lesson.who,
      says: lesson.says,
      byHand: true,
      lesson: standingOfLesson(db, lesson),
    },
    words: plainWord(`${lesson.says} ${lesson.who}`),
    around: timeWords(lesson.on, 'day'),
    mould: '',
    weather: [],
    marks: [facet.kind('lesson'), ...(lesson.who ? [facet.who(lesson.who)] : [])],
  })
}

function trialEntries(id: string, { db, library, say }: Known, write: Write): void {
  const trial = getTrial(db, id)
  if (!trial) return
  const { title, says, words } = trialWords(trial, say)
  write({
    when: exactly(trial.document.day),
    card: {
      ...blank,
      kind: 'trial',
      ref: id,
      when: exactly(trial.document.day),
      title,
      says,
      batchId: trial.document.batchId,
      pots: trial.document.pots
        .slice(0, 8)
        .map(({ scentId }) => scentColour(scentId ?? '', library)),
    },
    words: plainWord(words),
    around: timeWords(trial.document.day, 'day'),
    mould: '',
    weather: weatherIn(trial.document.note),
    marks: [facet.kind('trial')],
  })
}

function countEntries(id: string, { db, library, say }: Known, write: Write): void {
  const row = db
    .prepare<
      [string],
      { thing: string; lot: string; day: string; by: string; thousandths: number; payload: string }
    >(
      `SELECT thing, lots.document ->> '$.code' AS lot, day, moved_by AS by, thousandths, payload FROM moves
       JOIN lots ON lots.id = lot_id WHERE moves.id = ? AND kind = 'counted'
       AND NOT EXISTS (SELECT 1 FROM moves AS back WHERE back.lot_id = moves.lot_id AND back.kind = 'undone'
         AND back.payload ->> '$.move' = moves.id)`,
    )
    .get(id)
  if (!row) return
  const {
    grams,
    about,
    note = '',
  } = JSON.parse(row.payload) as {
    grams: number
    about: boolean
    note?: string
  }
  const name = thingIn(library, row.thing).name.split(',')[0]!
  const off = row.thousandths / 1000
  const difference =
    Math.abs(off) < 0.05
      ? 'as thought'
      : `${say.amount(Math.abs(off))} ${off < 0 ? 'less' : 'more'} than thought`
  write({
    when: exactly(row.day),
    card: {
      ...blank,
      kind: 'count',
      ref: id,
      when: exactly(row.day),
      who: row.by,
      title: `${name}, lot ${row.lot}`,
      says: `${about ? 'About ' : ''}${say.amount(grams)}${about ? ' by eye' : ' by the scale'}, ${difference}.${note ? ` ${note}` : ''}`,
    },
    words: plainWord(`count counted ${name} ${row.lot} ${note} ${row.by}`),
    around: timeWords(row.day, 'day'),
    mould: '',
    weather: [],
    marks: [facet.kind('count'), ...(row.by ? [facet.who(row.by)] : [])],
  })
}

/** Who writes the entries of an owner, by the first word of its name. */
export const writers: Record<string, (id: string, known: Known, write: Write) => void> = {
  batch: batchEntries,
  note: noteEntries,
  lesson: lessonEntries,
  trial: trialEntries,
  count: countEntries,
}
