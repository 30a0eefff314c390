import type { BatchSummary } from '#contracts/batch'
import type { Trouble } from '#contracts/rackWords'
import { addDays, daysBetween, type Day } from '../units/days'
import { standingOf, type Standing } from './standing'
import { testOn } from './usable'

/** One thing to do or to look forward to. `on` may lie in the past: then it is late. */
export interface Due {
  batchId: string
  kind: 'pour' | 'peek' | 'unwrap' | 'thaw' | 'cut' | 'strip' | 'weigh' | 'turn' | 'look' | 'ready'
  on: Day
  /** Instants between which it is best done, where the bench worked them out. */
  between: { from: string; to: string } | null
}

/** The workshop's own rhythm on the rack. */
export interface RackRules {
  /** Days between two turnings; 0 where nobody turns. */
  turnEvery: number
}
export const usualRackRules: RackRules = { turnEvery: 5 }

/** A loaf that was poured without the bench is looked at on the day after. */
const unmouldAfter = 1

/** What the pour says of looking, unwrapping and unmoulding, less what has been done. */
function afterPour(
  batch: BatchSummary,
  pouredOn: Day,
  today: Day,
  dayOf: (instant: string) => Day,
): Due[] {
  const { tryAgainAt: again, inFreezer } = batch.facts
  // Nobody cuts what lies in the freezer: first it comes out again.
  if (again && inFreezer)
    return [
      { batchId: batch.id, kind: 'thaw', on: dayOf(again), between: { from: again, to: again } },
    ]
  // Nobody looks under the cover of a loaf that should have been cut by yesterday.
  const unmould = batch.facts.checks.find(({ kind }) => kind === 'unmould')
  const over = unmould !== undefined && dayOf(unmould.to) < today
  const checks = batch.facts.checks.filter(({ kind }) => !over || kind === 'unmould')
  const due = checks.map(({ kind, from: opens, to }): Due => {
    const from = kind === 'unmould' && again && again > opens ? again : opens
    return {
      batchId: batch.id,
      kind: kind === 'unmould' ? 'cut' : kind,
      on: dayOf(from),
      between: from <= to ? { from, to } : { from, to: from },
    }
  })
  return due.some(({ kind }) => kind === 'cut')
    ? due
    : [
        ...due,
        {
          batchId: batch.id,
          kind: 'cut',
          on: again ? dayOf(again) : addDays(pouredOn, unmouldAfter),
          between: again ? { from: again, to: again } : null,
        },
      ]
}

/** Days between two weigh-ins: each week at first, then less and less, for bars that take a year. */
const weighGap = (day: number) => (day < 35 ? 7 : day < 90 ? 14 : 30)

/**
 * When the marked bars are to be weighed next; null when nothing more is to be learned from it.
 * @example weighOn(cut) // '2026-03-02'
 */
export function weighOn({ facts }: Pick<BatchSummary, 'facts'>): Day | null {
  const { drying, weighedOn, cutOn, pouredOn } = facts
  if (!cutOn || !pouredOn || !drying) return null
  if (!weighedOn) return cutOn
  if (drying.levelled || weighedOn >= drying.to) return null
  return addDays(weighedOn, weighGap(daysBetween(pouredOn, weighedOn)))
}

/**
 * When the bars are to be turned next; null once they are dry, or where nobody turns.
 * @example turnOn(cut, { isDry: false }, { turnEvery: 5 }) // '2026-03-07'
 */
export function turnOn(
  { facts }: Pick<BatchSummary, 'facts'>,
  standing: Standing,
  { turnEvery }: RackRules,
): Day | null {
  if (!facts.cutOn || !turnEvery) return null
  const next = addDays(facts.turnedOn ?? facts.cutOn, turnEvery)
  return standing.readyOn && next >= standing.readyOn ? null : next
}

/**
 * Which trouble of a batch is to be looked at again first, and when; null where nobody asked for that.
 * @example lookOn({ facts: { troubles: [{ trouble: 'orange-spots', how: 2, lookOn: '2026-03-08' }] } }) // { trouble: 'orange-spots', on: '2026-03-08' }
 */
