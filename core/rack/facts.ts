import type { BatchEvent, BatchFacts, Check, Made, ToldBatchEvent } from '#contracts/batch'
import type { Trouble } from '#contracts/rackWords'
import type { Frozen } from '#contracts/result'
import type { RoomDay } from '#contracts/room'
import { afterPlanOf } from '../bench/run/checks'
import { isCitric } from '../chemistry/acids'
import { frozenLibrary } from '../formula/frozen'
import { randomSource } from '../statistics/randomSource'
import { roundTo } from '../statistics/roundTo'
import { forCleaning, lyeHeavyOdds } from '../risk/odds'
import { addDays, daysBetween, type Day } from '../units/days'
import { dryingCurve, dryingForecast, dryingPrior, fitDrying, type Drying } from './drying/fit'
import { dryingClock } from './drying/clock'
import { salvageDifferences } from './salvage'
import { standingEvents } from '../units/standingEvents'
import { usableOf } from './usable'
import { correctedMade, madeAsPlanned } from './wrong'
import type { WeighIn } from './drying/weighedDays'
import { mean, sumOf } from '../statistics/sum'

/** The batch as the drying of its bars sees it. */
export interface DryingBatch {
  bars: number
  frozen: Frozen
  events: readonly BatchEvent[]
}

/** The room that bars dry in: its humidity of late, 0–1, and the days that were logged, oldest first. */
export interface DryingRoom {
  humidity: number
  days: readonly RoomDay[]
  /** What own records move the day by on which bars are dry; 1 where they do not. */
  offset?: number
}

type StandingEvent = ReturnType<typeof standingEvents<ToldBatchEvent>>[number]

/** What takes soap off a bar; a stamp does not. */
const shaves = new Set(['trimmed', 'bevelled', 'planed'])

/**
 * Weigh-ins of marked bars since the pour, in order of days, as the bars are now: what was planed off since is taken off the
 * earlier ones too. Where nobody weighed the shavings, what was weighed before them says nothing any more.
 * @example weighInsOf([told({ kind: 'weighed', day: '2026-03-08', bars: [{ bar: 1, grams: 120 }] })], '2026-03-01')
 *   // [{ day: 7, bar: 1, grams: 120 }]
 */
export function weighInsOf(events: readonly BatchEvent[], pouredOn: Day): WeighIn[] {
  const standing = standingEvents(events)
  const shaved = standing.flatMap((event, place) =>
    event.kind === 'finished' && shaves.has(event.step) ? [{ ...event, place }] : [],
  )
  return standing
    .flatMap((event, place) => {
      if (event.kind !== 'weighed') return []
      const since = shaved.filter(
        (one) => one.day > event.day || (one.day === event.day && one.place > place),
      )
      if (since.some(({ grams }) => grams === null)) return []
      const off = sumOf(since, ({ grams }) => grams!)
      return event.bars.map(({ bar, grams }) => ({
        day: daysBetween(pouredOn, event.day),
        bar,
        grams: grams - off,
      }))
    })
    .sort((a, b) => a.day - b.day)
}

/**
 * What the batch is by the weights: as poured, or as corrected since. Undefined where nobody weighed.
 * @example madeOf(frozen, []) // undefined
 */
export function madeOf(
  frozen: Frozen,
  events: readonly Exclude<BatchEvent, { kind: 'undone' }>[],
): Made | undefined {
  const poured = events.findLast((event) => event.kind === 'poured')
  // In the order of days: what was melted again was the batch with its corrections.
  const all = events.flatMap((event) => {
    if (event.kind === 'corrected') return event.differences
    return event.kind === 'salvaged' ? salvageDifferences(event) : []
  })
  return all.length
    ? correctedMade(frozen, poured?.made ?? madeAsPlanned(frozen), all)
    : poured?.made
}

/**
 * How the bars of a batch dry, by what went in, how it was cut, what was weighed and what the room was like; null before the pour.
 */
