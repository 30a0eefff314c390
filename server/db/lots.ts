import type {
  BatchName,
  KeptMove,
  KnownPack,
  Lot,
  Move,
  Prices,
  StoredLot,
  WholeLot,
} from '#contracts/store'
import { moveSchema } from '#contracts/store'
import { flagsOf } from '#core/stores/stock'
import { isCaustic, isCounted } from '#core/stores/things'
import { v7 } from 'uuid'
import { OtherContent } from './batches'
import type { Db } from './connection'
import { blends, lots, type DocumentStore, type Saved } from './documents'

/*
 * Lots and their moves. A move is only ever added; how much there is of a lot the database adds up itself. Thousandths, so that
 * sums are exact.
 */

const thousandths = (grams: number): number => Math.round(grams * 1000)

const columns = `id, revision, document, changed_at AS changedAt, changed_by AS changedBy, stock / 1000.0 AS stock,
  counted_on AS countedOn`
/** A lot as JSON, put together by the database: its document is JSON already, and is neither read nor written anew, only sent. */
const asJson = `'{"id":"' || id || '","revision":' || revision || ',"changedAt":"' || changed_at || '","changedBy":'
  || json_quote(changed_by) || ',"stock":' || (stock / 1000.0) || ',"countedOn":' || json_quote(counted_on)
  || ',"document":' || document || '}'`
const listed = (db: Db, rows: string, ...given: (string | number)[]): string => {
  const found = db.prepare<(string | number)[], string>(`SELECT ${asJson} FROM lots ${rows}`)
  return `[${found
    .pluck()
    .all(...given)
    .join(',')}]`
}

interface Row extends Omit<StoredLot, 'document'> {
  document: string
}
const lotOf = ({ document, ...row }: Row): StoredLot => ({
  ...row,
  document: JSON.parse(document) as Lot,
})

const here = 'WHERE stock <> 0 AND deleted_at IS NULL'

/** Every lot that something is left of, or too much was drawn of, as the JSON of a list. */
export const listLots = (db: Db): string => listed(db, here)

/** How many lots have something that is to be minded on a day. */
export const mindedLots = (db: Db, today: string): number =>
  db
    .prepare<[], Row>(`SELECT document, stock / 1000.0 AS stock FROM lots ${here}`)
    .all()
    .map(lotOf)
    .filter((lot) => flagsOf(lot, today, isCaustic(lot.document.thing)).length > 0).length

/** Lots that are used up, the last that came first, some at a time, as JSON. `find` is part of the code or the thing. */
export const listEmpty = (db: Db, find: string, before: string, most: number): string =>
  listed(
    db,
    `WHERE came_on < ? AND stock = 0 AND deleted_at IS NULL
     AND (instr(plain(document ->> '$.code'), plain(?)) > 0 OR instr(thing, plain(?)) > 0)
     ORDER BY came_on DESC LIMIT ?`,
    before,
    find,
    find,
    most,
  )

export function getLot(db: Db, id: string): StoredLot | null {
  const row = db
    .prepare<[string], Row>(`SELECT ${columns} FROM lots WHERE id = ? AND deleted_at IS NULL`)
    .get(id)
  return row ? lotOf(row) : null
}

/** Lots by their ids, deleted ones too: what was made of them is still to be traced. */
const lotsOf = (db: Db, ids: Iterable<string>): StoredLot[] =>
  db
    .prepare<[string], Row>(
      `SELECT ${columns} FROM lots WHERE id IN (SELECT value FROM json_each(?))`,
    )
    .all(JSON.stringify([...new Set(ids)]))
    .map(lotOf)

/** Lots of some things that something is left of. */
export const lotsOfThings = (db: Db, things: readonly string[]): StoredLot[] =>
  db
    .prepare<[string], Row>(
      `SELECT ${columns} FROM lots
       WHERE thing IN (SELECT value FROM json_each(?)) AND stock <> 0 AND deleted_at IS NULL`,
    )
    .all(JSON.stringify(things))
    .map(lotOf)

interface MoveRow {
  id: string
  lotId: string
  kind: KeptMove['kind']
  grams: number
  day: string
  batchId: string | null
  intoLot: string | null
  step: string | null
  payload: string
  at: string
  by: string
}
const moveColumns = `id, lot_id AS lotId, kind, thousandths / 1000.0 AS grams, day, batch_id AS batchId, into_lot AS intoLot,
  step, payload, at, moved_by AS "by"`
function moveOf({ payload, ...row }: MoveRow): KeptMove {
  const said = JSON.parse(payload) as Partial<KeptMove> & { move?: string }
  return {
    ...row,
    about: said.about ?? false,
    why: said.why ?? null,
    undoes: said.move ?? null,
    note: said.note ?? '',
  }
}

