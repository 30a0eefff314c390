import { describe, expect, it } from 'vitest'
import { scentPace, paceText } from './scentBehaviour'
import { bears, longestFor, poursFor } from './bears'
import { pours } from './patterns'
import { formatter } from '../units/formatter'
import { library as shipped } from '../materials/library'
import { knownAfter, triedPot } from '../../tests/support/knownScent'

describe('what a batter bears', () => {
  it('fluid pours want their minutes, setting ones no more than 1.6 of theirs and enough for a plain pour', () => {
    const swirl = pours['hanger-swirl']
    expect([14.9, 15].map((minutes) => bears(swirl, minutes))).toEqual([false, true])
    const { layers } = pours
    expect(longestFor(layers)).toBe(24)
    expect([4.9, 5, 24, 24.1].map((minutes) => bears(layers, minutes))).toEqual([
      false,
      true,
      true,
      false,
    ])
    expect([4.9, 5, 300].map((minutes) => bears(pours.plain, minutes))).toEqual([false, true, true])
  })
  it('a batter that is thick at once bears none, one that stays for an hour no layers', () => {
    expect(poursFor(3)).toEqual([])
    expect(poursFor(60)).toEqual([
      'plain',
      'in-pot-swirl',
      'drop-pour',
      'hanger-swirl',
      'spun-swirl',
      'drizzle',
    ])
  })
})

describe('on what the pace of a scent rests', () => {
  const say = formatter()
  const at = { rate: 0.05, ratio: 2.14 }
  const text = (id: string, library: Parameters<typeof scentPace>[2] = shipped) =>
    paceText(scentPace({ id, name: id }, at, library)!, say)
  it('own pots are counted, a word is somebody’s', () => {
    const scents = (...all: ReturnType<typeof knownAfter>[]) => ({
      scents: new Map(all.map((one) => [one.id, one])),
    })
    const racer = scents(
      knownAfter('Ferry rope', [triedPot('Ferry rope', 5), triedPot('Ferry rope', 4)]),
    )
    expect(text('Ferry rope', racer)).toMatch(
      /^Ferry rope leaves 0\.\d+ of the time, by 2 pots of your own$/,
    )
    const claims = { pace: 'hurries' as const, colour: null, keeps: null }
    expect(text('Hot milk', scents(knownAfter('Hot milk', [], { claims })))).toMatch(
      /^Hot milk leaves .* of the time: its supplier says it hurries$/,
    )
    expect(text('Cedar')).toBe('Cedar keeps still: such oils usually keep still, by its name alone')
  })
})
