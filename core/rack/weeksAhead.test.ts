import { describe, expect, it } from 'vitest'
import type { NewBatchEvent } from '#contracts/batch'
import { batchOf, told } from '../../tests/support/batchOf'
import { plankOf } from './planks'
import { standingOf } from './standing'
import { weeksAhead } from './weeksAhead'

const poured = (day: string, ...more: NewBatchEvent[]) =>
  batchOf(
    [{ kind: 'poured', day } as const, { kind: 'cut', day, bars: 10 } as never, ...more].map(told),
  )

describe('what gets ready week by week', () => {
  // 18 March 2026 is a Wednesday.
  const today = '2026-03-18'

  it('begins on the workshop’s first day of the week and counts what is left on the racks', () => {
    // 42 days from 8 February are 22 March, the Sunday of this week; from 9 February the Monday after.
    const all = [poured('2026-02-08'), poured('2026-02-09')]
    const { weeks, later } = weeksAhead(all, today, 12)
    expect(weeks).toHaveLength(12)
    expect(weeks[0]).toMatchObject({ from: '2026-03-16', onRacks: 10 })
    expect(weeks.map(({ ripening }) => ripening.length).slice(0, 3)).toEqual([1, 1, 0])
    expect([weeks[1]!.onRacks, later]).toEqual([0, []])
    // Where weeks begin on Sunday, the 22nd is next week.
    const fromSunday = weeksAhead(all, today, 12, 0).weeks
    expect(fromSunday[0]).toMatchObject({ from: '2026-03-15', onRacks: 20, ripening: [] })
    expect(fromSunday[1]!.ripening).toHaveLength(2)
    // On a Sunday a week from Monday is six days old.
    expect(weeksAhead(all, '2026-03-22', 1).weeks[0]!.from).toBe('2026-03-16')
  })

  it('what is planned is taken as poured today, what comes after the last week is told apart', () => {
    const { weeks, later } = weeksAhead([batchOf([])], today, 6)
    // 42 days from Wednesday are Wednesday six weeks on: the seventh week.
    expect(weeks.flatMap(({ ripening }) => ripening)).toEqual([])
    expect(later).toMatchObject([{ planned: true, on: '2026-04-29' }])
    expect(weeksAhead([batchOf([])], today, 7).weeks[6]!.ripening).toHaveLength(1)
  })

  it('what has cured untested waits below the mantle and is to be ready this week', () => {
    const untested = poured('2026-01-01')
    const standing = standingOf(untested, today)
    expect([standing.stage, plankOf(untested, standing)]).toEqual(['ready', 'last-weeks'])
    expect(weeksAhead([untested], today, 1).weeks[0]!.ripening).toMatchObject([{ on: today }])
    const tested = poured('2026-01-01', {
      kind: 'strip',
      day: '2026-01-03',
      ph: 9,
      where: 'lather',
    } as never)
    expect(plankOf(tested, standingOf(tested, today))).toBe('ready')
    expect(weeksAhead([tested], today, 1).weeks[0]!.ripening).toEqual([])
    const trusted = poured('2026-01-01', { kind: 'trusted', day: '2026-01-03' })
    expect(plankOf(trusted, standingOf(trusted, today))).toBe('ready')
    const held = poured('2026-01-01', {
      kind: 'strip',
      day: '2026-01-03',
      ph: 10.5,
      where: 'lather',
    } as never)
    expect(plankOf(held, standingOf(held, today))).toBe('last-weeks')
  })
})