export function lookOn({
  facts,
}: {
  facts: Pick<BatchSummary['facts'], 'troubles'>
}): { trouble: Trouble; on: Day } | null {
  const [first] = facts.troubles
    .flatMap(({ trouble, lookOn: on }) => (on ? [{ trouble, on }] : []))
    .sort((a, b) => a.on.localeCompare(b.on))
  return first ?? null
}

/**
 * Everything that is to come of one batch, in no order.
 * @example dueFor(batch({ kind: 'poured', day: '2026-03-01' }), '2026-03-03', (instant) => instant.slice(0, 10)).map(({ kind }) => kind)
 *   // ['cut']
 */
export function dueFor(
  batch: BatchSummary,
  today: Day,
  dayOf: (instant: string) => Day,
  rules: RackRules = usualRackRules,
): Due[] {
  const standing = standingOf(batch, today)
  const one = (kind: Due['kind'], on: Day | null): Due[] =>
    on ? [{ batchId: batch.id, kind, on, between: null }] : []
  const { pouredOn, cutOn, usable } = batch.facts
  if (standing.stage === 'left') return []
  if (!pouredOn) return one('pour', today)
  if (!cutOn) return afterPour(batch, pouredOn, today, dayOf)
  return [
    ...one('strip', testOn(usable, pouredOn, addDays)),
    ...one('look', lookOn(batch)?.on ?? null),
    ...(standing.stage === 'ready' ? [] : one('weigh', weighOn(batch))),
    ...(standing.stage === 'ready' ? [] : one('turn', turnOn(batch, standing, rules))),
    ...(standing.readyOn! >= today ? one('ready', standing.readyOn) : []),
  ]
}

/** What is done for all batches in one go through the room. */
export const rounds: ReadonlySet<Due['kind']> = new Set(['weigh', 'turn'])
/**
 * How many jobs some dues are: a round is one.
 * @example jobsIn(dueFor(cut, '2026-03-15', (instant) => instant.slice(0, 10))) // 4
 */
export const jobsIn = (dues: readonly Due[]): number =>
  new Set(dues.map(({ kind, batchId }) => (rounds.has(kind) ? kind : `${kind} ${batchId}`))).size

/** The order in which things are done on one day: what cannot wait first. */
const order: Due['kind'][] = [
  'peek',
  'unwrap',
  'thaw',
  'cut',
  'strip',
  'look',
  'pour',
  'weigh',
  'turn',
  'ready',
]

/**
 * What is due today (late things included) and in the six days after, in the order to do it.
 * @param today in the workshop's time zone
 * @param dayOf the day of an instant, in the same zone
 * @example dueOf([batch({ kind: 'poured', day: '2026-03-01' })], '2026-03-03').today.map(({ kind }) => kind) // ['cut']
 */
export function dueOf(
  batches: readonly BatchSummary[],
  today: Day,
  dayOf: (instant: string) => Day = (instant) => instant.slice(0, 10),
  rules: RackRules = usualRackRules,
): { today: Due[]; week: Due[] } {
  const all = batches.flatMap((batch) => dueFor(batch, today, dayOf, rules))
  const rank = ({ kind }: Due) => order.indexOf(kind)
  const todays = all.filter(({ on }) => on <= today)
  return {
    today: todays.sort(
      (a, b) =>
        rank(a) - rank(b) || (a.between?.from ?? a.on).localeCompare(b.between?.from ?? b.on),
    ),
    week: all
      .filter(({ on }) => on > today && daysBetween(today, on) < 7)
      .sort((a, b) => a.on.localeCompare(b.on) || rank(a) - rank(b)),
  }
}

/**
 * Whether the time of something is over: its hours have passed, or its day. A round through the room waits.
 * @param now ms of the workshop's clock
 * @example isLate({ batchId: '', kind: 'strip', on: '2026-03-02', between: null }, { now: 0, today: '2026-03-03' }) // true
 */
export const isLate = (
  { kind, on, between }: Due,
  { now, today }: { now: number; today: Day },
): boolean =>
  !rounds.has(kind) && kind !== 'ready' && (between ? Date.parse(between.to) < now : on < today)