function dryingOf(batch: DryingBatch, room: DryingRoom): Drying | null {
  const events = standingEvents(batch.events)
  const poured = events.findLast((event) => event.kind === 'poured')
  if (!poured) return null
  const cut = events.findLast((event) => event.kind === 'cut')
  const { result } = batch.frozen
  const made = madeOf(batch.frozen, events)
  const batter = made?.batter ?? result.batter
  const water = made?.water ?? result.water.content
  const grams = cut?.grams ?? batter / Math.max(1, cut?.bars ?? batch.bars)
  const since = dryingSince(events, poured.day)
  const prior = dryingPrior(
    batter > 0 ? water / batter : 0,
    Math.max(1, grams),
    room.humidity,
    cut?.sidesMm ?? undefined,
  )
  return fitDrying(
    prior,
    weighInsOf(batch.events, since).filter(({ day }) => day >= 0),
    randomSource(1),
    dryingClock(since, room.days, room.humidity),
  )
}

/** Days at the scale after which the forecast is one that dates can be judged by. */
const forecastAfter = 3

/** What was foretold at the third weigh-in, as it was kept; null until there are more of them. */
function earlyForecastOf(events: StandingEvent[], pouredOn: Day): BatchFacts['forecast'] {
  const days = [...new Set(events.flatMap(({ kind, day }) => (kind === 'weighed' ? [day] : [])))]
  const last = days.sort()[forecastAfter - 1]
  if (last === undefined || days.length <= forecastAfter) return null
  const told = new Map(events.map((event) => [event.id, event]))
  const kept = events.findLast((event) => {
    if (event.kind !== 'foretold') return false
    const after = told.get(event.after)
    return after?.kind === 'weighed' && after.day === last
  })
  const dry = kept?.kind === 'foretold' ? kept.forecasts.find(({ what }) => what === 'dry') : null
  return dry
    ? {
        on: last,
        dryOn: addDays(pouredOn, dry.at),
        from: addDays(pouredOn, dry.low),
        to: addDays(pouredOn, dry.high),
      }
    : null
}

/**
 * The day on which bars were dry, once they were weighed until then: by the fit alone, whatever own records made of the forecast. Null
 * before, and for what was melted again: its days are of another soap.
 * @example driedOn(cut.facts) // null
 */
export function driedOn({
  drying,
  weighedOn,
  remeltedOn,
}: Pick<BatchFacts, 'drying' | 'weighedOn' | 'remeltedOn'>): Day | null {
  const on = drying && (drying.rawDryOn ?? drying.dryOn)
  return on && weighedOn && !remeltedOn && weighedOn >= on ? on : null
}

/**
 * What the fit foretells now, to be kept as an event: null where nothing new was told since it was last kept, or nothing is cut.
 * @param drying as just worked out
 * @example forecastToKeep(cut.events, cut.facts).forecasts.map(({ what }) => what) // ['dry', 'net']
 */
export function forecastToKeep(
  events: readonly ToldBatchEvent[],
  { pouredOn, drying }: Pick<BatchFacts, 'pouredOn' | 'drying'>,
): Pick<Extract<BatchEvent, { kind: 'foretold' }>, 'after' | 'day' | 'forecasts'> | null {
  const standing = standingEvents(events)
  const last = standing.findLast(({ kind }) => kind === 'cut' || kind === 'weighed')
  if (!last || !pouredOn || !drying) return null
  if (standing.some((event) => event.kind === 'foretold' && event.after === last.id)) return null
  const days = (on: Day) => daysBetween(pouredOn, on)
  const net = roundTo(drying.netGrams, 2)
  return {
    after: last.id,
    day: last.day,
    forecasts: [
      {
        what: 'dry',
        at: days(drying.dryOn),
        low: days(drying.from),
        high: days(drying.to),
        ...(drying.rawDryOn ? { raw: days(drying.rawDryOn) } : {}),
      },
      { what: 'net', at: net, low: net, high: roundTo(drying.grams, 2) },
    ],
  }
}

/**
 * When to look after a loaf, open or not: from the bench, or from the formula where only the time of the pour is known.
 * @param events that hold
 * @example checksAfter(cut.frozen, cut.events) // []
 */
export function checksAfter(frozen: Frozen, events: readonly BatchEvent[]): Check[] {
  const poured = events.findLast((event) => event.kind === 'poured')
  if (!poured) return []
  return (
    poured.checks ??
    (poured.pouredAt
      ? afterPlanOf(frozen.document, frozen.result, frozenLibrary(frozen), poured.pouredAt).checks
      : [])
  )
}

