import type { Batch } from '#contracts/batch'
import type { AtBench, Forecast } from '#contracts/batchEvents'
import type {
  CameTrue,
  ForecastKind,
  OffsetKind,
  Offsets,
  ScoredForecast,
} from '#contracts/learning'
import { driedOn } from '../rack/facts'
import { shareBand } from '../statistics/groups'
import { median } from '../statistics/quantile'
import { roundTo } from '../statistics/roundTo'
import { mean, sumOf } from '../statistics/sum'
import { daysBetween, type Day } from '../units/days'
import { standingEvents } from '../units/standingEvents'

/*
 * What was foretold, as it was said on its day, against what came; and what own records make of the next forecast.
 */

/** Batches from which on own records move a forecast, and how much of what they say is the book's own guess. */
const fewest = 3
const guess = 3
/** Nearer to 1 than this, nothing is moved. */
const hardly = 0.02

/**
 * What forecasts are multiplied by: the mean of what came over the forecast as it was before any such factor, drawn towards 1 as long
 * as there are few. 1 below three.
 * @param ratios came over raw forecast, each above 0
 * @example offsetOf([1.2, 1.1, 1.35]) // 1.10108
 */
export const offsetOf = (ratios: readonly number[]): number =>
  ratios.length < fewest
    ? 1
    : Math.exp((ratios.length / (ratios.length + guess)) * mean(ratios.map(Math.log)))

/** Stages by which the batter is judged, the first that somebody marked. */
const judgedBy = ['medium', 'light'] as const

/**
 * Every forecast of a batch that has come due, as it was kept, with what came.
 * @example cameTrueOf({ ...cut, events: cut.events }) // []
 */
export function cameTrueOf({ events: all, facts }: Pick<Batch, 'events' | 'facts'>): CameTrue[] {
  const events = standingEvents(all)
  const poured = events.findLast((event) => event.kind === 'poured')
  const cut = events.findLast((event) => event.kind === 'cut')
  if (!poured) return []
  const kept = events.filter((event) => event.kind === 'foretold')
  const atBench = kept
    .filter(({ after }) => after === poured.id)
    .flatMap(({ forecasts }) => forecasts)
  const bench: Partial<AtBench> = poured.bench ?? {}
  const of = (what: Forecast['what'], stage?: string) =>
    atBench.find((one) => one.what === what && (stage === undefined || one.of === stage))
  const scored = (
    forecast: Forecast | undefined,
    came: number | null | undefined,
    on: Day = poured.day,
    due: Day = poured.day,
  ): CameTrue[] =>
    forecast && came !== null && came !== undefined && came > 0 && forecast.at > 0
      ? [
          {
            what: forecast.what as ForecastKind,
            of: forecast.of ?? null,
            on,
            due,
            at: forecast.at,
            low: forecast.low,
            high: forecast.high,
            raw: forecast.raw ?? forecast.at,
            came: roundTo(came, 2),
          },
        ]
      : []
  const stage = judgedBy.find((one) => bench.stages?.[one] !== undefined && of('stage', one))
  const cutAt = cut && cut.at.slice(0, 10) === cut.day ? Date.parse(cut.at) : null
  const hours = cutAt && poured.pouredAt ? (cutAt - Date.parse(poured.pouredAt)) / 3_600_000 : null
  const { forecast, weighed } = facts
  const dried = driedOn(facts)
  const early =
    forecast &&
    kept
      .filter(({ day }) => day === forecast.on)
      .flatMap(({ forecasts }) => forecasts)
      .find(({ what }) => what === 'dry')
  const label = kept
    .flatMap(({ day, forecasts }) => forecasts.map((one) => ({ ...one, day })))
    .find(({ what }) => what === 'net')
  return [
    ...scored(of('peak'), bench.peakC),
    ...scored(of('meeting'), bench.metAt),
    ...(stage ? scored(of('stage', stage), bench.stages![stage]) : []),
    ...scored(of('unmould'), hours, poured.day, cut?.day),
    // What was cut away went into no bar: then nobody knows.
    ...(cut?.grams && cut.ends === 0
      ? scored(
          of('yield'),
          cut.grams * (cut.bars + sumOf(cut.rejects, ({ bars }) => bars)),
          poured.day,
          cut.day,
        )
      : []),
    ...(dried && early ? scored(early, daysBetween(poured.day, dried), forecast.on, dried) : []),
    ...(dried && label && weighed.length
      ? scored(label, mean(weighed.map(({ grams }) => grams)), label.day, facts.weighedOn!)
      : []),
  ]
}

