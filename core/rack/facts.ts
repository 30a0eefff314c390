import type { BatchEvent, BatchFacts, Check, Made, ToldBatchEvent } from '#contracts/batch'
import type { Trouble } from '#contracts/rackWords'
import type { Frozen } from '#contracts/result'
import { afterPlanOf } from '../bench/run/checks'
import { frozenLibrary } from '../formula/frozen'
import { randomSource } from '../statistics/randomSource'
import { forCleaning, lyeHeavyOdds } from '../risk/odds'
import { addDays, daysBetween, type Day } from '../units/days'
import { dryingForecast, dryingPrior, fitDrying, type Drying, type WeighIn } from './drying'
import { standingEvents } from './standing'
import { usableOf } from './usable'
import { correctedMade, madeAsPlanned } from './wrong'
import { sumOf } from '../statistics/sum'

/** The batch as the drying of its bars sees it. */
export interface DryingBatch {
  bars: number
  frozen: Frozen
  events: readonly BatchEvent[]
}

/** What takes soap off a bar; a stamp does not. */
const shaves = new Set(['trimmed', 'bevelled', 'planed'])

/**
 * Weigh-ins of marked bars since the pour, in order of days, as the bars are now: what was planed off since is taken off the
 * earlier ones too. Where nobody weighed the shavings, what was weighed before them says nothing any more.
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

/** What the batch is by the weights: as poured, or as corrected since. Undefined where nobody weighed. */
export function madeOf(
  frozen: Frozen,
  events: readonly Exclude<BatchEvent, { kind: 'undone' }>[],
): Made | undefined {
  const poured = events.findLast((event) => event.kind === 'poured')
  const differences = events.flatMap((event) =>
    event.kind === 'corrected' ? event.differences : [],
  )
  return differences.length
    ? correctedMade(frozen, poured?.made ?? madeAsPlanned(frozen), differences)
    : poured?.made
}

/**
 * How the bars of a batch dry, by what went in, how it was cut and what was weighed; null before the pour.
 * @param humidity of the drying room, 0–1
 */
export function dryingOf(
  batch: DryingBatch,
  humidity: number,
  weighIns?: readonly WeighIn[],
): Drying | null {
  const events = standingEvents(batch.events)
  const poured = events.findLast((event) => event.kind === 'poured')
  if (!poured) return null
  const cut = events.findLast((event) => event.kind === 'cut')
  const { result } = batch.frozen
  const made = madeOf(batch.frozen, events)
  const batter = made?.batter ?? result.batter
  const water = made?.water ?? result.water.content
  const grams = cut?.grams ?? batter / Math.max(1, cut?.bars ?? batch.bars)
  const prior = dryingPrior(
    batter > 0 ? water / batter : 0,
    Math.max(1, grams),
    humidity,
    cut?.sidesMm ?? undefined,
  )
  return fitDrying(prior, weighIns ?? weighInsOf(batch.events, poured.day))
}

/** Days at the scale after which a prediction is kept, to be held against what was true. */
const forecastAfter = 3

/** The forecast of the first weigh-ins; null until there are more of them. */
function firstForecastOf(
  batch: DryingBatch,
  pouredOn: Day,
  humidity: number,
): BatchFacts['forecast'] {
  const all = weighInsOf(batch.events, pouredOn)
  const days = [...new Set(all.map(({ day }) => day))]
  const last = days[forecastAfter - 1]
  if (last === undefined || days.length <= forecastAfter) return null
  const then = dryingOf(
    batch,
    humidity,
    all.filter(({ day }) => day <= last),
  )!
  const { dry, gramsDry } = dryingForecast(then, randomSource(1))
  return {
    on: addDays(pouredOn, last),
    dryOn: addDays(pouredOn, dry.at),
    from: addDays(pouredOn, dry.from),
    to: addDays(pouredOn, dry.to),
    grams: gramsDry,
  }
}

/** Checks after the pour that are still open: from the bench, or from the formula where only the time of the pour is known. */
function checksOf(
  frozen: Frozen,
  events: readonly Exclude<BatchEvent, { kind: 'undone' }>[],
): Check[] {
  const poured = events.findLast((event) => event.kind === 'poured')
  const cut = events.some((event) => event.kind === 'cut')
  if (!poured || cut) return []
  const looked = new Set(events.flatMap((event) => (event.kind === 'checked' ? [event.check] : [])))
  const all =
    poured.checks ??
    (poured.pouredAt
      ? afterPlanOf(frozen.document, frozen.result, frozenLibrary(frozen), poured.pouredAt).checks
      : [])
  return all.filter(({ kind }) => kind === 'unmould' || !looked.has(kind))
}

/** What of the facts has to be fitted to weigh-ins, which takes a while. */
type Fitted = Pick<BatchFacts, 'drying' | 'forecast'>

/** How the bars dry and the forecast of it. */
function fittedOf(batch: DryingBatch, pouredOn: Day, humidity: number): Fitted {
  const drying = dryingOf(batch, humidity)!
  const forecast = dryingForecast(drying, randomSource(1))
  return {
    drying: {
      dryOn: addDays(pouredOn, forecast.dry.at),
      from: addDays(pouredOn, forecast.dry.from),
      to: addDays(pouredOn, forecast.dry.to),
      gramsDry: forecast.gramsDry,
      netGrams: forecast.netGrams,
      grams: drying.marked,
      loss: drying.loss,
      perDay: drying.perDay,
      bars: drying.bars,
    },
    forecast: firstForecastOf(batch, pouredOn, humidity),
  }
}

/**
 * What the events of a batch come to, at once: all but what is fitted, which stays as it was worked out before.
 * @param fitted before; null where nothing was yet
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
    laundry: poured?.laundry ?? false,
    usable: usableOf(events, made),
    lyeHeavy: lyeHeavyOdds(batch.frozen, made?.superfat ?? batch.frozen.result.superfat.total),
    cleaning: forCleaning(batch.frozen),
    releasedOn: last('released')?.day ?? null,
    turnedOn: last('turned')?.day ?? null,
    weighedOn: last('weighed')?.day ?? null,
    weighed: [...weighed].map(([bar, grams]) => ({ bar, grams })).sort((a, b) => a.bar - b.bar),
    drying: poured && fitted ? fitted.drying : null,
    forecast: poured && fitted ? fitted.forecast : null,
    spread: last('placed')?.spread ?? [],
    troubles: worstTroubles(events),
  }
}

/** What the events of a batch come to, the fit of its weigh-ins included. */
export function factsOf(
  batch: DryingBatch & { events: readonly ToldBatchEvent[] },
  humidity: number,
): BatchFacts {
  const poured = standingEvents(batch.events).findLast(({ kind }) => kind === 'poured')
  const fitted = poured?.kind === 'poured' ? fittedOf(batch, poured.day, humidity) : null
  return factsAtOnce(batch, fitted)
}

function worstTroubles(events: readonly BatchEvent[]): BatchFacts['troubles'] {
  const worst = new Map<Trouble, number>()
  for (const event of events)
    if (event.kind === 'trouble')
      worst.set(event.trouble, Math.max(worst.get(event.trouble) ?? 0, event.how))
  return [...worst].map(([trouble, how]) => ({ trouble, how }))
}
