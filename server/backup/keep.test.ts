import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toLetGo, type Dated } from './keep'

const dayAt = (offset: number) =>
  new Date(Date.UTC(2026, 10, 25) - offset * 86_400_000).toISOString().slice(0, 10)
const daily = (days: number): Dated[] =>
  Array.from({ length: days }, (_, ago) => ({ name: `mantle-${dayAt(ago)}.zip`, day: dayAt(ago) }))
const kept = (archives: Dated[]) => {
  const gone = new Set(toLetGo(archives))
  return archives.filter(({ name }) => !gone.has(name)).map(({ day }) => day)
}

describe('archives that stay', () => {
  it('after two years of daily ones: seven days, the Sundays before, the last days of months', () => {
    expect(kept(daily(730))).toEqual([
      // Wednesday 25 November and the six days before it
      ...[0, 1, 2, 3, 4, 5, 6].map(dayAt),
      // last day of the week of the 9th; that of the week of the 16th is the 22nd, among the seven
      '2026-11-15',
      '2026-11-08',
      '2026-10-31',
      '2026-09-30',
      '2026-08-31',
      '2026-07-31',
      '2026-06-30',
      '2026-05-31',
      '2026-04-30',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
      '2025-12-31',
    ])
  })

  it('always have the newest among them, and never more than 23', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1 }), (offsets) => {
        const archives = offsets.map((ago, n) => ({ name: `${dayAt(ago)}-${n}`, day: dayAt(ago) }))
        const days = kept(archives)
        expect(days).toContain(dayAt(Math.min(...offsets)))
        expect(days.length).toBeLessThanOrEqual(23)
        expect(new Set(days).size).toBe(days.length)
      }),
    )
  })

  it('are the same when tidied twice', () => {
    const once = daily(400).filter(({ day }) => kept(daily(400)).includes(day))
    expect(toLetGo(once)).toEqual([])
  })
})
