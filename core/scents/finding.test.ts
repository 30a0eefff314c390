import type { Scent, TriedPot } from '#contracts/scent'
import { describe, expect, it } from 'vitest'
import { knownAfter, triedPot } from '../../tests/support/knownScent'
import { formatter } from '../units/formatter'
import { atNearest, byWater } from './byWater'
import { clockText, findingOf, strengthText } from './finding'

/* What is said first of a scent that was tried. */

const say = formatter()
const of = (pots: readonly TriedPot[], changes: Partial<Scent> = {}) =>
  findingOf(knownAfter('lilac', pots, changes), say)
const pot = (medium: number, changes: Partial<TriedPot> = {}) => triedPot('lilac', medium, changes)
const colour = (from: number, day = 90) => ({
  colour: [{ day, from, swatch: '#000000', plain: '#ffffff', card: true }],
})
const smelt = (...byDay: [day: number, strength: 0 | 1 | 2 | 3][]) => ({
  strength: byDay.map(([day, strength]) => ({ nose: 'Jo', day, strength })),
})

describe('what a scent did, said first', () => {
  it('was not tried, or says its minutes and how many pots', () => {
    expect(of([])).toEqual({ says: 'Not tried here', more: '', minutes: null })
    expect(of([pot(20)])).toEqual({ says: '20 min to medium', more: '1 pot', minutes: 20 })
    expect(of([pot(20), pot(24)])).toMatchObject({ says: '22 min to medium', more: '2 pots' })
  })
  it('never got there within the hour', () => {
    expect(of([pot(30, { stages: {} })])).toMatchObject({
      says: 'over an hour to medium',
      minutes: null,
    })
  })
  it('speaks of the water that most pots were tried at', () => {
    const wetter = [pot(30, { ratio: 2.8 }), pot(34, { ratio: 2.8 })]
    expect(of([pot(10), ...wetter]).minutes).toBe(32)
    expect(of([...wetter, pot(10)]).minutes).toBe(32)
    expect(of([pot(10), pot(30, { ratio: 2.8 })]).minutes).toBe(10)
  })
  it('seizes before all else, at the minute it did', () => {
    expect(of([pot(4, { seized: 4.9, riced: { from: 1, to: 2 } })]).says).toBe('seizes at 4:54')
  })
  it('rices: for how long where that is long, and from when it is smooth', () => {
    expect(of([pot(12, { riced: { from: 2, to: 5 } })])).toMatchObject({
      says: '12 min, rices for 3 min',
      more: 'smooth from 5:00 · 1 pot',
    })
    expect(of([pot(12, { riced: { from: 2, to: 4.9 } })]).says).toBe('12 min to medium, rices')
    expect(of([pot(12, { riced: { from: 2, to: null } })])).toMatchObject({
      says: '12 min to medium, rices',
      more: '1 pot',
    })
    expect(of([pot(12, { riced: { from: 2, to: 9 }, stages: {} })]).says).toBe(
      'over an hour, rices for 7 min',
    )
  })
  it('turns tan from 5 on and brown from 10 on, by the last photo', () => {
    expect(of([pot(20, colour(4.9))])).toMatchObject({ says: '20 min to medium', more: '1 pot' })
    expect(of([pot(20, colour(5))])).toMatchObject({
      says: '20 min, turns tan',
      more: '5 from plain · 1 pot',
    })
    expect(of([pot(20, colour(9.9))]).says).toBe('20 min, turns tan')
    expect(of([pot(20, colour(10))]).says).toBe('20 min, browns the bar')
    const back = [...colour(12, 14).colour, ...colour(3, 90).colour]
    expect(of([pot(20, { colour: back })]).says).toBe('20 min to medium')
  })
  it('loosens; is gone early; colour speaks before both', () => {
    expect(of([pot(20, { loosened: true })]).says).toBe('20 min, loosens the batter')
    expect(of([pot(20, { loosened: true, ...colour(6) })]).says).toBe('20 min, turns tan')
    expect(of([pot(20, smelt([1, 3], [30, 1]))]).says).toBe('20 min, gone by day 30')
    expect(of([pot(20, smelt([1, 3], [30, 2], [60, 1]))]).says).toBe('20 min to medium')
  })
  it('and beneath: calmer than plain, for what must set, how strong of late; two things at most', () => {
    expect(of([pot(45)]).more).toBe('calmer than plain · 1 pot')
    expect(of([pot(35)]).more).toBe('1 pot')
    expect(of([pot(5), pot(5)]).more).toBe('for layers that must set · 2 pots')
    expect(of([pot(5), pot(5, { riced: { from: 1, to: 2 } })]).more).not.toContain('layers')
    expect(of([pot(5), pot(5, { seized: 5 })]).more).not.toContain('layers')
    expect(of([pot(20, smelt([1, 3], [14, 2]))]).more).toBe('clear on day 14')
    expect(of([pot(20, smelt([1, 3]))]).more).toBe('1 pot')
    expect(of([pot(45, { ...colour(6), ...smelt([14, 3]) })]).more).toBe(
      '6 from plain · calmer than plain',
    )
  })
  it('clocks and words', () => {
    expect([0, 0.99, 59.999].map(clockText)).toEqual(['0:00', '0:59', '60:00'])
    expect([0, 0.4, 0.5, 1.4, 1.5, 2.4, 2.5, 3].map(strengthText)).toEqual([
      'gone',
      'gone',
      'weak',
      'weak',
      'clear',
      'clear',
      'strong',
      'strong',
    ])
  })
})

describe('by water', () => {
  const at = (ratio: number, medium: number | null, stiff: number | null = null) => ({
    ratio,
    medium,
    stiff,
  })
  it('the driest first, pots of nearly one water together, the middle of those that got there', () => {
    const waters = byWater({
      tried: [at(2.8, 14, 30), at(1.9, 3, 6), at(2.82, 20, null), at(2.8, null), at(2.1, 5, 11)],
    })
    expect(waters).toEqual([
      { ratio: 1.9, pots: 1, medium: 3, stiff: 6 },
      { ratio: 2.1, pots: 1, medium: 5, stiff: 11 },
      { ratio: 2.8, pots: 3, medium: 17, stiff: 30 },
    ])
    expect(atNearest(waters, 2)?.ratio).toBe(1.9)
    expect(atNearest(waters, 2.2)?.ratio).toBe(2.1)
    expect(atNearest(waters, 9)?.ratio).toBe(2.8)
    expect(atNearest([...waters].reverse(), 0.5)?.ratio).toBe(1.9)
    expect(atNearest([], 2)).toBeNull()
    expect(byWater({ tried: [at(2, null)] })[0]).toMatchObject({ medium: null, stiff: null })
  })
})
