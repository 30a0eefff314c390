import type { Out } from '#contracts/rackWords'
import type { Day } from '../units/days'

/** What happened to money and bars on a day. */
export type YearFact =
  | { day: Day; kind: 'made'; bars: number }
  | { day: Day; kind: 'gone'; bars: number; how: Out; money: number }
  | { day: Day; kind: 'spent'; on: SpentOn; money: number }

/** What money is spent on, as the year is drawn. */
export const spentOns = ['fats', 'lye', 'scents', 'wraps', 'other'] as const
export type SpentOn = (typeof spentOns)[number]

export interface YearMonth {
  /** As 2026-11. */
  month: string
  made: number
  gone: number
  goneBy: Partial<Record<Out, number>>
  /** Bars on the shelves when it ended. */
  here: number
  taken: number
  spent: Partial<Record<SpentOn, number>>
}

const before = (month: string, back: number): string => {
  const [year, number] = month.split('-').map(Number) as [number, number]
  const all = year * 12 + number - 1 - back
  return `${Math.floor(all / 12)}-${String((all % 12) + 1).padStart(2, '0')}`
}

/**
 * Twelve months to the one of a day, by what happened in them.
 * @example yearTo('2026-11-23', [{ day: '2026-11-02', kind: 'made', bars: 12 }]).at(-1).here // 12
 */
export function yearTo(today: Day, facts: readonly YearFact[]): YearMonth[] {
  const months = Array.from({ length: 12 }, (_, place): YearMonth => ({
    month: before(today.slice(0, 7), 11 - place),
    made: 0,
    gone: 0,
    goneBy: {},
    here: 0,
    taken: 0,
    spent: {},
  }))
  const byName = new Map(months.map((month) => [month.month, month]))
  let here = 0
  for (const fact of facts) {
    const month = byName.get(fact.day.slice(0, 7))
    if (!month) {
      if (fact.day < months[0]!.month)
        here += fact.kind === 'made' ? fact.bars : fact.kind === 'gone' ? -fact.bars : 0
      continue
    }
    if (fact.kind === 'made') month.made += fact.bars
    else if (fact.kind === 'gone') {
      month.gone += fact.bars
      month.goneBy[fact.how] = (month.goneBy[fact.how] ?? 0) + fact.bars
      month.taken += fact.money
    } else month.spent[fact.on] = (month.spent[fact.on] ?? 0) + fact.money
  }
  for (const month of months) {
    here += month.made - month.gone
    month.here = here
  }
  return months
}
