import type { Run, RunEvent } from '#contracts/run'
import type { Frozen } from '#contracts/result'
import type { Lot } from '#contracts/store'
import { drawsOf, planAsMade } from '#core/bench/run/lots'
import { lotFor } from '#core/stores/stock'
import { standingEvents } from '#core/units/standingEvents'
import { formatter } from '#core/units/formatter'
import { dayIn } from '#core/units/days'
import { getBatch } from '../db/batches'
import type { Db } from '../db/connection'
import { suppliers } from '../db/documents'
import { drawnByRun, getLot, lotsOfThings, lotStore, settleRun, type RunDraw } from '../db/lots'
import { getWorkshop } from '../db/workshop'

/** Refuses a lot that does not fit the rest of the workshop. */
export function checkLot(db: Db, id: string, lot: Lot, path: string): void {
  /** What a lot was made up from has left its own lots already. */
  const made = getLot(db, id) !== null
  if (lot.supplierId && !suppliers.get(db, lot.supplierId))
    refuse(422, 'There is no such supplier; it may be deleted.', `${path}.supplierId`)
  lot.parts.forEach(({ lotId, grams }, place) => {
    const part = lotId === id ? null : getLot(db, lotId)
    if (!part)
      refuse(422, 'There is no such lot; it may be deleted.', `${path}.parts[${place}].lotId`)
    if (part.document.parts.some((inner) => inner.lotId === id))
      refuse(422, `${part.document.code} is made of this lot.`, `${path}.parts[${place}].lotId`)
    if (!made && part.document.held)
      refuse(422, `${part.document.code} is held: it goes into nothing.`, `${path}.parts[${place}]`)
    if (!made && grams > part.stock + 0.0005)
      refuse(
        422,
        `Of ${part.document.code} there is less than that. Count it, or take another.`,
        `${path}.parts[${place}].grams`,
      )
  })
}

/** Kinds of events after which a run may have drawn more, or less. */
const drawing = new Set<RunEvent['kind']>(['scooped', 'stood', 'undone'])

/**
 * Draws from the stores what a run weighed: from the lot that was said to stand there, else from the one it drew from before, else from
 * what expires first. Of what the workshop keeps no lots of nothing is drawn.
 */
export function drawForRun(db: Db, run: Run, fresh: readonly RunEvent[], now: string): void {
  if (!fresh.some(({ kind }) => drawing.has(kind))) return
  const batch = getBatch(db, run.batchId)
  if (!batch) return
  const events = [...run.events, ...fresh]
  const draws = drawsOf(planOfRun(batch.frozen, run, events), events)
  const before = drawnByRun(db, run.id)
  const here = lotsOfThings(db, [
    ...new Set(draws.flatMap(({ lot, thing }) => (lot ? [] : [thing]))),
  ])
  const wanted = draws.flatMap(({ step, thing, lot, grams }): RunDraw[] => {
    const known = lot?.lotId ?? before.get(step)?.keys().next().value
    const lotId = known ?? lotFor(here, thing, grams)?.id
    return lotId ? [{ step, lotId, grams }] : []
  })
  settleRun(db, run, wanted, dayIn(getWorkshop(db).timeZone, new Date(now)), now)
}

/** What the thermometer showed at most while the lye dissolved belongs to the lot of lye that was weighed. */
export function keepPeak(db: Db, run: Run, fresh: readonly RunEvent[], now: string): void {
  if (!fresh.some(({ kind }) => kind === 'finished')) return
  const events = standingEvents([...run.events, ...fresh])
  const read = events.flatMap((event) =>
    event.kind === 'read' && event.vessel === 'lye' ? [event.celsius] : [],
  )
  if (!read.length) return
  const peakC = Math.max(...read)
  for (const lotId of new Set(
    [...drawnByRun(db, run.id).values()].flatMap((byLot) => [...byLot.keys()]),
  )) {
    const lot = getLot(db, lotId)
    if (lot && ['naoh', 'koh'].includes(lot.document.thing) && peakC > (lot.document.peakC ?? 0))
      lotStore.save(db, lotId, lot.revision, { ...lot.document, peakC }, now)
  }
}

const planOfRun = (frozen: Frozen, run: Run, events: readonly RunEvent[]) =>
  planAsMade(frozen, run, events, formatter({ scale: run.scale })).plan
