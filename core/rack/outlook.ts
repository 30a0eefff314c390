import type { BatchSummary } from '#contracts/batch'
import type { Goal } from '#contracts/goal'
import { addDays, daysBetween, type Day } from '../units/days'
import { isDrying, standingOf } from './standing'
import { isBlocked } from './usable'
import { sumOf } from '../statistics/sum'

/* What is ahead: what runs out when, and when to pour for a market. */

/** Days over which the pace of going is taken. */
export const paceDays = 90
/** Bars that are there and bars that come, of one formula. */
export interface Outlook {
  formulaId: string
  name: string
  ready: number
  coming: number
  /** The next day on which a batch of it is ready; null when none is on the rack. */
  nextOn: Day | null
  /** Bars a week that went of late. */
  perWeek: number
  /** The day on which what is ready will have gone at that pace; null when it does not go. */
  outOn: Day | null
  /** Days without a bar of it between then and the next batch; 0 when there is no gap. */
  gap: number
}

/**
 * For each formula with bars on the rack, what is left and how long it lasts.
 * @param gone bars by formula that were sold, given or used in the last 90 days
 * @example outlookOf([cut], { formula: 30 }, '2026-03-15')
 *   // [{ formulaId: 'formula', name: 'Slab', ready: 0, coming: 12, nextOn: '2026-04-12', perWeek: 2.33333, outOn: null, gap: 0 }]
 */
export function outlookOf(
  batches: readonly BatchSummary[],
  gone: Readonly<Record<string, number>>,
  today: Day,
): Outlook[] {
  const byFormula = new Map<string, BatchSummary[]>()
  for (const batch of batches)
    byFormula.set(batch.formulaId, [...(byFormula.get(batch.formulaId) ?? []), batch])
  return [...byFormula].flatMap(([formulaId, all]) => {
    const standing = all.map((batch) => ({ batch, ...standingOf(batch, today) }))
    const sum = (list: typeof standing) => sumOf(list, (one) => one.bars)
    const usable = standing.filter(({ batch }) => !isBlocked(batch.facts.usable))
    const ready = sum(usable.filter(({ stage }) => stage === 'ready'))
    const drying = usable.filter(isDrying)
    if (!ready && !drying.length) return []
    const nextOn = drying.map(({ readyOn }) => readyOn!).sort()[0] ?? null
    const perWeek = ((gone[formulaId] ?? 0) * 7) / paceDays
    const outOn = ready && perWeek ? addDays(today, Math.floor((ready * 7) / perWeek)) : null
    return [
      {
        formulaId,
        name: all[0]!.name,
        ready,
        coming: sum(drying),
        nextOn,
        perWeek,
        outOn,
        gap: outOn && nextOn ? Math.max(0, daysBetween(outOn, nextOn)) : 0,
      },
    ]
  })
}

/**
 * Days between the pour of a formula and its being ready, as its batches do or its kind asks.
 * @example readyAfter([], 'formula', () => 42) // 42
 */
export function readyAfter(
  batches: readonly BatchSummary[],
  formulaId: string,
  usual: (formulaId: string) => number,
): number {
  const own = batches
    .filter((batch) => batch.formulaId === formulaId && batch.facts.pouredOn)
    .map((batch) => {
      const { pouredOn, readyOn } = standingOf(batch, '')
      return daysBetween(pouredOn!, readyOn!)
    })
  return own.length ? Math.max(...own.slice(0, 3)) : usual(formulaId)
}

/** Days that wrapping and labelling take before bars are carried off. */
const wrapDays = 1

/** Bars of a formula that are ready before a day and may be sold. */
const comingBy = (batches: readonly BatchSummary[], formulaId: string, on: Day, today: Day) =>
  sumOf(
    batches
      .filter((batch) => batch.formulaId === formulaId && !isBlocked(batch.facts.usable))
      .map((batch) => standingOf(batch, today))
      .filter(({ readyOn, stage }) => stage !== 'left' && readyOn && readyOn < on),
    (one) => one.bars,
  )

export interface GoalPlan {
  /** Bars that will be ready by then and are not promised to an earlier goal. */
  there: number
  /** Bars still to be poured. */
  missing: number
  /** The last day to pour them; null when nothing is missing. */
  pourBy: Day | null
  /** Days of cure they would have by the day, if poured today; less than they need when it is too late. */
  daysLeft: number
  needs: number
}

/**
 * What each goal still wants. Earlier goals take first; bars that go to nobody in particular meanwhile are not foreseen.
 * @param usual days from pour to ready for a formula of which nothing is on the rack
 * @example plansFor([{ id: 'market', formulaId: 'formula', what: 'Market', on: '2026-06-01', bars: 20 }], [cut], '2026-03-15', () => 42).get('market')
 *   // { there: 12, missing: 8, pourBy: '2026-04-19', daysLeft: 78, needs: 43 }
 */
export function plansFor(
  goals: readonly (Goal & { id: string })[],
  batches: readonly BatchSummary[],
  today: Day,
  usual: (formulaId: string) => number,
): Map<string, GoalPlan> {
  const taken = new Map<string, number>()
  const plans = new Map<string, GoalPlan>()
  for (const goal of [...goals].sort((a, b) => a.on.localeCompare(b.on))) {
    const needs = readyAfter(batches, goal.formulaId, usual) + wrapDays
    const coming = comingBy(batches, goal.formulaId, goal.on, today)
    const before = taken.get(goal.formulaId) ?? 0
    const there = Math.min(goal.bars, Math.max(0, coming - before))
    taken.set(goal.formulaId, before + there)
    const missing = goal.bars - there
    plans.set(goal.id, {
      there,
      missing,
      pourBy: missing ? addDays(goal.on, -needs) : null,
      daysLeft: daysBetween(today, goal.on),
      needs,
    })
  }
  return plans
}

/** What a promise loses without the bars of one batch, and which other formula has as many to spare by its day. */
export interface Lacking {
  goal: Goal & { id: string }
  fewer: number
  /** Bars of it that are ready by then and promised to nobody; null where no other formula has enough. */
  instead: { formulaId: string; bars: number } | null
}

/**
 * The promises that count on a batch.
 * @param usual as of {@link plansFor}
 * @example lackingWithout('batch', [{ id: 'market', formulaId: 'formula', what: 'Market', on: '2026-06-01', bars: 20 }], [cut], '2026-03-15', () => 42)
 *   .map(({ fewer, instead }) => ({ fewer, instead })) // [{ fewer: 12, instead: null }]
 */
export function lackingWithout(
  batchId: string,
  goals: readonly (Goal & { id: string })[],
  batches: readonly BatchSummary[],
  today: Day,
  usual: (formulaId: string) => number,
): Lacking[] {
  const rest = batches.filter(({ id }) => id !== batchId)
  const [all, without] = [batches, rest].map((some) => plansFor(goals, some, today, usual))
  return goals.flatMap((goal) => {
    const fewer = all!.get(goal.id)!.there - without!.get(goal.id)!.there
    if (!fewer) return []
    const others = new Set(rest.map(({ formulaId }) => formulaId))
    others.delete(goal.formulaId)
    const spare = [...others].flatMap((formulaId) => {
      const promised = sumOf(
        goals.filter((one) => one.formulaId === formulaId),
        ({ id }) => without!.get(id)!.there,
      )
      const bars = comingBy(rest, formulaId, goal.on, today) - promised
      return formulaId && bars >= fewer ? [{ formulaId, bars }] : []
    })
    spare.sort((a, b) => b.bars - a.bars)
    return [{ goal, fewer, instead: spare[0] ?? null }]
  })
}
