import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blendOf } from '../../tests/support/blendOf'
import { workingTime } from '../batter/workingTime'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { libraryWith } from '../materials/own'
import { linesOf, openedFats } from '../materials/opened'
import { formatter } from '../units/formatter'
import { remarksOn } from './index'

/*
 * A blend counts as its parts: what is said of a formula of its fats is said of it, too, when they come out of one bucket.
 */

const line = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })
const soap = (fats: ReturnType<typeof line>[]) => ({
  ...blankFormula('Hostel Bar'),
  superfat: 0.07,
  water: { held: 'ratio' as const, value: 1.7 },
  fats,
})
const say = formatter({ scale: 1 })
function saidOf(fats: ReturnType<typeof line>[], known = library) {
  const document = soap(fats)
  const result = computeFormula(document, known)
  return remarksOn(document, result, known, say)
}

const minutes = (fats: ReturnType<typeof line>[], known = library) =>
  workingTime(soap(fats), computeFormula(soap(fats), known), known).minutes

describe('what is said of a blend', () => {
  const kinds = ['olive', 'coconut', 'castor', 'lanolin', 'beeswax', 'tallow', 'sunflower']

  it('is what is said of its parts, but for a change that its lines have no room for', () => {
    const shares = fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 7, maxLength: 7 })
    fc.assert(
      fc.property(shares, fc.subarray(kinds, { minLength: 2 }), (weights, chosen) => {
        const all = chosen.reduce((sum, _, place) => sum + weights[place]!, 0)
        const parts = chosen.map((id, place): [string, number] => [id, weights[place]! / all])
        const open = saidOf(parts.map(([id, share]) => line(id, share)))
        const own = libraryWith(library, [], 'us', [blendOf('blend-hostel', parts)])
        const shut = saidOf([line('blend-hostel', 1)], own)
        const said = (remarks: typeof open) =>
          remarks.map(({ id, severity }) => `${severity} ${id}`).sort()
        expect(said(shut)).toEqual(said(open))
        expect(minutes([line('blend-hostel', 1)], own)).toBeCloseTo(
          minutes(parts.map(([id, share]) => line(id, share))),
          6,
        )
      }),
    )
  })

  it('a part of a line is lowered nowhere, a line of its own is', () => {
    const own = libraryWith(library, [], 'us', [
      blendOf('blend-hostel', [
        ['olive', 0.2],
        ['coconut', 0.8],
      ]),
    ])
    const fats = [
      { id: 'blend-hostel', name: 'Hostel blend', share: 0.5, grams: 500 },
      { id: 'coconut', name: 'Coconut oil', share: 0.5, grams: 500 },
    ]
    const opened = openedFats(fats, own)
    expect(opened.map(({ id, grams, line: at, alone }) => [id, grams, at, alone])).toEqual([
      ['olive', 100, 0, false],
      ['coconut', 400, 0, false],
      ['coconut', 500, 1, true],
    ])
    expect(linesOf(opened)).toEqual([])
    expect(linesOf(opened.slice(2))).toEqual([1])
    const heavy = saidOf([line('blend-hostel', 0.5), line('coconut', 0.5)], own)
    expect(heavy.find(({ id }) => id === 'lauric-heavy')!.fix!.label).toMatch(/^Set superfat/)
  })
})
