import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { NewRunEvent, RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { randomSource } from '../../statistics/randomSource'
import { forecastC, heatState } from './heatState'
import { runOf } from './run'

const document: FormulaDocument = {
  ...blankFormula('Block'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
}
const { ctx, plan } = plannedFrom(document)
const start = '2026-11-23T09:00:00.000Z'
let count = 0
const at = (minutes: number, event: object): RunEvent =>
  ({
    ...event,
    id: `00000000-0000-7000-8000-${String(count++).padStart(12, '0')}`,
    at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
  }) as RunEvent
const dissolved = at(10, { kind: 'done', step: 'dissolve' })
const read = (minutes: number, celsius: number) =>
  at(minutes, { kind: 'read', vessel: 'lye', celsius, typed: true })
const heatAt = (now: number, ...events: RunEvent[]) =>
  heatState(ctx, plan, runOf(plan, start, [dissolved, ...events]), now, randomSource(1))

it('a jug that was first read when it had cooled had no peak, and its lye is not suspected', () => {
  expect(heatAt(50, read(45, 41))).toMatchObject({ peak: null, weakLye: false, lye: 41 })
  expect(heatAt(50, read(8, 85), read(45, 41))).toMatchObject({ peak: 85, weakLye: false })
})

it('one that was read in time and never got warm is suspected once it has passed its peak', () => {
  const low = plan.peak.low - 20
  expect(heatAt(11, read(9, low))).toMatchObject({ peak: low, weakLye: false })
  expect(heatAt(15.1, read(9, low))).toMatchObject({ peak: low, weakLye: true })
  expect(heatAt(11, read(9, low), read(10.5, low - 2)).weakLye).toBe(true)
  expect(heatAt(20, read(9, plan.peak.low + 1)).weakLye).toBe(false)
})

describe('the heat of a run', () => {
  const planned = plannedFrom(
    {
      ...blankFormula('Slip'),
      fats: [
        { id: 'tallow', share: 0.3, moment: 'pot', inLye: true },
        { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
      ],
    },
    {},
    1,
  )
  const { ctx, plan } = planned
  const start = '2026-03-01T09:00:00.000Z'
  let number = 0
  const told = (event: NewRunEvent, minutes: number): RunEvent =>
    ({
      ...event,
      id: `h${number++}`,
      at: new Date(Date.parse(start) + minutes * 60_000).toISOString(),
    }) as RunEvent
  const read = (vessel: 'lye' | 'oils', minutes: number, celsius: number) =>
    told({ kind: 'read', vessel, celsius, typed: true }, minutes)
  const done = (step: string, minutes: number) => told({ kind: 'done', step }, minutes)
  const at = (now: number, ...events: RunEvent[]) =>
    heatState(
      ctx,
      plan,
      runOf(
        plan,
        start,
        [...events].sort((a, b) => a.at.localeCompare(b.at)),
      ),
      now,
      randomSource(1),
    )
  /** Newton's law in a room of 20 °C, 2 % a minute. */
  const falls = (from: number, minutes: number) => 20 + (from - 20) * Math.exp(-0.02 * minutes)
  const cooling = (vessel: 'lye' | 'oils', since: number, from: number, until = 12) =>
    Array.from({ length: until }, (_, index) => read(vessel, since + index, falls(from, index)))

  it('is nothing before anything is read', () => {
    const heat = at(5)
    expect(heat).toMatchObject({
      lye: null,
      oils: null,
      peak: null,
      meeting: null,
      advice: null,
      weakLye: false,
    })
    expect(heat.curves).toEqual({ lye: null, oils: null })
    expect(forecastC(heat, 'lye', 9)).toBeNull()
  })

  it('fits what falls, from the hottest reading on, and foretells by it', () => {
    // It rises for four minutes first: those say nothing of the cooling.
    const rises = [0, 1, 2, 3].map((minute) => read('lye', 1 + minute, 30 + 15 * minute))
    const heat = at(17, done('dissolve', 5), ...rises, ...cooling('lye', 5, 80))
    expect(heat.lye).toBeCloseTo(falls(80, 11), 6)
    expect(heat.peak).toBeCloseTo(80, 6)
    expect(heat.curves.lye!.from).toBe(5)
    expect(forecastC(heat, 'lye', 30)!).toBeGreaterThan(falls(80, 25) - 3)
    expect(forecastC(heat, 'lye', 30)!).toBeLessThan(falls(80, 25) + 3)
    expect(heat.oils).toBeNull()
    expect(forecastC({ ...heat, oils: 41 }, 'oils', 30)).toBe(41)
  })

  it('foretells the meeting only once the lye is made and the fats are melted', () => {
    const both = [...cooling('lye', 6, 76), ...cooling('oils', 6, 70)]
    const melt = plan.steps.find(({ kind }) => kind === 'melt')!.id
    expect(at(20, ...both).meeting).toBeNull()
    expect(at(20, done('dissolve', 5), ...both).meeting).toBeNull()
    expect(at(20, done(melt, 5), ...both).meeting).toBeNull()
    const heat = at(20, done('dissolve', 5), done(melt, 5), ...both)
    // 56 K to 18 K by 2 % a minute: 57 minutes after minute 6.
    expect(heat.meeting!.at!).toBeGreaterThan(50)
    expect(heat.meeting!.at!).toBeLessThan(76)
    // More than three quarters of an hour: an ice bath is offered.
    expect(heat.advice).toMatchObject({ does: 'ice' })
  })

  it('a vessel in ice cools towards the ice, and only from when it went in', () => {
    const melt = plan.steps.find(({ kind }) => kind === 'melt')!.id
    const before = [...cooling('lye', 6, 76, 4), ...cooling('oils', 6, 70, 4)]
    const ice = told({ kind: 'treated', vessel: 'lye', how: 'ice' }, 10)
    const after = [read('lye', 10, falls(76, 4)), read('lye', 11, falls(76, 4) - 6)]
    const base = [done('dissolve', 5), done(melt, 5), ...before]
    const iced = at(12, ...base, ice, ...after)
    expect(iced.curves.lye!.from).toBe(10)
    expect(iced.curves.lye!.roomC).toBeLessThan(10)
    expect(iced.curves.oils!.roomC).toBeGreaterThan(15)
    const plainAir = at(12, ...base)
    expect(forecastC(iced, 'lye', 20)!).toBeLessThan(forecastC(plainAir, 'lye', 20)! - 10)
  })

  it('a jug that peaked far too low is suspected once it has fallen, or five minutes after', () => {
    const low = plan.peak.low - 10
    const suspects = (now: number, ...events: RunEvent[]) =>
      at(now, done('dissolve', 5), ...events).weakLye
    // Still climbing: nobody can say.
    expect(suspects(6, read('lye', 5.5, low))).toBe(false)
    expect(suspects(7, read('lye', 5.5, low), read('lye', 6.5, low - 1))).toBe(false)
    expect(suspects(7, read('lye', 5.5, low), read('lye', 6.5, low - 2))).toBe(true)
    expect(suspects(9.9, read('lye', 5.5, low))).toBe(false)
    expect(suspects(10.1, read('lye', 5.5, low))).toBe(true)
    expect(suspects(10.1, read('lye', 5.5, plan.peak.low))).toBe(false)
    // Before the lye is in there is nothing to suspect.
    expect(at(10, read('lye', 2, low), read('lye', 3, low - 5)).weakLye).toBe(false)
  })

  it('looked at only when it had cooled, it has no peak; a reading within five minutes counts', () => {
    expect(at(30, done('dissolve', 5), read('lye', 10.1, 60)).peak).toBeNull()
    expect(at(30, done('dissolve', 5), read('lye', 9.9, 60)).peak).toBe(60)
  })

  it('made anew, the lye that was thrown away says nothing of the new one', () => {
    const again = told({ kind: 'restarted', because: 'weak' }, 20)
    const heat = at(30, done('dissolve', 5), read('lye', 6, 55), again, read('oils', 21, 50))
    expect(heat).toMatchObject({ lye: null, peak: null, weakLye: false, oils: 50 })
  })
})
