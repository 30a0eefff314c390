import type { Colour, ColourSeen } from '#contracts/colour'
import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library as shipped } from '../materials/library'
import { remarksOn } from '../remarks'
import { barColour, partColour } from './colours'
import { extrasIn, rateByCup, ratesIn, seenLike, swatchRows } from './seenColours'

/* What the workshop has seen of its colours, and what follows from it. */

const bar = (rate: number, gelled: boolean, day: number, swatch: string): ColourSeen => ({
  id: `${rate} ${gelled} ${day}`,
  on: `2026-03-${String(day + 1).padStart(2, '0')}`,
  day,
  gelled,
  rate,
  swatch,
  card: true,
  batchId: null,
})
const clay = (changes: Partial<Colour> = {}): Colour => ({
  rate: 0.02,
  carrier: 'water',
  parts: 2,
  bleeds: null,
  note: '',
  seen: [
    bar(0.02, false, 3, '#dcb4a2'),
    bar(0.02, false, 28, '#d4a791'),
    bar(0.02, true, 28, '#bb8068'),
    bar(0.005, true, 28, '#e0c0b0'),
  ],
  ...changes,
})
const withColour = (colour: Colour) => ({
  ...shipped,
  colours: new Map([['rose-clay', colour]]),
})
const line = (rate: number): FormulaDocument['additives'][number] => ({
  id: 'rose-clay',
  rate,
  of: 'oils',
  carrier: null,
})
const formula = (changes: Partial<FormulaDocument> = {}): FormulaDocument => ({
  ...blankFormula('Rose'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
  additives: [line(0.02)],
  ...changes,
})
const gel = (how: 'force' | 'prevent' | 'leave') => ({ ...blankFormula('').method, gel: how })

describe('a colour that somebody has looked at', () => {
  it('draws bars as they came out: by gel, then by the nearest rate, then the oldest bar', () => {
    const library = withColour(clay())
    expect(barColour(formula({ method: gel('prevent') }), library)).toBe('#d4a791')
    expect(barColour(formula({ method: gel('force') }), library)).toBe('#bb8068')
    // 1 % lies as far from 2 % as from 0.5 %; 0.9 % is nearer to the paler one.
    expect(barColour(formula({ method: gel('force'), additives: [line(0.009)] }), library)).toBe(
      '#e0c0b0',
    )
    expect(barColour(formula({ method: gel('force'), additives: [line(0.011)] }), library)).toBe(
      '#bb8068',
    )
    const part = { name: 'rose', share: 1, scent: true, additives: [line(0.02)] }
    const divided = formula({ additives: [], parts: [part], method: gel('prevent') })
    expect(partColour(divided, part, library)).toBe('#d4a791')
  })
  it('is not needed: without a bar the powder’s own colour tints, and a rate that is not known is the usual one', () => {
    const plain = barColour(formula(), shipped)
    expect(barColour(formula(), withColour(clay({ seen: [] })))).toBe(plain)
    expect(seenLike(clay(), { rate: null, gelled: true })!.swatch).toBe('#bb8068')
    expect(seenLike(clay({ rate: 0.005 }), { rate: null, gelled: true })!.swatch).toBe('#e0c0b0')
    const onlyRaw = clay({ seen: [bar(0.02, false, 3, '#dcb4a2')] })
    expect(seenLike(onlyRaw, { rate: 0.02, gelled: true })!.swatch).toBe('#dcb4a2')
  })
  it('stands in rows, the strongest first, gelled before not, from fresh to old', () => {
    expect(
      swatchRows(clay().seen).map(({ rate, gelled, seen }) => [
        rate,
        gelled,
        seen.map(({ day }) => day),
      ]),
    ).toEqual([
      [0.02, true, [28]],
      [0.02, false, [3, 28]],
      [0.005, true, [28]],
    ])
  })
})

describe('how much of a colour', () => {
  it('is by pot: 20 g in all, half a pot’s oils each, one with 6 g more', () => {
    const document = formula({
      parts: [
        { name: 'pale', share: 0.5, scent: true, additives: [] },
        { name: 'dark', share: 0.5, scent: true, additives: [line(0.01)] },
      ],
    })
    const rates = ratesIn('rose-clay', computeFormula(document, shipped))
    expect(rates[0]).toBeCloseTo(0.03, 6)
    expect(rates[1]).toBeCloseTo(0.02, 6)
    expect([...extrasIn(document)]).toEqual(['rose-clay'])
  })
  it('by its cup: 18 g lighter, of which a third is colour, in 600 g of oils', () => {
    expect(rateByCup({ before: 61.5, after: 43.5, parts: 2, oils: 600 })).toBeCloseTo(0.01, 9)
    expect(rateByCup({ before: 61.5, after: 43.5, parts: 0, oils: 600 })).toBeCloseTo(0.03, 9)
    expect(rateByCup({ before: 43.5, after: 43.5, parts: 2, oils: 600 })).toBeNull()
    expect(rateByCup({ before: 61.5, after: 43.5, parts: 2, oils: 0 })).toBeNull()
  })
})

describe('a colour that bled', () => {
  const said = (colour: Colour, rate: number) => {
    const document = formula({ additives: [line(rate)] })
    const library = withColour(colour)
    return remarksOn(document, computeFormula(document, library), library).find(
      ({ id }) => id === 'colour-bled',
    )?.says
  }
  it('is said from the rate at which it did, and not below', () => {
    const bled = clay({ bleeds: 'stains' })
    expect(said(bled, 0.02)).toBe(
      'Rose clay coloured lather and cloth in bars of your own at 2 % of the pot’s oils; here it is 2 %.',
    )
    expect(said(bled, 0.019)).toBeUndefined()
    expect(said(clay({ bleeds: 'tints', rate: null }), 0.001)).toContain('tinted the lather')
    expect(said(clay({ bleeds: 'no' }), 0.05)).toBeUndefined()
    expect(said(clay(), 0.05)).toBeUndefined()
  })
})
