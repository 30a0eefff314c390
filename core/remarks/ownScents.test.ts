import type { FormulaDocument } from '#contracts/formula'
import type { KnownScent, Scent, TriedPot } from '#contracts/scent'
import { describe, expect, it } from 'vitest'
import { knownAfter, triedPot } from '../../tests/support/knownScent'
import { workingTime } from '../batter/workingTime'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { applyPatch } from '../formula/patch'
import { library as shipped } from '../materials/library'
import { remarksOn } from './index'

/* What trials of the workshop say of a formula that their scents are in. */

const plain = { olive: 0.45, coconut: 0.25, shea: 0.2, castor: 0.1 }
const formula = (changes: Partial<FormulaDocument> = {}): FormulaDocument => ({
  ...blankFormula('Scented'),
  fats: Object.entries(plain).map(([id, share]) => ({ id, share, moment: 'pot', inLye: true })),
  scents: [{ id: 'lilac', name: 'White lilac', rate: 0.05, of: 'oils', moment: 'trace' }],
  water: { held: 'ratio', value: 2.14 },
  ...changes,
})
const pour = (pattern: FormulaDocument['method']['patterns'][number]) => ({
  parts: [
    { name: 'pale', share: 0.5, scent: true, additives: [] },
    { name: 'dark', share: 0.5, scent: true, additives: [] },
  ],
  method: { ...blankFormula('').method, patterns: [pattern] },
})
const withKnown = (...known: KnownScent[]) => ({
  ...shipped,
  scents: new Map(known.map((one) => [one.id, one])),
})
const after = (pots: TriedPot[], changes: Partial<Scent> = {}) =>
  withKnown(knownAfter('lilac', pots, changes))
const said = (document: FormulaDocument, library = shipped as ReturnType<typeof withKnown>) => {
  const remarks = remarksOn(document, computeFormula(document, library), library)
  return (id: string) => remarks.find((one) => one.id === id)
}
const racer = [triedPot('lilac', 5), triedPot('lilac', 4)]

describe('a scent that raced', () => {
  it('is said where there is nothing to wait for, with how often and at which water', () => {
    expect(said(formula())('scent-raced')).toBeUndefined()
    const remark = said(formula(), after(racer))('scent-raced')!
    expect(remark.severity).toBe('think')
    expect(remark.says).toBe(
      'White lilac was past pouring after 9 min in 2 pots of your own at 2.14 : 1.',
    )
    expect(remark.fix).toBeUndefined()
    expect(said(formula(pour('layers')), after(racer))('scent-raced')).toBeUndefined()
    expect(said(formula(), after([triedPot('lilac', 6)]))('scent-raced')).toBeUndefined()
  })
  it('is tamed by the water that tamed it', () => {
    const library = after([
      ...racer,
      triedPot('lilac', 14, { ratio: 2.8 }),
      triedPot('lilac', 2, { ratio: 1.9 }),
    ])
    const remark = said(formula(), library)('scent-raced')!
    expect(remark.because).toContain('At 2.8 : 1 it was medium only after 14 min')
    const mended = applyPatch(formula(), remark.fix!.patch)
    expect(computeFormula(mended, library).water.ratio).toBeCloseTo(2.8, 6)
    expect(said(mended, library)('scent-raced')).toBeUndefined()
    // With less water than it was tried at, the driest trial counts.
    const dry = formula({ water: { held: 'ratio', value: 1.6 } })
    expect(said(dry, library)('scent-raced')!.says).toContain('4 min in 1 pot of your own at 1.9')
  })
  it('changes the minutes, and says what they rest on', () => {
    const minutes = (library: ReturnType<typeof withKnown>) =>
      workingTime(formula(), computeFormula(formula(), library), library)
    const untold = minutes(withKnown())
    const told = minutes(after(racer))
    expect(untold.unknownScents).toEqual(['White lilac'])
    expect(told.unknownScents).toEqual([])
    expect(told.scents).toMatchObject([{ rests: 'own', pots: 2, says: 'by your own trials' }])
    const [own] = told.scents
    expect(told.minutes / untold.minutes).toBeCloseTo(own!.times, 9)
    expect(own!.times).toBeCloseTo(knownAfter('lilac', racer).effect.factor, 2)
    const word = minutes(after([], { claims: { pace: 'hurries', colour: null, keeps: null } }))
    expect(word.scents[0]).toMatchObject({ rests: 'word', times: Math.exp(-0.9) })
  })
  it('a fine swirl is warned of by it, and its supplier’s word is one of another batter', () => {
    const swirl = formula({ ...pour('hanger-swirl'), water: { held: 'ratio', value: 2.4 } })
    expect(said(swirl, after(racer))('pattern-too-fast')!.because).toContain('white lilac')
    const word = { claims: { pace: 'hurries' as const, colour: null, keeps: null } }
    const dry = formula({ water: { held: 'ratio', value: 1.7 } })
    expect(said(dry, after([], word))('scent-wants-water')!.because).toContain(
      'Its supplier says it hurries',
    )
    expect(said(dry, after(racer, word))('scent-wants-water')).toBeUndefined()
  })
})

