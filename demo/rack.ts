import { batchEventSchema, type BatchEvent, type NewBatchEvent } from '#contracts/batch'
import type { Frozen } from '#contracts/result'
import { dryingPrior } from '#core/rack/drying/fit'
import { dryingClock } from '#core/rack/drying/clock'
import { leftAfter } from '#core/rack/drying/model'
import type { DryingRoom } from '#core/rack/facts'
import { randomSource } from '#core/statistics/randomSource'
import { addDays, type Day } from '#core/units/days'
import type { DemoBatch } from './batches'
import { demoPlaces } from './workshop'
import { sumOf } from '#core/statistics/sum'
import { roundTo } from '#core/statistics/roundTo'

/** Days after the pour on which Jo weighs the three marked bars. */
const weighDays = (cut: number) => [
  cut,
  7,
  14,
  21,
  28,
  35,
  49,
  63,
  90,
  120,
  150,
  180,
  240,
  300,
  360,
]

/**
 * What happened to a batch between the knife and its last bar: cut and weighed, tested, turned, sold. Days count from the pour;
 * the bars dry as their water and size say, each batch a little faster or slower.
 * @param room as it was logged: damp weeks dry less
 * @param seed the same for the same batch
 */
export function lifeOnRack(
  told: DemoBatch,
  frozen: Frozen,
  pouredOn: Day,
  today: Day,
  room: DryingRoom,
  seed: number,
): (NewBatchEvent & { day: Day })[] {
  if (told.poured === undefined || told.cut === undefined) return []
  const random = randomSource(seed)
  const cutDay = told.poured - told.cut
  const lastDay = told.poured - (told.left?.ago ?? 0)
  const { result } = frozen
  const { trim = 0 } = told
  const each = (result.batter * (1 - trim - 0.015)) / told.bars
  const grams = roundTo(each, 1)
  const prior = dryingPrior(result.water.content / result.batter, each, room.humidity)
  const clock = dryingClock(pouredOn, room.days, room.humidity)
  const truth = {
    loss: Math.max(0.03, prior.loss + random.normal() * prior.lossSd),
    halfDays: prior.halfDays * Math.exp(random.normal() * 0.2),
    early: 0.9,
    late: 0.85,
    slowShare: 0,
    slowHalfDays: 1,
  }
  const marked = [1, 2, 3].map((bar) => ({ bar, grams: each * (1 + random.normal() * 0.02) }))
  const events: (NewBatchEvent & { day: Day })[] = []
  const tell = (
    after: number,
    event: NewBatchEvent extends infer Event
      ? Event extends { day: string }
        ? Omit<Event, 'day'>
        : never
      : never,
  ) => {
    const day = addDays(pouredOn, after)
    if (after <= lastDay && day <= today) events.push({ ...event, day } as never)
  }
  tell(cutDay, {
    kind: 'cut',
    bars: told.bars,
    ends: trim ? 2 : 0,
    rejects: told.rejects ?? [],
    grams,
  })
  if (told.gel) tell(cutDay, { kind: 'gelled', gel: told.gel })
  const late = told.late ?? 0
  /** g that planing and bevelling had taken off a bar by then. */
  const shaved = (day: number) =>
    sumOf(told.finished ?? [], ([after, , g = 0]) => (after < day ? g : 0))
  for (const after of weighDays(cutDay)) {
    if (after > lastDay - late) break
    tell(after, {
      kind: 'weighed',
      bars: marked.map(({ bar, grams: fresh }) => ({
        bar,
        grams: Number(
          (
            fresh * leftAfter(truth, clock.timeAt(after)) -
            shaved(after) +
            random.normal() * 0.15
          ).toFixed(1),
        ),
      })),
    })
  }
  for (const [after, ph] of told.strips ?? [[Math.max(2, cutDay), 9]])
    tell(after, { kind: 'strip', ph, where: 'lather', bar: 1 })
  if (told.zapped) tell(told.zapped, { kind: 'zapped', zap: true, bar: 1 })
  if (told.trusted) tell(2, { kind: 'trusted' })
  const until = Math.min(lastDay, frozen.result.batter ? 60 : 0)
  for (let after = cutDay + 5; after <= until - late; after += 5) tell(after, { kind: 'turned' })
  for (const [after, step, grams] of told.finished ?? [])
    tell(after, { kind: 'finished', step, grams: grams ?? null })
  for (const [after, scores, note] of told.felt ?? []) tell(after, { kind: 'felt', scores, note })
  if (told.places)
    tell(cutDay, {
      kind: 'placed',
      spread: told.places.map(([place, bars]) => ({ place: demoPlaces[place - 1]!.id, bars })),
    })
  for (const [ago, bars, how, to] of told.out ?? wentAs(told))
    tell(told.poured - ago, {
      kind: 'out',
      bars,
      how,
      to,
      ...(how === 'sold' ? { price: bars * priceOf(told.formula) } : {}),
    })
  return events.sort((a, b) => a.day.localeCompare(b.day))
}

/** Pence for a bar. */
const priceOf = (formula: string): number =>
  ({ 'Hostel Bar': 300, 'Wardrobe Block': 420, 'Quiet Olive': 650, 'Ferry Shave': 600 })[formula] ??
  450

/** How the bars of a batch went of which nothing is left: to whom it is made for, some used and given on the way. */
function wentAs({ formula, left, bars, cut, strips }: DemoBatch): NonNullable<DemoBatch['out']> {
  const tested = !strips || (strips.length > 0 && strips.every(([, ph]) => ph <= 10))
  if (left?.why !== 'gone' || cut === undefined || !tested) return []
  const from = cut - 42
  const to =
    {
      'Hostel Bar': 'Walkers’ hostel',
      'Wardrobe Block': 'Theatre wardrobe',
      'Boatyard Scrub': 'Boatyard',
    }[formula] ?? 'Saturday ferry market'
  const first = Math.floor(bars * 0.6)
  if (from <= left.ago) return []
  return [
    [from, first, 'sold', to],
    [Math.round((from + left.ago) / 2), bars - first - 3, 'sold', 'Saturday ferry market'],
    [left.ago, 2, 'used', 'the shed’s own'],
    [left.ago, 1, 'given', 'a neighbour'],
  ]
}

/** An event with its id, as it is kept. */
export const kept = (event: NewBatchEvent, id: string): BatchEvent =>
  batchEventSchema.parse({ ...event, id })
