import type { NewBatchEvent } from '#contracts/batch'
import { blankFormula } from '#core/formula/blank'
import { factsOf } from '#core/rack/facts'
import { daysBetween } from '#core/units/days'
import { beforeEach, describe, expect, it } from 'vitest'
import { frozenOf, told } from '../../tests/support/batchOf'
import {
  addEvents,
  batchExists,
  countByFormula,
  factsNeed,
  feltOfFormula,
  getBatch,
  goneSince,
  keepFitted,
  listBatches,
  listGone,
  makeBatch,
  OtherContent,
  outdateHere,
  pictureBatches,
  refreshFacts,
  staleFacts,
} from './batches'
import { forecastsThatCame } from './forecasts'
import { batchRecords } from './learning'
import { openDatabase, type Db } from './connection'
import { formulas } from './documents'
import { migrate } from './migrate'
import { migrationFiles } from './migrationFiles'
import { dryingRoom, logRoom } from './room'

const now = '2026-03-01T09:00:00Z'
const cure = { rule: 'most', days: 42 }
const thumbnail = { pattern: 'plain' as const, colours: ['#eeeeee'] }
const frozen = frozenOf()

let db: Db
beforeEach(() => {
  db = openDatabase(':memory:', migrationFiles())
  for (const id of ['slab', 'other']) formulas.save(db, id, 0, blankFormula(id), now)
  return () => db.close()
})

const make = (id: string, { formulaId = 'slab', name = 'Slab', bars = 12 } = {}) =>
  makeBatch(
    db,
    {
      id,
      formulaId,
      bars,
      cure,
      thumbnail,
      frozen: { ...frozen, document: { ...frozen.document, name } },
    },
    now,
  )
const tell = (id: string, ...events: NewBatchEvent[]) => {
  const all = events.map(told)
  addEvents(db, id, all)
  return all
}
const facts = (id: string) => getBatch(db, id)!.facts
const here = () => (JSON.parse(listBatches(db)) as { id: string }[]).map(({ id }) => id)
const gone = (find = '', before = Infinity, most = 10) =>
  (JSON.parse(listGone(db, find, before, most)) as { id: string }[]).map(({ id }) => id)
const poured: NewBatchEvent = { kind: 'poured', day: '2026-01-02' }
const cut = (bars = 12): NewBatchEvent => ({ kind: 'cut', day: '2026-01-04', bars })
const left: NewBatchEvent = { kind: 'left', day: '2026-02-20', why: 'gone', note: '' }

describe('the picture of a batch', () => {
  it('is changed for several at once; what a batch was made of never is', () => {
    make('a')
    make('b')
    const split = { pattern: 'split' as const, colours: ['#112233', '#445566'] }
    const given = ['b', 'a', 'missing'].map((id) => ({ id, thumbnail: split }))
    expect(pictureBatches(db, given).map(({ id }) => id)).toEqual(['b', 'a'])
    expect(getBatch(db, 'a')!.thumbnail).toEqual(split)
    expect(getBatch(db, 'a')!.frozen.document.name).toBe('Slab')
    for (const column of ['bars = 3', "frozen = '{}'", 'number = 9', "made_at = ''"])
      expect(() => db.exec(`UPDATE batches SET ${column}`)).toThrow('A batch is never changed.')
  })

  it('of a workshop from before there were patterns is a wave of its two colours', () => {
    const [before, after] = [migrationFiles().slice(0, 8), migrationFiles().slice(8)]
    expect(after[0]!.sql).toContain('face')
    const old = openDatabase(':memory:', before)
    old.pragma('foreign_keys = OFF')
    old.exec(`INSERT INTO batches (id, number, formula_id, made_at, bars, cure_rule, cure_days, frozen, face)
      VALUES ('a', 1, 'slab', '${now}', 12, 'most', 42, '{}', '{"base":"#eeeeee","wave":"#dddddd","lift":0.4}')`)
    migrate(old, migrationFiles())
    expect(JSON.parse(old.prepare('SELECT face FROM batches').pluck().get() as string)).toEqual({
      pattern: 'wave',
      colours: ['#eeeeee', '#dddddd'],
    })
    old.close()
  })
})

describe('making a batch', () => {
  it('gives the next number once, and keeps what it was made from', () => {
    expect(make('a')).toMatchObject({
      id: 'a',
      number: 1,
      formulaId: 'slab',
      name: 'Slab',
      madeAt: now,
      bars: 12,
      cure,
      thumbnail,
      batterGrams: frozen.result.batter,
      events: [],
    })
    expect(make('b', { name: 'Other' }).number).toBe(2)
    // An answer that was lost, asked for again: the batch that is there, not another.
    expect(make('b', { name: 'Renamed', bars: 3 })).toMatchObject({
      number: 2,
      name: 'Other',
      bars: 12,
    })
    expect(getBatch(db, 'a')!.frozen).toEqual(frozen)
    expect([batchExists(db, 'a'), batchExists(db, 'z')]).toEqual([true, false])
    expect([getBatch(db, 'z'), factsNeed(db, 'z')]).toEqual([null, null])
    make('c', { formulaId: 'other' })
    expect(countByFormula(db)).toEqual({ slab: 2, other: 1 })
  })

  it('lists what is here, newest first, as it is told one by one', () => {
    make('a')
    make('b')
    const { frozen: _, events: __, ...summary } = getBatch(db, 'b')!
    expect((JSON.parse(listBatches(db)) as unknown[])[0]).toEqual(summary)
    expect(here()).toEqual(['b', 'a'])
    expect(gone()).toEqual([])
  })
})

