import { describe, expect, it } from 'vitest'
import { scaleCheckDue, scaleOff } from './scaleCheck'

const checked = (shown: number, mass = 200) => ({ day: '2026-03-01', mass, shown })

describe('a known mass on the scale', () => {
  it('is asked for where nobody did it, and again after thirty days', () => {
    expect(scaleCheckDue(null, '2026-03-01')).toBe(true)
    expect(scaleCheckDue(checked(200), '2026-03-30')).toBe(false)
    expect(scaleCheckDue(checked(200), '2026-03-31')).toBe(true)
  })
  it('is off only by more than a step of the scale and half of what lye may miss by', () => {
    // A quarter of a per cent of 200 g is 0.5 g.
    expect(scaleOff(checked(200.5), 0.1)).toBeNull()
    expect(scaleOff(checked(200.6), 0.1)).toBeCloseTo(0.003, 9)
    expect(scaleOff(checked(199), 0.1)).toBeCloseTo(-0.005, 9)
    // A kitchen scale of 1 g cannot say more than a gram.
    expect(scaleOff(checked(201), 1)).toBeNull()
    expect(scaleOff(checked(202), 1)).toBeCloseTo(0.01, 9)
  })
})
