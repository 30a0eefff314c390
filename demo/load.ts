import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { argv, env, exit, stdout } from 'node:process'
import { v7 } from 'uuid'
import type { NewBatchEvent, ToldBatchEvent } from '#contracts/batch'
import { marketEventSchema, type MarketEvent } from '#contracts/market'
import type { Frozen } from '#contracts/result'
import { labelDesignSchema, soapWordsSchema } from '#contracts/label'
import { moveSchema } from '#contracts/store'
import { thumbnailsOf } from '#core/batter/thumbnail'
import { freeze } from '#core/batch/freeze'
import { cureRuleFor } from '#core/rack/cure'
import { driedOf, forecastToKeep, type DryingRoom } from '#core/rack/facts'
import { addDays, dayIn } from '#core/units/days'
import { addEvents, getBatch, makeBatch } from '../server/db/batches'
import { backup } from '../server/backup/archive'
import { besideSafety } from '../server/backup/restore'
import { nameOfDay } from '../server/backup/shelf'
import { backupPlan } from '../server/db/backupPlan'
import { openDatabase, safetyCopies, type Db } from '../server/db/connection'
import { takeDatabase } from '../server/db/lock'
import {
  blends,
  designs,
  formulas,
  gifts,
  goals,
  markets,
  materials,
  moulds,
  scents,
  soapWords,
  suppliers,
  trials,
  colours,
} from '../server/db/documents'
import { addMove, lotStore, typePrice } from '../server/db/lots'
import { addMarketEvents } from '../server/db/markets'
import { migrationFiles } from '../server/db/migrationFiles'
import { addPaired, sawPaired } from '../server/db/paired'
import { keepVersion } from '../server/db/versions'
import { hashOf, newSecret } from '../server/lan/pairing'
import { photosOf } from '../server/db/files'
import { keepPhoto } from '../server/db/photos'
import { offsetsIn } from '../server/db/forecasts'
import { dryingRoom, logRoom } from '../server/db/room'
import { addRunEvents, startRun } from '../server/db/runs'
import { standInRoom } from '../server/devices/standInRoom'
import { sentenceOfTrouble } from '../server/db/troubles'
import { addTrialEvents } from '../server/db/trials'
import { saveWorkshop } from '../server/db/workshop'
import { loadDays } from './days'
import { demoBatches } from './batches'
import { demoFormulas } from './formulas'
import { demoLibrary as library, demoMaterials } from './materials'
import { demoDesigns, demoGift, demoSoapWords } from './labels'
import { loadJournal } from './loadJournal'
import { demoMoulds } from './moulds'
import { demoGoals } from './goals'
import { drawnPhoto, drawnSamples } from './pictures'
import type { TrialEvent } from '#contracts/trial'
import { kept, lifeOnRack } from './rack'
import { demoDevices } from './devices'
import { runAtBench } from './runs'
import { demoColours } from './colours'
import { demoScents, demoSuppliers, demoTrials } from './scents'
import {
  demoBlends,
  demoMarkets,
  demoMoves,
  demoPrices,
  demoStoreSuppliers,
  eventsOfMarket,
} from './stores'
import { demoVersions } from './versions'
import { demoWorkshop } from './workshop'

/*
 * Loads the Slate Shed into a database of its own. Dates are relative to the day of the first load and stay as they are
 * after that; --fresh starts it over.
 */

const { timeZone } = demoWorkshop

/** Ids whose order is the order of the days they were made on. */
const idAt = (day: string, hour: number) =>
  v7({ msecs: Date.parse(`${day}T${String(hour).padStart(2, '0')}:00:00Z`) })
const instantOf = (day: string, hour: number) =>
  `${day}T${String(hour).padStart(2, '0')}:00:00.000Z`

function loadFormulas(db: Db, today: string): Map<string, string> {
  const ids = new Map<string, string>()
  for (const [nth, { document, changed }] of demoFormulas.entries()) {
    const day = addDays(today, -changed)
    // Written one a day, so that pictures are given in the same order every time.
    const id = idAt(addDays(today, nth - 460), 8)
    formulas.save(db, id, 0, document, instantOf(day, 8))
    ids.set(document.name, id)
  }
  return ids
}

/** Keeps a picture of a batch and gives its id. */
function photograph(db: Db, batchId: string, bytes: Buffer, day: string): string {
  const id = idAt(day, 12)
  keepPhoto(db, { id, type: 'image/png', bytes }, { batchId }, instantOf(day, 12))
  return id
}