const movesOf = (db: Db, lotId: string): KeptMove[] =>
  db
    .prepare<[string], MoveRow>(`SELECT ${moveColumns} FROM moves WHERE lot_id = ? ORDER BY seq`)
    .all(lotId)
    .map(moveOf)

/** Batches by their ids, as they are named. */
export const batchNames = (db: Db, ids: Iterable<string>): BatchName[] =>
  db
    .prepare<[string], BatchName>(
      `SELECT id, number, name FROM batches JOIN batch_facts ON batch_id = batches.id
       WHERE id IN (SELECT value FROM json_each(?))`,
    )
    .all(JSON.stringify([...new Set(ids)]))

/** A lot with all that came and went; null when there is none. */
export function wholeLot(db: Db, id: string): WholeLot | null {
  const lot = getLot(db, id)
  if (!lot) return null
  const moves = movesOf(db, id)
  return {
    ...lot,
    moves,
    batches: batchNames(
      db,
      moves.flatMap(({ batchId }) => batchId ?? []),
    ),
    lots: lotsOf(db, [
      ...moves.flatMap(({ intoLot }) => intoLot ?? []),
      ...lot.document.parts.map(({ lotId }) => lotId),
    ]),
  }
}

interface NewRow {
  id: string
  lotId: string
  kind: KeptMove['kind']
  thousandths: number
  day: string
  batchId?: string | null
  intoLot?: string | null
  runId?: string | null
  step?: string | null
  payload?: object
  at: string
  by?: string
}
function insertMove(db: Db, move: NewRow): void {
  db.prepare(
    `INSERT INTO moves (id, lot_id, kind, thousandths, day, batch_id, into_lot, run_id, step, payload, at, moved_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    move.id,
    move.lotId,
    move.kind,
    move.thousandths,
    move.day,
    move.batchId ?? null,
    move.intoLot ?? null,
    move.runId ?? null,
    move.step ?? null,
    JSON.stringify(move.payload ?? {}),
    move.at,
    move.by ?? '',
  )
}

/** Brings the moves of a lot in line with what its document says came, and with what it was made of. */
function settle(db: Db, id: string, { amount, cameOn, parts }: Lot, now: string, by: string): void {
  const came = db
    .prepare<[string], number>(
      "SELECT coalesce(sum(thousandths), 0) FROM moves WHERE lot_id = ? AND kind = 'came'",
    )
    .pluck()
    .get(id)!
  const more = thousandths(amount) - came
  const move = { day: cameOn, at: now, by }
  if (more) insertMove(db, { ...move, id: v7(), lotId: id, kind: 'came', thousandths: more })
  const drawn = new Map(
    db
      .prepare<[string], [string, number]>(
        'SELECT lot_id, sum(thousandths) FROM moves WHERE into_lot = ? GROUP BY lot_id',
      )
      .raw()
      .all(id),
  )
  for (const lotId of new Set([...drawn.keys(), ...parts.map((part) => part.lotId)])) {
    const wanted = parts.reduce(
      (sum, part) => sum - (part.lotId === lotId ? thousandths(part.grams) : 0),
      0,
    )
    const change = wanted - (drawn.get(lotId) ?? 0)
    if (change)
      insertMove(db, {
        ...move,
        id: v7(),
        lotId,
        kind: 'drawn',
        thousandths: change,
        intoLot: id,
      })
  }
}

/** Lots as documents: kept together with that they came and what they were made of, and sent with what is left of them. */
export const lotStore: DocumentStore<Lot> = {
  ...lots,
  get: getLot,
  save: (db, id, revision, document, now, by = '') =>
    db
      .transaction((): Saved<Lot> => {
        const saved = lots.save(db, id, revision, document, now, by)
        if (saved.kind === 'saved') settle(db, id, document, now, by)
        return saved.kind === 'gone' ? saved : { ...saved, stored: getLot(db, id)! }
      })
      .immediate(),
  restore: (db, id) => (lots.restore(db, id) ? getLot(db, id) : null),
}

/** Puts lots away, all of them or none. Those that are there already stay as they are. */
export function putAway(
  db: Db,
  arrived: readonly { id: string; document: Lot }[],
  now: string,
  by = '',
): StoredLot[] {
  return db
    .transaction(() => {
      for (const { id, document } of arrived)
        if (!getLot(db, id)) lotStore.save(db, id, 0, document, now, by)
      return lotsOf(
        db,
        arrived.map(({ id }) => id),
      )
    })
    .immediate()
}

/** Whether something was drawn from a lot, so that it cannot be struck. */
export const isDrawn = (db: Db, id: string): boolean =>
  db.prepare("SELECT 1 FROM moves WHERE lot_id = ? AND kind <> 'came'").get(id) !== undefined

/** It takes more than there is, and nobody said that this is known. */
export class OverDraw extends Error {
  constructor(readonly there: number) {
    super()
  }
}
/** What is to be taken back is none of its moves, or was taken back already, or is not told by hand. */
export class NotThere extends Error {}

/** What a move does to a stock, thousandths. */
function changeBy(db: Db, move: Move, stock: number): Omit<NewRow, 'id' | 'lotId' | 'kind' | 'at'> {
  switch (move.kind) {
    case 'counted':
      return {
        thousandths: thousandths(move.grams) - stock,
        day: move.day,
        batchId: move.why === 'batch' ? move.batchId : null,
      }
    case 'drawn': {
      const taken = thousandths(move.grams)
      if (taken > stock && !move.sure) throw new OverDraw(stock / 1000)
      return { thousandths: -taken, day: move.day, batchId: move.batchId }
    }
    case 'spilled':
    case 'thrown':
      return { thousandths: -thousandths(move.grams), day: move.day }
    case 'back':
      return { thousandths: thousandths(move.grams), day: move.day }
    case 'undone': {
      const before = db
        .prepare<[string, string], { kind: string; thousandths: number; batch_id: string | null }>(
          `SELECT kind, thousandths, batch_id FROM moves WHERE id = ? AND lot_id = ? AND run_id IS NULL AND into_lot IS NULL`,
        )
        .get(move.move, move.lotId)
      const again = db
        .prepare("SELECT 1 FROM moves WHERE kind = 'undone' AND payload ->> '$.move' = ?")
        .get(move.move)
      if (!before || before.kind === 'came' || before.kind === 'undone' || again)
        throw new NotThere()
      return { thousandths: -before.thousandths, day: move.day, batchId: before.batch_id }
    }
  }
}

/**
 * Writes down what came or went. The same move again is kept once.
 * @throws OtherContent when its id is taken by one that says something else; OverDraw; NotThere
 */
export function addMove(db: Db, move: Move, now: string, by = ''): void {
  db.transaction(() => {
    const before = db
      .prepare<[string], { lot_id: string; payload: string }>(
        'SELECT lot_id, payload FROM moves WHERE id = ?',
      )
      .get(move.id)
    if (before) {
      const kept = moveSchema.safeParse(JSON.parse(before.payload))
      if (!kept.success || JSON.stringify(kept.data) !== JSON.stringify(move))
        throw new OtherContent()
      return
    }
    const stock = db
      .prepare<[string], number>('SELECT stock FROM lots WHERE id = ?')
      .pluck()
      .get(move.lotId)!
    const { id, lotId, kind } = move
    insertMove(db, { ...changeBy(db, move, stock), id, lotId, kind, payload: move, at: now, by })
  }).immediate()
}

/** What a run took, by step and lot. */
export interface RunDraw {
  step: string
  lotId: string
  grams: number
}

/** The lots that a run has drawn from so far, by step. */
export function drawnByRun(db: Db, runId: string): Map<string, Map<string, number>> {
  const rows = db
    .prepare<[string], [string, string, number]>(
      'SELECT step, lot_id, sum(thousandths) FROM moves WHERE run_id = ? GROUP BY step, lot_id',
    )
    .raw()
    .all(runId)
  const drawn = new Map<string, Map<string, number>>()
  for (const [step, lotId, sum] of rows)
    drawn.set(step, (drawn.get(step) ?? new Map<string, number>()).set(lotId, -sum))
  return drawn
}

/** Brings what a run has drawn in line with what it weighed: what was taken back at the bench comes back. */
export function settleRun(
  db: Db,
  run: { id: string; batchId: string },
  draws: readonly RunDraw[],
  day: string,
  now: string,
): void {
  const before = drawnByRun(db, run.id)
  const wanted = new Map<string, number>()
  for (const { step, lotId, grams } of draws) {
    const key = `${step}\n${lotId}`
    wanted.set(key, (wanted.get(key) ?? 0) + thousandths(grams))
  }
  for (const [step, byLot] of before)
    for (const lotId of byLot.keys())
      wanted.set(`${step}\n${lotId}`, wanted.get(`${step}\n${lotId}`) ?? 0)
  for (const [key, sum] of wanted) {
    const [step, lotId] = key.split('\n') as [string, string]
    const change = (before.get(step)?.get(lotId) ?? 0) - sum
    if (change)
      insertMove(db, {
        id: v7(),
        lotId,
        kind: 'drawn',
        thousandths: change,
        day,
        batchId: run.batchId,
        runId: run.id,
        step,
        at: now,
      })
  }
}

/** All moves of some lots, and the lots they went into, as far as there are any: what a trace is made from. */
export function family(db: Db, lotId: string): { lots: StoredLot[]; moves: KeptMove[] } {
  const ids = db
    .prepare<[string], string>(
      `WITH RECURSIVE made (id) AS (
         SELECT ? UNION SELECT into_lot FROM moves JOIN made ON lot_id = made.id WHERE into_lot IS NOT NULL)
       SELECT id FROM made`,
    )
    .pluck()
    .all(lotId)
  return { lots: lotsOf(db, ids), moves: ids.flatMap((id) => movesOf(db, id)) }
}

/** What a batch drew, and every lot behind it. */
export function behindBatch(db: Db, batchId: string): { lots: StoredLot[]; moves: KeptMove[] } {
  const moves = db
    .prepare<[string], MoveRow>(`SELECT ${moveColumns} FROM moves WHERE batch_id = ? ORDER BY seq`)
    .all(batchId)
    .map(moveOf)
  const found = new Map<string, StoredLot>()
  let next = [...new Set(moves.map(({ lotId }) => lotId))]
  while (next.length) {
    const more = lotsOf(db, next)
    for (const lot of more) found.set(lot.id, lot)
    next = more
      .flatMap(({ document }) => document.parts.map((part) => part.lotId))
      .filter((id) => !found.has(id))
  }
  return { lots: [...found.values()], moves }
}

/** What went of each thing since a day, g or pieces, as the JSON of a list: less than nothing where it was taken back. */
export const usedSince = (db: Db, day: string): string =>
  db
    .prepare<{ day: string }, string>(
      `SELECT json_group_array(json_array(thing, day, -thousandths / 1000.0)) FROM (
         SELECT lot_id, day, thousandths FROM moves WHERE day > :day AND (kind = 'drawn' OR batch_id IS NOT NULL)
         UNION ALL SELECT back.lot_id, back.day, back.thousandths FROM moves AS back
         JOIN moves AS went ON went.id = back.payload ->> '$.move'
         WHERE back.kind = 'undone' AND back.day > :day AND back.batch_id IS NULL AND went.kind = 'drawn'
       ) JOIN lots ON lots.id = lot_id`,
    )
    .pluck()
    .get({ day })!

/** What a kilogram, or a hundred pieces, costs: by the newest lot with a price, else as somebody typed it. */
export function pricesNow(db: Db): Prices {
  const per = (thing: string, each: number) => Math.round(each * (isCounted(thing) ? 100 : 1000))
  const typed = db.prepare<[], [string, number]>('SELECT thing, price FROM prices').raw().all()
  const newest = db
    .prepare<[], { id: string; thing: string; each: number }>(
      `SELECT id, thing, 1.0 * (price + shipping) / amount AS each, max(came_on)
       FROM lots WHERE price IS NOT NULL AND deleted_at IS NULL GROUP BY thing`,
    )
    .all()
  const prices = Object.fromEntries([
    ...typed.map(([thing, price]) => [thing, { price, from: 'typed' as const, lotId: null }]),
    ...newest.map(({ id, thing, each }) => [
      thing,
      { price: per(thing, each), from: 'lot' as const, lotId: id },
    ]),
  ]) as Prices
  // What is made up costs what it is made of.
  for (const { id, document } of blends.list(db)) {
    const parts = document.parts.map(({ thing, share }) => (prices[thing]?.price ?? NaN) * share)
    const price = Math.round(parts.reduce((sum, part) => sum + part, 0))
    if (!prices[id] && price >= 0) prices[id] = { price, from: 'lot', lotId: null }
  }
  return prices
}

/** The packs that things were bought in, each at its last price, of the last so many days. */
export const packsSince = (db: Db, day: string): KnownPack[] =>
  db
    .prepare<[string], KnownPack>(
      `SELECT thing, amount AS grams, price + shipping AS price, shipping, supplier_id AS supplierId,
         CAST(julianday(best_before) - julianday(came_on) AS INTEGER) AS keeps, max(came_on)
       FROM lots WHERE price IS NOT NULL AND deleted_at IS NULL AND came_on > ?
       GROUP BY thing, amount, supplier_id`,
    )
    .all(day)
    .map(({ thing, grams, price, shipping, supplierId, keeps }) => ({
      thing,
      grams,
      price,
      shipping,
      supplierId,
      keeps,
    }))

/** Keeps a typed price; null takes it away. */
export function typePrice(db: Db, thing: string, price: number | null): void {
  if (price === null) db.prepare('DELETE FROM prices WHERE thing = ?').run(thing)
  else
    db.prepare(
      `INSERT INTO prices (thing, price) VALUES (?, ?) ON CONFLICT (thing) DO UPDATE SET price = excluded.price`,
    ).run(thing, price)
}
