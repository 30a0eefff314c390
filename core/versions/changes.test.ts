import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { blankFormula } from '../formula/blank'
import { changesBetween, inOneLine } from './changes'
import { compareWeights } from './compare'
import { computeFormula } from '../formula/compute'
import { sumOf } from '../statistics/sum'

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
const before = {
  ...blankFormula('Estuary Hands'),
  fats: [fat('olive', 0.6), fat('coconut', 0.3), fat('castor', 0.1)],
}
const changes = (after: typeof before) => changesBetween(before, after, library, formatter())

describe('what changed', () => {
  it('is nothing between a formula and itself', () => {
    expect(changes(before)).toEqual([])
    expect(inOneLine([])).toBe('Nothing changed.')
  })

  it('tells shares, what joined and what left', () => {
    const after = { ...before, fats: [fat('olive', 0.55), fat('coconut', 0.3), fat('shea', 0.15)] }
    expect(changes(after)).toEqual([
      'olive oil 60 % → 55 %',
      'shea butter 15 % joined',
      'without castor oil',
    ])
  })

  it('tells superfat, water, scent, size, temperatures', () => {
    const after = {
      ...before,
      superfat: 0.08,
      water: { held: 'strength' as const, value: 0.33 },
      scents: [
        {
          id: 'salt-marsh',
          name: 'Salt marsh',
          rate: 0.03,
          of: 'oils' as const,
          moment: 'trace' as const,
        },
      ],
      size: { by: 'oils' as const, grams: 1500 },
      method: { ...before.method, lyeC: 30 },
    }
    expect(changes(after)).toEqual([
      'superfat 5 % → 8 %',
      'water 2.2 : 1 → 33 % lye strength',
      'Salt marsh 3 % of oils joined',
      'oils 1,000 g → 1,500 g',
      'lye at 35 °C → 30 °C',
    ])
    expect(inOneLine(changes(after), 2)).toBe(
      'Superfat 5 % → 8 %; water 2.2 : 1 → 33 % lye strength; and 3 more.',
    )
  })

  it('keeps two lines of one fat apart', () => {
    const twice = { ...before, fats: [...before.fats, fat('olive', 0)] }
    expect(changesBetween(twice, before, library, formatter())).toEqual(['without olive oil'])
  })
})

describe('two formulas side by side', () => {
  it('has every gram of both, and the sums are the batters', () => {
    const after = { ...before, fats: [fat('olive', 0.5), fat('lard', 0.5)], superfat: 0.07 }
    const [one, other] = [computeFormula(before, library), computeFormula(after, library)]
    const lines = compareWeights(one, other)
    const sum = (side: 0 | 1) => sumOf(lines, (line) => line.grams[side] ?? 0)
    expect(sum(0)).toBeCloseTo(one.batter, 9)
    expect(sum(1)).toBeCloseTo(other.batter, 9)
    expect(lines.find(({ key }) => key === 'fat lard')).toMatchObject({ grams: [null, 500] })
  })

  it('keeps oil that a colour is dispersed in apart from the fat of the same name', () => {
    const coloured = {
      ...before,
      additives: [
        {
          id: 'activated-charcoal',
          grams: 10,
          carrier: { id: 'olive', ratio: 3, from: 'extra' as const },
        },
      ],
    }
    const [one, other] = [computeFormula(before, library), computeFormula(coloured, library)]
    const olive = compareWeights(one, other).filter(({ id }) => id === 'olive')
    expect(olive.map(({ name, grams }) => [name, ...grams])).toEqual([
      ['Olive oil', 600, 600],
      ['Olive oil, extra to disperse in', null, 30],
    ])
  })
})