function loadBatches(db: Db, today: string, formulaIds: Map<string, string>): void {
  const back = (days: number) => addDays(today, -days)
  const room = dryingRoom(db)
  const thumbnails = thumbnailsOf(formulas.list(db), library)
  for (const told of demoBatches) {
    const { document } = demoFormulas.find((formula) => formula.document.name === told.formula)!
    // What the records of that day had taught, and no later ones.
    const offsets = offsetsIn(db, back(told.planned))
    const frozen = freeze(document, { ...library, offsets })
    const rule = cureRuleFor(frozen.result)
    const id = idAt(back(told.planned), 9)
    const thumbnail = thumbnails.get(formulaIds.get(told.formula)!)!
    const { number } = makeBatch(
      db,
      {
        id,
        formulaId: formulaIds.get(told.formula)!,
        bars: told.bars,
        cure: { rule: rule.id, days: rule.days },
        frozen,
        thumbnail,
      },
      instantOf(back(told.planned), 9),
    )
    const events: ToldBatchEvent[] = []
    const happened = (id: string, event: NewBatchEvent, ago: number, hour: number) =>
      events.push({ ...kept(event, id), at: instantOf(back(ago), hour) })
    const { poured, left } = told
    if (poured !== undefined && told.bench) {
      const begun = instantOf(back(poured), 9)
      const {
        run,
        events,
        poured: made,
        forecasts,
      } = runAtBench(frozen, begun, back(poured), told.bench)
      const device = idAt(back(poured), 8)
      startRun(db, { ...run, batchId: id, paper: false, device })
      addRunEvents(db, run.id, device, events, begun)
      const after = idAt(back(poured), 10)
      happened(after, made, poured, 10)
      const foretold = { kind: 'foretold' as const, day: back(poured), after, forecasts }
      happened(idAt(back(poured), 10), foretold, poured, 10)
      happened(
        idAt(back(poured), 12),
        { kind: 'checked', day: back(poured), check: 'peek' },
        poured,
        12,
      )
    } else if (poured !== undefined)
      happened(idAt(back(poured), 10), { kind: 'poured', day: back(poured) }, poured, 10)
    if (poured !== undefined) {
      const life = lifeOnRack(told, frozen, back(poured), today, room, number)
      for (const event of life)
        events.push({ ...kept(event, idAt(event.day, 11)), at: instantOf(event.day, 11) })
    }
    if (told.remelted) {
      const [after, grams, water, note] = told.remelted
      const ago = poured! - after
      const fat = { id: 'olive', grams }
      happened(
        idAt(back(ago), 12),
        { kind: 'salvaged', day: back(ago), way: 'remelted', fat, water, note },
        ago,
        12,
      )
    }
    for (const [after, trouble, how, note] of told.troubles ?? []) {
      const ago = poured! - after
      const photos = [photograph(db, id, drawnPhoto(thumbnail, number, trouble), back(ago))]
      happened(
        idAt(back(ago), 12),
        { kind: 'trouble', day: back(ago), trouble, how, note, photos },
        ago,
        12,
      )
    }
    if (told.felt && poured !== undefined && told.cut !== undefined) {
      const photos = [photograph(db, id, drawnPhoto(thumbnail, number), back(told.cut))]
      happened(
        idAt(back(told.cut), 12),
        { kind: 'pictured', day: back(told.cut), photos, note: 'The cut face' },
        told.cut,
        12,
      )
    }
    for (const [ago, from, note] of told.remarks ?? [])
      happened(idAt(back(ago), 12), { kind: 'noted', day: back(ago), note, from }, ago, 12)
    for (const [ago, note, about] of told.lessons ?? [])
      happened(
        idAt(back(ago), 12),
        { kind: 'noted', day: back(ago), note, lesson: true, about },
        ago,
        12,
      )
    for (const [ago, note] of told.notes ?? [])
      happened(idAt(back(ago), 12), { kind: 'noted', day: back(ago), note }, ago, 12)
    if (left)
      happened(
        idAt(back(left.ago), 13),
        {
          kind: 'left',
          day: back(left.ago),
          why: left.why,
          note: left.note,
        },
        left.ago,
        13,
      )
    addEvents(db, id, [...events, ...foretold(db, { bars: told.bars, frozen, events }, room)])
  }
}

/** Weigh-ins after which the demo has a forecast kept: the one that dates are judged by, and the last. */
const judgedBy = 3
/** What Mantle would have foretold at the cut, the third weigh-in and the last one. */
function foretold(
  db: Db,
  batch: { bars: number; frozen: Frozen; events: ToldBatchEvent[] },
  room: DryingRoom,
) {
  const events = [...batch.events].sort((a, b) => a.at.localeCompare(b.at))
  const weighed = events.filter(({ kind }) => kind === 'weighed')
  const cut = events.find(({ kind }) => kind === 'cut')
  return [cut, weighed[judgedBy - 1], weighed.at(-1)].flatMap((last): ToldBatchEvent[] => {
    if (!last) return []
    const until = events.slice(0, events.indexOf(last) + 1)
    const { dry } = offsetsIn(db, last.at.slice(0, 10))
    const asKnown = { ...room, offset: dry?.factor ?? 1 }
    const forecast = forecastToKeep(until, driedOf({ ...batch, events: until }, asKnown))
    if (!forecast) return []
    const event = { kind: 'foretold' as const, ...forecast }
    return [{ ...kept(event, idAt(forecast.day, 14)), at: last.at }]
  })
}