describe('what else own trials say', () => {
  it('a calm one where layers must set', () => {
    const calm = after([triedPot('lilac', 60)])
    expect(said(formula(pour('layers')), calm)('scent-calm')!.says).toMatch(
      /White lilac kept 1 pot of your own fluid for 1\.\d times as long as plain/,
    )
    expect(said(formula(pour('in-pot-swirl')), calm)('scent-calm')).toBeUndefined()
    expect(
      said(formula(pour('layers')), after([triedPot('lilac', 33)]))('scent-calm'),
    ).toBeUndefined()
  })
  it('one that noses lost, in place of what its name says', () => {
    const noses = (strength: 0 | 1 | 2 | 3) =>
      after([
        triedPot('lilac', 30, {
          strength: [
            { nose: 'Jo', day: 1, strength: 3 },
            { nose: 'Jo', day: 30, strength },
            { nose: 'Maren', day: 30, strength },
          ],
        }),
      ])
    expect(said(formula(), noses(0))('scent-faded')!.says).toBe(
      'White lilac was gone by day 30 for 2 noses of your own.',
    )
    expect(said(formula(), noses(1))('scent-faded')!.says).toContain('weak by day 30')
    expect(said(formula(), noses(2))('scent-faded')).toBeUndefined()
    const orange = formula({
      scents: [{ id: 'lilac', name: 'Sweet orange', rate: 0.03, of: 'oils', moment: 'trace' }],
    })
    expect(said(orange)('citrus-fades')).toBeDefined()
    expect(said(orange, noses(3))('citrus-fades')).toBeUndefined()
  })
  it('one that browned, and one whose name only sounds like it', () => {
    const looked = (from: number) =>
      after([
        triedPot('lilac', 30, {
          colour: [{ day: 90, from, swatch: '#a5753f', plain: '#e8dcc0', card: true }],
        }),
      ])
    expect(said(formula(), looked(19))('scent-browned')!.says).toContain('19 from plain on day 90')
    expect(said(formula(), looked(4.9))('scent-browned')).toBeUndefined()
  })
  it('the sheet’s maximum for the use counts, unless the line has its own', () => {
    const library = after([], { maxima: { wash: 0.03, face: 0.01 } })
    expect(said(formula(), library)('scent-without-maximum')).toBeUndefined()
    expect(said(formula(), library)('scent-above-maximum')!.says).toContain('allows 3 %')
    expect(said(formula({ use: 'face' }), library)('scent-above-maximum')!.says).toContain(
      'allows 1 %',
    )
    expect(said(formula({ use: 'baby' }), library)('scent-without-maximum')).toBeDefined()
    const own = formula({ scents: [{ ...formula().scents[0]!, maxOfBar: 0.06 }] })
    expect(said(own, library)('scent-above-maximum')).toBeUndefined()
  })
})
