import { describe, expect, it } from 'vitest'
import { blankFormula } from '../../formula/blank'
import { plannedFrom } from '../../../tests/support/bench'
import { runOf } from './run'
import { standsNow } from './stands'

const fats = [
  { id: 'olive', share: 0.7, moment: 'pot' as const, inLye: true },
  { id: 'coconut', share: 0.3, moment: 'pot' as const, inLye: true },
]
const start = '2026-03-01T09:00:00Z'
/** A plan done as planned up to a step. */
function upTo(until: string, pots = false) {
  const { plan } = plannedFrom(
    {
      ...blankFormula('Slip'),
      fats,
      ...(pots
        ? {
            parts: ['pale', 'mid', 'dark'].map((name, index) => ({
              name,
              share: index ? 0.3 : 0.4,
              scent: true,
              additives: [],
            })),
            method: { ...blankFormula('').method, patterns: ['layers' as const] },
          }
        : {}),
    },
    {},
    1,
  )
  const steps = plan.steps.slice(
    0,
    plan.steps.findIndex(({ id }) => id === until),
  )
  const events = steps.flatMap((step, index) => {
    const at = new Date(Date.parse(start) + index * 60_000).toISOString()
    return [
      ...(step.weigh
        ? [
            {
              id: `s${index}`,
              at,
              kind: 'scooped' as const,
              step: step.id,
              grams: step.weigh.grams,
              typed: true,
            },
          ]
        : []),
      { id: `d${index}`, at, kind: 'done' as const, step: step.id },
    ]
  })
  const stands = standsNow(plan, runOf(plan, start, events))
  return stands.map(({ id, how, lye }) => [id, how, lye] as const)
}

describe('what stands where', () => {
  it('nothing before anything is weighed', () => {
    expect(upTo('weigh:water')).toEqual([])
  })
  it('dry lye in its cup is caustic, the water beside it is not', () => {
    expect(upTo('dissolve')).toEqual([
      ['lye-cup', 'dry lye', true],
      ['lye-jug', '', false],
    ])
  })
  it('dissolved, the cup is empty and the jug holds both', () => {
    expect(upTo('combine')).toEqual([
      ['lye-jug', 'lye solution', true],
      ['pan', 'melted', false],
    ])
    expect(upTo('batter:trace')).toEqual([['pan', 'batter with lye in it', true]])
    expect(upTo('rinse')).toEqual([])
  })
  it('divided, jug and pan are empty; a pot that is poured is too', () => {
    const before = upTo('combine@0', true).map(([id]) => id)
    expect(before).not.toContain('lye-jug')
    expect(before).not.toContain('pan')
    expect(before).toHaveLength(6)
    const after = upTo('combine@1', true).map(([id]) => id)
    expect(after.filter((id) => id.endsWith('@0'))).toEqual([])
    expect(after).toEqual(expect.arrayContaining(['pot@1', 'lye-share@1', 'pot@2', 'lye-share@2']))
  })
})