/** Days of the room that the log goes back. */
const roomDays = 90

/** What the stand-in sensor would have logged, every three hours. */
function loadRoom(db: Db, today: string): void {
  for (let ago = roomDays; ago > 0; ago--)
    for (let hour = 0; hour < 24; hour += 3) {
      const day = addDays(today, -ago)
      const at = instantOf(day, hour)
      logRoom(db, { ...standInRoom(Date.parse(at)), at, by: 'sensor' }, day)
    }
}

function loadGoals(db: Db, today: string, formulaIds: Map<string, string>): void {
  for (const { what, ahead, formula, bars } of demoGoals) {
    const goal = { what, on: addDays(today, ahead), formulaId: formulaIds.get(formula)!, bars }
    goals.save(db, idAt(addDays(today, -5), 8), 0, goal, instantOf(addDays(today, -5), 8))
  }
}

function loadVersions(db: Db, today: string, formulaIds: Map<string, string>): void {
  for (const { formula, ago, then, ...notes } of demoVersions) {
    const now = demoFormulas.find(({ document }) => document.name === formula)!.document
    const day = addDays(today, -ago)
    const version = { id: idAt(day, 8), formulaId: formulaIds.get(formula)!, document: then(now) }
    keepVersion(db, version, { changes: [], ...notes }, instantOf(day, 8))
  }
}

/** What came and went of the stores, day by day. */
function loadStores(db: Db, today: string): void {
  const start = addDays(today, -425)
  for (const { id, document } of demoStoreSuppliers)
    suppliers.save(db, id, 0, document, instantOf(start, 9))
  for (const { id, document } of demoBlends) blends.save(db, id, 0, document, instantOf(start, 9))
  const numbered = new Map<number, string>()
  const poured = db
    .prepare<[], string>('SELECT id FROM batches ORDER BY number')
    .pluck()
    .all()
    .map((id) => {
      const { number, frozen, facts } = getBatch(db, id)!
      numbered.set(number, id)
      return { id, number, frozen, pouredOn: facts.pouredOn, bars: facts.bars }
    })
  for (const [thing, price] of Object.entries(demoPrices)) typePrice(db, thing, price)
  let nth = 0
  for (const move of demoMoves(poured, today)) {
    const at = instantOf(move.day, 10)
    if (move.kind === 'came') {
      lotStore.save(db, move.id, 0, move.document, at)
      continue
    }
    const id = v7({ msecs: Date.parse(at) + nth++ })
    addMove(db, moveSchema.parse({ ...move, id }), at)
  }
  for (const market of demoMarkets) {
    const id = idAt(addDays(today, -market.ago), 6)
    const { name, tin } = market
    const day = addDays(today, -market.ago)
    const at = instantOf(day, 10)
    markets.save(db, id, 0, { name, day, tin }, at)
    const events = eventsOfMarket(market, (number) => numbered.get(number)!).map(
      (event, place): MarketEvent =>
        marketEventSchema.parse({ ...event, id: v7({ msecs: Date.parse(at) + place }), at }),
    )
    addMarketEvents(db, id, events, at)
  }
  const saturday = addDays(today, 5)
  markets.save(
    db,
    idAt(addDays(today, -1), 6),
    0,
    { name: 'Ferry market', day: saturday, tin: 4000 },
    instantOf(addDays(today, -1), 18),
  )
}

/** Designs of labels, what customers read, and a box of three. */
function loadLabels(db: Db, today: string, formulaIds: Map<string, string>): void {
  const start = addDays(today, -200)
  const ids = new Map<string, string>()
  for (const [nth, { document, also }] of demoDesigns.entries()) {
    const id = idAt(addDays(start, nth), 9)
    const at = instantOf(addDays(start, nth), 9)
    ids.set(document.name, id)
    designs.save(
      db,
      id,
      0,
      labelDesignSchema.parse({ ...document, also: also ? ids.get(also) : null }),
      at,
    )
  }
  for (const [formula, { design, ...words }] of Object.entries(demoSoapWords))
    soapWords.save(
      db,
      formulaIds.get(formula)!,
      0,
      soapWordsSchema.parse({ ...words, designId: (design && ids.get(design)) ?? null }),
      instantOf(start, 10),
    )
  const batchOf = db.prepare<[number], string>('SELECT id FROM batches WHERE number = ?').pluck()
  const { design, bars, ...gift } = demoGift
  gifts.save(
    db,
    idAt(addDays(today, -12), 9),
    0,
    {
      ...gift,
      designId: ids.get(design)!,
      bars: bars.map(({ batch, bars: count }) => ({ batchId: batchOf.get(batch)!, bars: count })),
    },
    instantOf(addDays(today, -12), 9),
  )
}

