import { describe, expect, it } from 'vitest'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { formatter } from '../units/formatter'
import { flagsOf, flagsText, type FlagId } from './flags'
import { library } from './library'
import { libraryWith, recordOf } from './own'

const of = (fats: Record<string, number>, changes: Partial<FormulaDocument> = {}) => {
  const document: FormulaDocument = {
    ...blankFormula('Flagged'),
    fats: Object.entries(fats).map(([id, share]) => ({ id, share, moment: 'pot', inLye: true })),
    ...changes,
  }
  return flagsOf(document, computeFormula(document, library), library)
}
const ids = (...of_: Parameters<typeof of>) => of(...of_).map(({ id }) => id)
const scented = (name: string): Partial<FormulaDocument> => ({
  scents: [{ id: 's', name, rate: 0.03, of: 'oils', moment: 'trace' }],
})
const extra = (id: string): Partial<FormulaDocument> => ({
  additives: [{ id, rate: 0.02, of: 'oils', carrier: null }],
})

describe('for whom something in a bar matters', () => {
  it('a bar of olive and coconut is for everybody', () => {
    expect(of({ olive: 0.7, coconut: 0.3 })).toEqual([])
  })
  it.each<[string, Record<string, number>, string[]]>([
    ['almond', { olive: 0.9, 'sweet-almond': 0.1 }, ['nut']],
    ['shea', { olive: 0.9, shea: 0.1 }, ['nut']],
    ['peanut is no tree nut', { olive: 0.9, peanut: 0.1 }, ['peanut']],
    ['sesame', { olive: 0.9, sesame: 0.1 }, ['sesame']],
    ['soya', { olive: 0.9, 'soy-wax': 0.1 }, ['soya']],
    ['wheat germ', { olive: 0.9, 'wheat-germ': 0.1 }, ['wheat']],
    ['wool fat', { olive: 0.9, lanolin: 0.1 }, ['lanolin', 'animal']],
    ['tar', { olive: 0.9, 'pine-tar': 0.1 }, ['rosin']],
    ['beeswax', { olive: 0.97, beeswax: 0.03 }, ['bee']],
    ['butter', { olive: 0.9, butterfat: 0.1 }, ['milk', 'animal']],
    ['tallow', { olive: 0.5, tallow: 0.5 }, ['animal']],
    ['stearic acid, nobody knows', { olive: 0.9, 'stearic-acid': 0.1 }, ['maybeAnimal']],
  ])('%s', (_, fats, wanted) => {
    expect(ids(fats)).toEqual(wanted)
  })
  it.each<[string, Partial<FormulaDocument>, string[]]>([
    [
      'goat milk',
      { liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }] },
      ['milk'],
    ],
    [
      'coconut milk is none',
      { liquids: [{ id: 'coconut-milk', share: 0.4, moment: 'oils', way: 'poured' }] },
      [],
    ],
    ['milk powder', extra('goat-milk-powder'), ['milk']],
    ['oats', extra('colloidal-oatmeal'), ['wheat']],
    ['honey', extra('honey'), ['bee']],
    ['egg', extra('egg-yolk'), ['egg']],
    ['silk', extra('silk'), ['animal']],
    ['rosemary', scented('Rosemary'), ['pregnancy', 'babies']],
    ['peppermint', scented('Peppermint'), ['babies', 'pets']],
    ['a lavender', scented('Lavender'), []],
    ['peppermint in laundry soap', { ...scented('Peppermint'), use: 'laundry' }, []],
  ])('%s', (_, changes, wanted) => {
    expect(ids({ olive: 0.7, coconut: 0.3 }, changes)).toEqual(wanted)
  })
  it('the oil that a colour is stirred into counts, nothing of nothing does not', () => {
    const colour = (ratio: number): Partial<FormulaDocument> => ({
      additives: [
        {
          id: 'titanium-dioxide',
          rate: 0.005,
          of: 'oils',
          carrier: { id: 'sweet-almond', ratio, from: 'extra' },
        },
      ],
    })
    expect(ids({ olive: 1 }, colour(3))).toEqual(['nut'])
    expect(ids({ olive: 1, 'sweet-almond': 0 })).toEqual([])
  })
  it.each<[string, FlagId[]]>([
    ['Local tallow', ['animal']],
    ['Vegan tallow', []],
    ['Groundnut oil from the mill', ['peanut']],
    ['Black sesame oil', ['sesame']],
    ['Wool fat', ['lanolin']],
    ['Colophony', ['rosin']],
    ['House olive', []],
  ])('a fat of one’s own is told by its name: %s', (name, wanted) => {
    const own = { ...recordOf(library.fats.get('olive')!), id: 'own-fat', name, origin: [] }
    const ours = libraryWith(library, [own])
    const document: FormulaDocument = {
      ...blankFormula('Own'),
      fats: [{ id: 'own-fat', share: 1, moment: 'pot', inLye: true }],
    }
    const flags = flagsOf(document, computeFormula(document, ours), ours)
    expect(flags.map(({ id }) => id)).toEqual(wanted)
  })
  it('is said with what brings it', () => {
    const flags = of({ olive: 0.6, tallow: 0.2, 'sweet-almond': 0.1, shea: 0.1 })
    expect(flagsText(flags, formatter({}))).toBe(
      'Tree nuts (sweet almond oil, shea butter), Animal fat (beef tallow)',
    )
  })
})