describe('what happens to a batch', () => {
  it('is kept in order of its moments, and once', () => {
    make('a')
    const events = tell('a', poured, cut(11))
    addEvents(db, 'a', events)
    expect(getBatch(db, 'a')!.events).toEqual(events)
    expect(facts('a')).toMatchObject({ pouredOn: '2026-01-02', cutOn: '2026-01-04', bars: 11 })
    const earlier = { ...told({ kind: 'turned', day: '2026-01-03' }), at: '2026-02-01T09:00:00Z' }
    addEvents(db, 'a', [earlier])
    expect(getBatch(db, 'a')!.events[0]).toEqual(earlier)
  })

  it('is refused where an id says something else already, and nothing of it is kept', () => {
    make('a')
    make('b')
    const [first] = tell('a', poured)
    const other = { ...first!, day: '2026-01-09' }
    const fresh = told(cut())
    expect(() => addEvents(db, 'a', [fresh, other])).toThrow(OtherContent)
    expect(() => addEvents(db, 'b', [fresh, first!])).toThrow(OtherContent)
    expect(getBatch(db, 'a')!.events).toEqual([first])
    expect(facts('a').cutOn).toBeNull()
    expect(getBatch(db, 'b')!.events).toEqual([])
  })

  it('written before a key existed has its usual value', () => {
    make('a')
    const event = told({ kind: 'checked', day: '2026-01-03', check: 'peek' })
    const { at, found: _, ...old } = event as Extract<typeof event, { kind: 'checked' }>
    db.prepare(
      'INSERT INTO batch_events (id, batch_id, kind, payload, at) VALUES (?, ?, ?, ?, ?)',
    ).run(old.id, 'a', old.kind, JSON.stringify(old), at)
    expect(getBatch(db, 'a')!.events[0]).toMatchObject({ check: 'peek', found: 'fine' })
    // The same event, whether the key is written out or not.
    addEvents(db, 'a', [event])
    expect(() => addEvents(db, 'a', [{ ...event, found: 'hot' } as typeof event])).toThrow(
      OtherContent,
    )
  })

  it('moves it from what is here to what is gone, and back', () => {
    make('a')
    make('b', { name: 'Café Bar' })
    make('c', { name: 'Market Rose' })
    for (const id of ['a', 'b']) tell(id, poured, cut(), left)
    expect([here(), gone()]).toEqual([['c'], ['b', 'a']])
    expect([gone('CAFE'), gone('1'), gone('rose'), gone('', 2), gone('', Infinity, 1)]).toEqual([
      ['b'],
      ['a'],
      [],
      ['a'],
      ['b'],
    ])
    const last = getBatch(db, 'a')!.events.at(-1)!
    tell('a', { kind: 'undone', event: last.id })
    expect([here(), gone()]).toEqual([['c', 'a'], ['b']])
  })

  it('counts bars sold, given and used since a day, less what was taken back', () => {
    make('a')
    make('b', { formulaId: 'other' })
    const out = (day: string, how: 'sold' | 'given' | 'used' | 'binned', bars: number) =>
      ({ kind: 'out', day, how, bars, to: '' }) as NewBatchEvent
    tell(
      'a',
      poured,
      cut(),
      out('2026-02-01', 'sold', 2),
      out('2026-02-10', 'given', 1),
      out('2026-02-11', 'used', 1),
      out('2026-02-12', 'binned', 1),
    )
    const [wrong] = tell('a', out('2026-02-13', 'sold', 3))
    tell('b', poured, cut(), out('2026-02-09', 'sold', 4))
    expect(goneSince(db, '2026-02-01')).toEqual({ slab: 7, other: 4 })
    tell('a', { kind: 'undone', event: wrong!.id })
    expect(goneSince(db, '2026-02-10')).toEqual({ slab: 2 })
  })

  it('tells how bars of a formula felt, by days since the pour', () => {
    make('a')
    make('b')
    make('c', { formulaId: 'other' })
    const scores = { quickFoam: 4 } as const
    const felt = (day: string) => ({ kind: 'felt', day, scores }) as NewBatchEvent
    tell('a', poured, cut(), felt('2026-02-01'))
    const [wrong] = tell('a', felt('2026-02-05'))
    tell('a', { kind: 'undone', event: wrong!.id })
    tell('c', poured, cut(), felt('2026-02-02'))
    expect(feltOfFormula(db, 'slab')).toEqual([{ day: 30, scores: { quickFoam: 4 } }])
    expect(feltOfFormula(db, 'none')).toEqual([])
  })
})