function loadScents(db: Db, today: string, formulaIds: Map<string, string>): void {
  const start = addDays(today, -420)
  for (const { id, document } of demoSuppliers)
    suppliers.save(db, id, 0, document, instantOf(start, 9))
  for (const { id, document } of demoColours(today))
    colours.save(db, id, 0, document, instantOf(start, 10))
  for (const { id, document } of demoScents) scents.save(db, id, 0, document, instantOf(start, 10))
  const { document } = demoFormulas.find((formula) => formula.document.name === 'Hostel Bar')!
  const formula = { id: formulaIds.get('Hostel Bar')!, document }
  for (const trial of demoTrials(today, formula)) {
    trials.save(db, trial.id, 0, trial.document, instantOf(addDays(trial.day, -1), 18))
    addTrialEvents(db, trial.id, photographed(db, trial.id, trial.events), instantOf(trial.day, 18))
  }
}

/** The events of a trial day with a photo of each sample as it was last seen beside the plain one. */
function photographed(db: Db, trialId: string, events: readonly TrialEvent[]): TrialEvent[] {
  const seen = events.filter((event) => event.kind === 'coloured')
  return events.map((event) => {
    if (event.kind !== 'coloured') return event
    if (seen.findLast(({ pot }) => pot === event.pot) !== event) return event
    const bytes = drawnSamples(event.plainSwatch, event.swatch, event.pot + 1)
    keepPhoto(db, { id: event.id, type: 'image/png', bytes }, { trialId }, event.at)
    return { ...event, photo: event.id }
  })
}

/** Devices that were paired once: what they prove themselves with is thrown away, so that nobody comes in by them. */
function loadDevices(db: Db, today: string): void {
  for (const { name, rights, ago, seen } of demoDevices) {
    const id = idAt(addDays(today, -ago), 8)
    addPaired(db, { id, name, rights }, hashOf(newSecret()), instantOf(addDays(today, -ago), 8))
    if (seen !== null) sawPaired(db, id, instantOf(addDays(today, -seen), 8))
  }
}

/** Fills an empty database with the demo workshop. False when there is something in it already. */
export function loadDemo(db: Db, now: Date): boolean {
  if (db.prepare('SELECT 1 FROM formulas LIMIT 1').get()) return false
  const today = dayIn(timeZone, now)
  db.transaction(() => {
    saveWorkshop(db, demoWorkshop)
    const start = addDays(today, -430)
    for (const material of demoMaterials)
      materials.save(db, material.id, 0, material, instantOf(start, 7))
    for (const mould of demoMoulds) moulds.save(db, idAt(start, 7), 0, mould, instantOf(start, 7))
    const formulaIds = loadFormulas(db, today)
    loadVersions(db, today, formulaIds)
    loadRoom(db, today)
    loadBatches(db, today, formulaIds)
    loadGoals(db, today, formulaIds)
    loadScents(db, today, formulaIds)
    loadStores(db, today)
    loadLabels(db, today, formulaIds)
    loadDevices(db, today)
    loadJournal(db, today)
    loadDays(db, today, (day) => idAt(day, 8), instantOf(today, 8))
  })()
  return true
}

if (argv[1]?.endsWith('load.ts')) {
  const file = env.MANTLE_DB ?? './data/demo.sqlite'
  try {
    const release = takeDatabase(file)
    if (argv.includes('--fresh'))
      for (const old of [
        file,
        `${file}-wal`,
        `${file}-shm`,
        photosOf(file),
        ...safetyCopies(file).flatMap(besideSafety),
      ])
        rmSync(old, { force: true, recursive: true })
    const db = openDatabase(file, migrationFiles())
    const now = env.MANTLE_NOW ? new Date(env.MANTLE_NOW) : new Date()
    const loaded = loadDemo(db, now)
    stdout.write(
      loaded ? 'The demo workshop is loaded.\n' : 'The demo workshop is there already.\n',
    )
    if (loaded) {
      const { folder } = backupPlan(db)
      await backup(file, join(folder, nameOfDay(file, dayIn(timeZone, now))), now)
    }
    db.close()
    release()
  } catch (error) {
    stdout.write(`The demo workshop cannot be loaded. ${sentenceOfTrouble(error, file)}\n`)
    exit(1)
  }
}