/** How a kind of forecast has done. */
export interface ScoreLine {
  what: ForecastKind
  /** The oldest first. */
  list: ScoredForecast[]
  inside: number
  /** Between what the share inside lies nine times in ten; null of none. */
  insideBand: { low: number; high: number } | null
  /** The middle of what came less what was said, in the unit of the forecast. */
  off: number
  /** The middle of what came over what was said. */
  times: number
  /** keeps: nine in ten come as said, as far as so many can tell; mended: it did not, and does since it is moved. */
  verdict: 'keeps' | 'too-sure' | 'mended' | 'few'
  /** What the next forecast is multiplied by; null where none is moved. */
  offset: { factor: number; of: number } | null
}

/**
 * Whether a forecast came as it was said.
 * @example cameAsSaid({ what: 'dry', low: 30, high: 40, came: 41 }) // false
 */
export const cameAsSaid = ({
  low,
  high,
  came,
  what,
}: Pick<ScoredForecast, 'low' | 'high' | 'came' | 'what'>): boolean =>
  // A label promises no more than its bars weigh: more is no fault.
  what === 'net' ? came >= low : came >= low - 1e-9 && came <= high + 1e-9

/** Share of forecasts that are promised to come as said. */
const promised = 0.9
const keeps = (list: readonly ScoredForecast[]): boolean =>
  shareBand(list.filter(cameAsSaid).length, list.length).high >= promised

/**
 * How each kind of forecast has done, those not to lean on first.
 * @param offsets that are in force
 * @example scorecardOf([], {}) // []
 */
export function scorecardOf(all: readonly ScoredForecast[], offsets: Offsets): ScoreLine[] {
  const kinds = [...new Set(all.map(({ what }) => what))]
  const lines = kinds.map((what): ScoreLine => {
    const list = all
      .filter((one) => one.what === what)
      .sort((a, b) => a.due.localeCompare(b.due) || a.number - b.number)
    const inside = list.filter(cameAsSaid).length
    const moved = list.filter(({ at, raw }) => Math.abs(at - raw) > 1e-9)
    const offset = (what in offsets && offsets[what as OffsetKind]) || null
    return {
      what,
      list,
      inside,
      insideBand: list.length ? shareBand(inside, list.length) : null,
      off: median(list.map(({ came, at }) => came - at)),
      times: median(list.map(({ came, at }) => came / at)),
      verdict:
        list.length < fewest
          ? 'few'
          : keeps(list)
            ? 'keeps'
            : moved.length >= fewest && keeps(moved)
              ? 'mended'
              : 'too-sure',
      offset,
    }
  })
  const order = { 'too-sure': 0, mended: 1, keeps: 2, few: 3 } as const
  return lines.sort((a, b) => order[a.verdict] - order[b.verdict] || b.list.length - a.list.length)
}

/**
 * What own records move forecasts by, of the ratios of each kind; what hardly moves anything is left out.
 * @example offsetsOf({ stage: [0.8, 0.75, 0.9], dry: [1.2, 1.1] }).stage.factor // 0.9024
 */
export function offsetsOf(ratios: Partial<Record<OffsetKind, readonly number[]>>): Offsets {
  return Object.fromEntries(
    Object.entries(ratios).flatMap(([what, own]) => {
      const factor = offsetOf(own)
      return Math.abs(factor - 1) < hardly ? [] : [[what, { factor, of: own.length }]]
    }),
  )
}