describe('what the events come to', () => {
  it('is worked out again when the way of working it out or the room has changed', () => {
    make('a')
    tell('a', poured, cut())
    make('b')
    tell('b', poured, cut(), left)
    expect(staleFacts(db)).toEqual([])
    outdateHere(db)
    // What is gone does not dry any more.
    expect(staleFacts(db)).toEqual(['a'])
    refreshFacts(db)
    expect(staleFacts(db)).toEqual([])
    db.prepare('UPDATE batch_facts SET made_by = 1, facts = json_remove(facts, ?)').run('$.bars')
    expect(staleFacts(db)).toEqual(['a', 'b'])
    // It has today's form at once, and its fit when that was worked out.
    expect(facts('a').bars).toBe(12)
    refreshFacts(db)
    expect(staleFacts(db)).toEqual([])
    db.prepare('DELETE FROM batch_facts').run()
    expect(staleFacts(db)).toEqual(['a', 'b'])
    expect(here()).toEqual(['a'])
  })

  it('is worked out with the humidity of the room', () => {
    make('a')
    tell('a', poured, cut())
    const before = facts('a').drying!.dryOn
    logRoom(db, { at: now, celsius: 18, humidity: 0.85, by: 'hand' }, '2026-03-01')
    outdateHere(db)
    refreshFacts(db)
    expect(facts('a').drying!.dryOn > before).toBe(true)
  })

  it('later keeps the fit there was, and refuses one of events that are old', () => {
    make('a')
    tell('a', poured, cut())
    const before = facts('a')
    const weighed = told({ kind: 'weighed', day: '2026-01-09', bars: [{ bar: 1, grams: 100 }] })
    addEvents(db, 'a', [weighed], 'later')
    expect(facts('a').drying).toEqual(before.drying)
    expect(facts('a').weighedOn).toBe('2026-01-09')
    expect(staleFacts(db)).toEqual(['a'])
    const need = factsNeed(db, 'a')!
    addEvents(db, 'a', [told({ kind: 'turned', day: '2026-01-10' })], 'later')
    expect(keepFitted(db, 'a', need, { ...facts('a'), bars: 3 })).toBe(false)
    expect(facts('a').bars).toBe(12)
    expect(keepFitted(db, 'a', factsNeed(db, 'a')!, { ...facts('a'), bars: 3 })).toBe(true)
    expect(facts('a').bars).toBe(3)
    expect(staleFacts(db)).toEqual([])
  })

  it('holds a forecast against what was true once bars were weighed until they were dry', () => {
    make('a')
    tell('a', poured, cut())
    expect(forecastsThatCame(db)).toEqual([])
    const weigh = (day: string, grams: number) =>
      ({ kind: 'weighed', day, bars: [{ bar: 1, grams }] }) as NewBatchEvent
    const fresh = frozen.result.batter / 12
    // It falls to four fifths, the quicker the earlier: dry long before the last weigh-in.
    for (let day = 2; day <= 90; day += 8) {
      tell(
        'a',
        weigh(
          new Date(Date.UTC(2026, 0, 2 + day)).toISOString().slice(0, 10),
          fresh * (0.85 + 0.15 * Math.exp(-day / 12)),
        ),
      )
      const need = factsNeed(db, 'a')!
      expect(keepFitted(db, 'a', need, factsOf(need, dryingRoom(db)))).toBe(true)
    }
    const { forecast, drying } = facts('a')
    // What was foretold at the third weigh-in is what was kept then, not what is known now.
    expect(getBatch(db, 'a')!.events.filter(({ kind }) => kind === 'foretold')).toHaveLength(12)
    expect(daysBetween(forecast!.from, forecast!.to)).toBeGreaterThan(
      daysBetween(drying!.from, drying!.to),
    )
    expect(forecast!.on).toBe('2026-01-20')
    const [dry, label] = ['dry', 'net'].map((what) =>
      forecastsThatCame(db).find((one) => one.what === what)!,
    )
    expect(dry).toMatchObject({
      batchId: 'a',
      number: 1,
      on: '2026-01-20',
      due: drying!.dryOn,
      at: daysBetween('2026-01-02', forecast!.dryOn),
      raw: daysBetween('2026-01-02', forecast!.dryOn),
      came: daysBetween('2026-01-02', drying!.dryOn),
    })
    expect(label!.came).toBeGreaterThan(label!.low)
    expect(batchRecords(db)).toMatchObject([
      { id: 'a', pouredOn: '2026-01-02', figures: { dry: dry!.came, unmould: 2 }, seen: {} },
    ])
    // Taken back, it has not come due any more.
    const weighed = getBatch(db, 'a')!.events.filter(({ kind }) => kind === 'weighed')
    for (const { id } of weighed.slice(2)) tell('a', { kind: 'undone', event: id })
    expect(forecastsThatCame(db)).toEqual([])
  })
})
