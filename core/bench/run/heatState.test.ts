import { expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import type { RunEvent } from '#contracts/run'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { randomSource } from '../../statistics/randomSource'
import { heatState } from './heatState'
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