/** Those of them that are still open. */
function checksOf(
  frozen: Frozen,
  events: readonly Exclude<BatchEvent, { kind: 'undone' }>[],
): Check[] {
  if (events.some((event) => event.kind === 'cut')) return []
  const looked = new Set(events.flatMap((event) => (event.kind === 'checked' ? [event.check] : [])))
  return checksAfter(frozen, events).filter(({ kind }) => kind === 'unmould' || !looked.has(kind))
}

const isRemelt = (event: BatchEvent): event is Extract<BatchEvent, { kind: 'salvaged' }> =>
  event.kind === 'salvaged' && event.way === 'remelted'
/** The day from which bars dry: of the pour, or of melting again. */
const dryingSince = (events: readonly BatchEvent[], pouredOn: Day): Day =>
  events.findLast(isRemelt)?.day ?? pouredOn

/** Salts that make a lather read high without free lye, from so much of the oils on. */
const builderIds = new Set(['washing-soda', 'baking-soda', 'sodium-silicate', 'borax'])
const builderShare = 0.01
const hasBuilders = ({ result }: Frozen): boolean =>
  result.additives.some(({ id, grams }) => builderIds.has(id) && grams > builderShare * result.oils)

/** °C of both vessels below which a batch is slow to finish. */
const coldPot = 27
/** Whether it saponified slowly: it did not gel, or was not to; with citric acid; or cold. */
function isSlow(frozen: Frozen, events: readonly BatchEvent[]): boolean {
  const { method } = frozen.document
  const library = frozenLibrary(frozen)
  const gel = events.findLast((event) => event.kind === 'gelled')?.gel ?? null
  return (
    gel === 'none' ||
    (gel === null && method.gel === 'prevent') ||
    (method.lyeC < coldPot && method.oilsC < coldPot) ||
    frozen.result.additives.some(
      ({ id, grams }) => grams > 0 && isCitric(library.additives.get(id)?.acid),
    )
  )
}

/** °C of a room in which a loaf is slow to finish, and the days from the pour that decide it (judgement). */
const coldRoom = 15
const firstDays = 2
function inColdRoom(pouredOn: Day, { days }: DryingRoom): boolean {
  const first = days.filter(({ day }) => day >= pouredOn && daysBetween(pouredOn, day) < firstDays)
  return first.length > 0 && mean(first.map(({ celsius }) => celsius)) < coldRoom
}

/** What of the facts rests on weigh-ins and on the room, and so takes a while or comes from elsewhere. */
type Fitted = Pick<BatchFacts, 'drying' | 'lyeHeavy'> & Partial<Pick<BatchFacts, 'slow'>>

/** Days that a curve is drawn beyond what is known, and the last day of any. */
const beyond = 14
const lastDrawn = 400

/** How the bars dry and the forecast of it. */
function dryingFactsOf(batch: DryingBatch, pouredOn: Day, room: DryingRoom): BatchFacts['drying'] {
  const drying = dryingOf(batch, room)!
  const forecast = dryingForecast(drying, randomSource(1))
  const until = Math.max(drying.lastDay + beyond, Math.min(forecast.dry.to, lastDrawn) + 4)
  // Own records speak for the forecasts that they were learned from: later the bars' own weights say it better.
  const { offset = 1 } = room
  const moves = offset !== 1 && !forecast.levelled && drying.times <= forecastAfter
  const day = (count: number) => addDays(pouredOn, Math.round(moves ? count * offset : count))
  return {
    dryOn: day(forecast.dry.at),
    from: day(forecast.dry.from),
    to: day(forecast.dry.to),
    ...(moves ? { rawDryOn: addDays(pouredOn, forecast.dry.at) } : {}),
    gramsDry: forecast.gramsDry,
    netGrams: forecast.netGrams,
    grams: drying.marked,
    shape: drying.shape,
    bars: drying.bars,
    times: drying.times,
    levelled: forecast.levelled,
    curve: dryingCurve(drying, Math.ceil(until)),
  }
}

/**
 * What the events of a batch come to, at once: all but what is fitted, which stays as it was worked out before.
 * @param fitted before; null where nothing was yet
 * @example factsAtOnce(cut, null).pouredOn // '2026-03-01'
 */
