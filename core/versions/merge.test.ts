import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { anyFormula } from '../../tests/support/anyFormula'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { blankFormula } from '../formula/blank'
import { mergeFormulas, mergePlaces } from './merge'
import { runs } from '../../tests/support/runs'

const say = formatter({ locale: 'en-GB' })
const hostel: FormulaDocument = {
  ...blankFormula('Hostel Bar'),
  fats: [
    { id: 'olive', share: 0.43, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.25, moment: 'pot', inLye: true },
    { id: 'tallow', share: 0.32, moment: 'pot', inLye: true },
  ],
  scents: [{ id: 'fir', name: 'Fir & smoke', rate: 0.032, moment: 'trace' }],
  superfat: 0.06,
}
const idris: FormulaDocument = {
  ...hostel,
  fats: [{ ...hostel.fats[0]!, share: 0.4 }, { ...hostel.fats[1]!, share: 0.28 }, hostel.fats[2]!],
  scents: [{ ...hostel.scents[0]!, rate: 0.028 }],
}
const here: FormulaDocument = {
  ...hostel,
  superfat: 0.05,
  water: { held: 'ratio', value: 2 },
  scents: [{ ...hostel.scents[0]!, rate: 0.03 }],
}
const places = mergePlaces(hostel, here, idris, library, say)

describe('two windows that changed one formula', () => {
  it('differ where either changed something, and say who', () => {
    expect(
      places.map(({ says, base, mine, theirs, by }) => [says, base, mine, theirs, by]),
    ).toEqual([
      ['Olive oil', '43 %', '43 %', '40 %', 'theirs'],
      ['Coconut oil, melts at 24 °C', '25 %', '25 %', '28 %', 'theirs'],
      ['Superfat', '6 %', '5 %', '6 %', 'mine'],
      ['Water', '2.2 : 1', '2.0 : 1', '2.2 : 1', 'mine'],
      ['Fir & smoke', '3.2 % of oils', '3 % of oils', '2.8 % of oils', 'clash'],
    ])
  })

  it('go together where only one did; what both did stays as it was until somebody chooses', () => {
    const together = mergeFormulas(hostel, here, idris, {})
    expect(together.fats.map(({ share }) => share)).toEqual([0.4, 0.28, 0.32])
    expect(together).toMatchObject({
      superfat: 0.05,
      water: { value: 2 },
      scents: [{ rate: 0.032 }],
    })
    const chosen = mergeFormulas(hostel, here, idris, {
      'scents fir': 'theirs',
      superfat: 'theirs',
    })
    expect(chosen).toMatchObject({ superfat: 0.06, scents: [{ rate: 0.028 }] })
  })

  it('keep a line that joined and leave out one that was taken out', () => {
    const castor = { id: 'castor', share: 0.05, moment: 'pot', inLye: true } as const
    const joined = { ...idris, fats: [...idris.fats, castor] }
    const out = { ...here, fats: here.fats.filter(({ id }) => id !== 'tallow') }
    expect(mergeFormulas(hostel, out, joined, {}).fats.map(({ id }) => id)).toEqual([
      'olive',
      'coconut',
      'castor',
    ])
  })
})

describe('any three documents', () => {
  it('merge to mine when nothing is theirs, to theirs when nothing is mine, and to a choice when all of it is chosen', () => {
    fc.assert(
      fc.property(anyFormula, anyFormula, anyFormula, (base, mine, theirs) => {
        expect(mergeFormulas(base, mine, base, {})).toEqual(mine)
        const sorted = (document: FormulaDocument) => ({
          ...document,
          ...Object.fromEntries(
            (['fats', 'liquids', 'additives', 'scents', 'parts'] as const).map((list) => [
              list,
              document[list].map((line) => JSON.stringify(line)).sort(),
            ]),
          ),
        })
        expect(sorted(mergeFormulas(base, base, theirs, {}))).toEqual(sorted(theirs))
        const all = (side: 'mine' | 'theirs') =>
          Object.fromEntries(
            mergePlaces(base, mine, theirs, library, say).map(({ key }) => [key, side]),
          )
        expect(sorted(mergeFormulas(base, mine, theirs, all('theirs')))).toEqual(sorted(theirs))
        expect(sorted(mergeFormulas(base, mine, theirs, all('mine')))).toEqual(sorted(mine))
      }),
      runs(20),
    )
  })
})
