import type { BatchFacts, BatchEvent, ToldBatchEvent } from '#contracts/batch'
import type { Frozen } from '#contracts/result'
import { chance } from '../risk/chance'
import { addDays, daysBetween, type Day } from '../units/days'
import { dryingForecast, dryingPrior, fitDrying, type Drying, type WeighIn } from './drying'
import { standingEvents } from './standing'
import { usableOf } from './usable'

/** The batch as the drying of its bars sees it. */
export interface DryingBatch {
  bars: number
  frozen: Pick<Frozen, 'result'>
  events: readonly BatchEvent[]
}

/** Weigh-ins of marked bars since the pour, in order of days. */
export function weighInsOf(events: readonly BatchEvent[], pouredOn: Day): WeighIn[] {
  return standingEvents(events)
    .flatMap((event) =>
      event.kind === 'weighed'
        ? event.bars.map(({ bar, grams }) => ({
            day: daysBetween(pouredOn, event.day),
            bar,
            grams,
          }))
        : [],
    )
    .sort((a, b) => a.day - b.day)
}

/**
 * How the bars of a batch dry, by what went in, how it was cut and what was weighed; null before the pour.
 * @param humidity of the drying room, 0–1
 */
export function dryingOf(batch: DryingBatch, humidity: number): Drying | null {
  const events = standingEvents(batch.events)
  const poured = events.findLast((event) => event.kind === 'poured')
  if (!poured) return null
  const cut = events.findLast((event) => event.kind === 'cut')
  const { result } = batch.frozen
  const batter = poured.made?.batter ?? result.batter
  const water = poured.made?.water ?? result.water.content
  const grams = cut?.grams ?? batter / Math.max(1, cut?.bars ?? batch.bars)
  const prior = dryingPrior(
    batter > 0 ? water / batter : 0,
    Math.max(1, grams),
    humidity,
    cut?.sidesMm ?? undefined,
  )
  return fitDrying(prior, weighInsOf(batch.events, poured.day))
}

/** What the events of a batch come to. */
export function factsOf(
  batch: DryingBatch & { events: readonly ToldBatchEvent[] },
  humidity: number,
): BatchFacts {
  const events = standingEvents(batch.events)
  const last = <Kind extends BatchEvent['kind']>(kind: Kind) =>
    events.findLast((event): event is Extract<typeof event, { kind: Kind }> => event.kind === kind)
  const poured = last('poured')
  const cut = last('cut')
  const left = last('left')
  const looked = new Set(events.flatMap((event) => (event.kind === 'checked' ? [event.check] : [])))
  const checks = (poured?.checks ?? []).filter(({ kind }) =>
    kind === 'unmould' ? !cut : !looked.has(kind) && !cut,
  )
  const drying = dryingOf(batch, humidity)
  const forecast = drying && dryingForecast(drying, chance(1))
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
    out: events.reduce((sum, event) => sum + (event.kind === 'out' ? event.bars : 0), 0),
    checks,
    laundry: poured?.laundry ?? false,
    usable: usableOf(events, poured?.made),
    releasedOn: last('released')?.day ?? null,
    turnedOn: last('turned')?.day ?? null,
    weighedOn: last('weighed')?.day ?? null,
    weighed: [...weighed].map(([bar, grams]) => ({ bar, grams })).sort((a, b) => a.bar - b.bar),
    drying:
      poured && drying && forecast
        ? {
            dryOn: addDays(poured.day, forecast.dry.at),
            from: addDays(poured.day, forecast.dry.from),
            to: addDays(poured.day, forecast.dry.to),
            gramsDry: forecast.gramsDry,
            netGrams: forecast.netGrams,
            grams: drying.marked,
            loss: drying.loss,
            perDay: drying.perDay,
            bars: drying.bars,
          }
        : null,
  }
}
