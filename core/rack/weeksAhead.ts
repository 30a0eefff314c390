import type { BatchSummary } from '#contracts/batch'
import { addDays, daysBetween, weekdayOf, type Day } from '../units/days'
import { sumOf } from '../statistics/sum'
import { isDrying, standingOf, type Standing } from './standing'
import { plankOf } from './planks'

/** Bars that get ready on a day. */
export interface Ripening {
  batch: BatchSummary
  standing: Standing
  bars: number
  on: Day
  /** Not poured yet: the day is right if it is poured today. */
  planned: boolean
}
export interface WeekAhead {
  from: Day
  ripening: Ripening[]
  /** Bars on the racks when the week ends: those that are not ready by then. */
  onRacks: number
}

/**
 * What gets ready week by week, this week first, and what only later. What has cured untested gets ready this week, once it is
 * tested; what is planned is taken as poured today.
 * @param firstDay first day of a week, 0 for Sunday
 * @example weeksAhead([cut], '2026-03-16', 12).weeks[3].ripening[0].bars // 12
 */
export function weeksAhead(
  batches: readonly BatchSummary[],
  today: Day,
  weeks: number,
  firstDay = 1,
): { weeks: WeekAhead[]; later: Ripening[] } {
  const ripening = batches
    .flatMap((batch): Ripening[] => {
      const standing = standingOf(batch, today)
      const planned = standing.stage === 'planned'
      const plank = plankOf(batch, standing)
      if (plank === 'ready' || plank === 'left') return []
      const on = planned ? addDays(today, batch.cure.days) : standing.readyOn!
      return [{ batch, standing, bars: standing.bars, on: on < today ? today : on, planned }]
    })
    .sort((a, b) => a.on.localeCompare(b.on))
  const from = addDays(today, -((weekdayOf(today) - firstDay + 7) % 7))
  const nth = ({ on }: Ripening) => Math.floor(daysBetween(from, on) / 7)
  const there = ripening.filter(({ standing }) => isDrying(standing))
  return {
    weeks: Array.from({ length: weeks }, (_, week) => ({
      from: addDays(from, week * 7),
      ripening: ripening.filter((one) => nth(one) === week),
      onRacks: sumOf(
        there.filter((one) => nth(one) > week),
        ({ bars }) => bars,
      ),
    })),
    later: ripening.filter((one) => nth(one) >= weeks),
  }
}