export function factsAtOnce(
  batch: DryingBatch & { events: readonly ToldBatchEvent[] },
  fitted: Fitted | null,
): BatchFacts {
  const events = standingEvents(batch.events)
  const last = <Kind extends BatchEvent['kind']>(kind: Kind) =>
    events.findLast((event): event is Extract<typeof event, { kind: Kind }> => event.kind === kind)
  const poured = last('poured')
  const cut = last('cut')
  const left = last('left')
  const made = madeOf(batch.frozen, events)
  const remelted = events.findLastIndex(isRemelt)
  const builders = hasBuilders(batch.frozen)
  const weighed = new Map(
    events.flatMap((event) =>
      event.kind === 'weighed'
        ? event.bars.map(({ bar, grams }): [number, number] => [bar, grams])
        : [],
    ),
  )
  return {
    pouredOn: poured?.day ?? null,
    cutOn: cut?.day ?? null,
    leftOn: left?.day ?? null,
    spoiled: left?.why === 'spoiled',
    bars: cut?.bars ?? batch.bars,
    out: sumOf(events, (event) => (event.kind === 'out' ? event.bars : 0)),
    checks: checksOf(batch.frozen, events),
    tryAgainAt: cut ? null : (last('tried')?.again ?? null),
    inFreezer: !cut && (last('tried')?.frozen ?? false),
    pouredAt: poured?.pouredAt ?? null,
    laundry:
      (poured?.laundry ?? false) ||
      events.some((event) => event.kind === 'salvaged' && event.way === 'laundry'),
    // Melted again it is another soap: what was tested before says nothing of it.
    usable: usableOf(events.slice(remelted + 1), made, builders),
    remeltedOn: events[remelted]?.day ?? null,
    weights: made !== undefined,
    slow: isSlow(batch.frozen, events) || (fitted?.slow ?? false),
    builders,
    lyeHeavy: fitted?.lyeHeavy ?? null,
    cleaning: forCleaning(batch.frozen),
    releasedOn: last('released')?.day ?? null,
    turnedOn: last('turned')?.day ?? null,
    weighedOn: last('weighed')?.day ?? null,
    weighed: [...weighed].map(([bar, grams]) => ({ bar, grams })).sort((a, b) => a.bar - b.bar),
    drying: poured && fitted ? fitted.drying : null,
    forecast: poured ? earlyForecastOf(events, poured.day) : null,
    spread: last('placed')?.spread ?? [],
    troubles: worstTroubles(events),
  }
}

/**
 * What of its facts its weigh-ins and the room tell, without the odds of its lye.
 * @example driedOf({ bars: 12, frozen, events: [] }, { humidity: 0.5, days: [] }) // { pouredOn: null, drying: null }
 */
export function driedOf(
  batch: DryingBatch & { events: readonly ToldBatchEvent[] },
  room: DryingRoom,
): Pick<BatchFacts, 'pouredOn' | 'drying'> {
  const events = standingEvents(batch.events)
  const pouredOn = events.findLast(({ kind }) => kind === 'poured')?.day ?? null
  const since = pouredOn && dryingSince(events, pouredOn)
  return { pouredOn, drying: since ? dryingFactsOf(batch, since, room) : null }
}

/**
 * What the events of a batch come to, the fit of its weigh-ins and the odds of its lye included.
 * @example factsOf({ bars: 12, frozen, events: [told({ kind: 'poured', day: '2026-03-01' })] }, { humidity: 0.5, days: [] }).pouredOn
 *   // '2026-03-01'
 */
export function factsOf(
  batch: DryingBatch & { events: readonly ToldBatchEvent[] },
  room: DryingRoom,
): BatchFacts {
  const events = standingEvents(batch.events)
  const poured = events.findLast((event) => event.kind === 'poured')
  const superfat = madeOf(batch.frozen, events)?.superfat ?? batch.frozen.result.superfat.total
  return factsAtOnce(batch, {
    lyeHeavy: lyeHeavyOdds(batch.frozen, superfat),
    drying: driedOf(batch, room).drying,
    slow: poured ? inColdRoom(poured.day, room) : false,
  })
}

/** Troubles that stand, the worst of each since it last went away. Who looks at one anew has answered its reminder. */
function worstTroubles(events: readonly BatchEvent[]): BatchFacts['troubles'] {
  const worst = new Map<Trouble, BatchFacts['troubles'][number]>()
  for (const event of events)
    if (event.kind === 'trouble') {
      const { trouble, how, lookOn = null } = event
      if (how === 0) worst.delete(trouble)
      else worst.set(trouble, { trouble, how: Math.max(worst.get(trouble)?.how ?? 0, how), lookOn })
    }
  return [...worst.values()]
}
