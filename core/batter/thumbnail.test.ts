import type { FormulaDocument } from '#contracts/formula'
import type { Thumbnail } from '#contracts/thumbnail'
import { describe, expect, it } from 'vitest'
import { demoFormulas } from '../../demo/formulas'
import { blankFormula } from '../formula/blank'
import { library } from '../materials/library'
import { barColour, mixHex, partColour, scentColour, soapColour } from './colours'
import { farApart, thumbnailOf, thumbnailsOf, toldApart } from './thumbnail'

const bar: FormulaDocument = {
  ...blankFormula('Bar'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
}
const scent = (name: string) => ({
  id: name.toLowerCase(),
  name,
  rate: 0.03,
  of: 'oils' as const,
  moment: 'trace' as const,
})
const extra = (id: string) => ({ id, grams: 5, carrier: null })
const pot = (changes: object = {}) =>
  ({
    name: 'pot',
    share: 0.5,
    scent: true,
    additives: [],
    ...changes,
  }) as FormulaDocument['parts'][number]
const channels = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16))
const red = (hex: string) => channels(hex)[0]!
/** The same colour but for what rounding twice may shift. */
const near = (is: string, want: string) =>
  channels(is).forEach((channel, at) =>
    expect(Math.abs(channel - channels(want)[at]!), `${is} ${want}`).toBeLessThanOrEqual(1),
  )

describe('the colours of a batter', () => {
  it('are mixed channel by channel', () => {
    expect(mixHex('#000000', '#ffffff', 0.5)).toBe('#808080')
    expect(mixHex('#102030', '#102030', 0.7)).toBe('#102030')
    expect(mixHex('#000000', '#0a0000', 1)).toBe('#0a0000')
  })

  it('of a scent is always the same for its name', () => {
    expect(scentColour('rain')).toMatch(/^#[0-9a-f]{6}$/)
    expect(scentColour('rain')).toBe(scentColour('rain'))
    expect(new Set(['rain', 'fir', 'rose', 'moss'].map((name) => scentColour(name))).size).toBe(4)
  })

  it('soap is paler than its oils, on the way to cream, by share', () => {
    const olive = library.fats.get('olive')!.colour
    expect(soapColour(bar, library)).toBe(mixHex('#f6efde', olive, 0.6))
    const half = {
      ...bar,
      fats: [
        { ...bar.fats[0]!, share: 0.5 },
        { ...bar.fats[0]!, id: 'coconut', share: 0.5 },
      ],
    }
    const mixed = mixHex(olive, library.fats.get('coconut')!.colour, 0.5)
    near(soapColour(half, library), mixHex('#f6efde', mixed, 0.6))
    expect(soapColour({ ...bar, fats: [] }, library)).toBe('#f6efde')
  })

  it('a colourant colours the whole bar; vanilla browns it, and only the pots it is in', () => {
    const rose = library.additives.get('rose-clay')!.colour
    const clay = { ...bar, additives: [extra('sugar'), extra('rose-clay')] }
    expect(barColour(clay, library)).toBe(mixHex(soapColour(bar, library), rose, 0.8))
    const vanilla = { ...bar, scents: [scent('Vanilla')] }
    expect(barColour(vanilla, library)).toBe(mixHex(soapColour(bar, library), '#7a4a26', 0.55))
    expect(barColour({ ...bar, scents: [scent('Fir')] }, library)).toBe(soapColour(bar, library))
    expect(partColour(vanilla, pot({ scent: false }), library)).toBe(soapColour(bar, library))
    expect(partColour(vanilla, pot(), library)).toBe(barColour(vanilla, library))
  })

  it('of pots: dry ones stay pale, wet ones come out darker, colourants colour', () => {
    const base = soapColour(bar, library)
    const wet = (value: number | null, held = 'ratio') => pot({ water: { held, value } })
    const of = (line: FormulaDocument['parts'][number]) => partColour(bar, line, library)
    expect(of(pot())).toBe(base)
    expect(red(of(wet(1.2)))).toBeGreaterThan(red(base))
    expect(of(wet(0.8))).toBe(of(wet(1.2)))
    expect(of(wet(1.2))).toBe(mixHex(base, '#ffffff', 0.44))
    expect(of(wet(3))).toBe(mixHex(base, '#6b5630', 0.45))
    expect(of(wet(4))).toBe(of(wet(3)))
    expect(of(wet(null))).toBe(of(wet(2)))
    expect(of(wet(0.3, 'strength'))).toBe(of(wet(2)))
    const rose = library.additives.get('rose-clay')!.colour
    expect(of(pot({ additives: [extra('rose-clay')] }))).toBe(mixHex(base, rose, 0.8))
  })
})

describe('the picture of a formula', () => {
  const drawn = (changes: Partial<FormulaDocument>) => thumbnailOf({ ...bar, ...changes }, library)
  const poured = (pattern: FormulaDocument['method']['patterns'][number]) => ({
    method: { ...bar.method, patterns: [pattern] },
  })

  it('follows what is in it and what it is for', () => {
    expect(drawn({})).toEqual({ pattern: 'plain', colours: [soapColour(bar, library)] })
    expect(drawn({ scents: [scent('Fir')] }).pattern).toBe('wave')
    expect(drawn({ scents: [scent('Vanilla')] }).pattern).toBe('rind')
    expect(drawn({ use: 'laundry' }).pattern).toBe('stamp')
    expect(drawn({ use: 'shaving' }).pattern).toBe('split')
    const milk = { id: 'goat-milk', share: 1, moment: 'lye' as const, way: 'frozen' as const }
    expect(drawn({ liquids: [milk] }).pattern).toBe('rind')
    expect(drawn(poured('pencil-line')).pattern).toBe('line')
    const grit = [...library.additives.values()].find(({ group }) => group === 'scrub')!
    const flecked = drawn({ additives: [extra(grit.id)] })
    expect(flecked.pattern).toBe('flecks')
  })

  it('of pots has a colour for each, poured as they are', () => {
    const seven = Array.from({ length: 7 }, (_, at) =>
      pot({ additives: at % 2 ? [extra('rose-clay')] : [extra('kaolin')] }),
    )
    const layers = drawn({ parts: seven, ...poured('slanted-layers') })
    expect([layers.pattern, layers.colours.length]).toEqual(['layers', 7])
    expect(layers.colours[1]).toBe(partColour(bar, seven[1]!, library))
    const waters = [1.3, 1.9, 2.6].map((value) => pot({ water: { held: 'ratio', value } }))
    expect(drawn({ parts: waters, ...poured('layers') }).pattern).toBe('shades')
    expect(drawn({ parts: seven.slice(0, 2), ...poured('hanger-swirl') }).pattern).toBe('swirl')
    // One pot is no pots.
    expect(drawn({ parts: [pot()] })).toEqual(drawn({}))
  })

  it('what lies in the bar stands out from its ground, dark grounds too', () => {
    const clear = ({ colours: [ground, inIt] }: Thumbnail) =>
      farApart({ pattern: 'plain', colours: [ground!] }, { pattern: 'plain', colours: [inIt!] })
    expect(clear(drawn({ use: 'laundry' }))).toBeGreaterThanOrEqual(14)
    const coals = pot({ additives: [extra('activated-charcoal')] })
    expect(clear(drawn({ parts: [coals, coals] }))).toBeGreaterThanOrEqual(14)
  })

  it('what the maker chose stays', () => {
    const thumbnail: Thumbnail = { pattern: 'split', colours: ['#112233', '#445566'] }
    expect(drawn({ thumbnail, scents: [scent('Fir')] })).toBe(thumbnail)
  })
})

describe('telling pictures apart', () => {
  const plain = (colour: string): Thumbnail => ({ pattern: 'plain', colours: [colour] })

  it('measures colours in CIELAB, by the place that differs most', () => {
    // L* of white is 100, of black 0.
    expect(farApart(plain('#000000'), plain('#ffffff'))).toBeCloseTo(100, 1)
    expect(farApart(plain('#808080'), plain('#808080'))).toBe(0)
    expect(farApart(plain('#808080'), { pattern: 'wave', colours: ['#808080'] })).toBe(Infinity)
    const two = (second: string): Thumbnail => ({ pattern: 'wave', colours: ['#ffffff', second] })
    expect(farApart(two('#000000'), two('#ffffff'))).toBeCloseTo(100, 1)
  })

  it('the Slate Shed’s formulas are all told apart, and stay so with forty more of the same oil', () => {
    const more = Array.from({ length: 40 }, (_, nth) => ({ ...bar, name: `Olive ${nth}` }))
    const all = [...demoFormulas.map(({ document }) => document), ...more].map((document, nth) => ({
      id: String(nth).padStart(4, '0'),
      document,
    }))
    const given = [...thumbnailsOf(all, library).values()]
    expect(given).toHaveLength(all.length)
    given.forEach((one, at) =>
      given
        .slice(0, at)
        .forEach((other, before) =>
          expect(farApart(one, other), `${at} and ${before}`).toBeGreaterThanOrEqual(14),
        ),
    )
  })

  it('an older formula keeps its picture whatever comes after it, and a chosen one is made way for', () => {
    const first = { id: 'a', document: { ...bar, name: 'First' } }
    const second = { id: 'b', document: { ...bar, name: 'Second' } }
    const alone = thumbnailsOf([first], library).get('a')
    const both = thumbnailsOf([second, first], library)
    expect(both.get('a')).toEqual(alone)
    expect(both.get('b')).not.toEqual(alone)
    const chosen = { ...second, document: { ...second.document, thumbnail: alone! } }
    const after = thumbnailsOf([first, chosen], library)
    expect(after.get('b')).toEqual(alone)
    expect(after.get('a')).not.toEqual(alone)
    expect(toldApart(alone!, 'Third', [])).toBe(alone)
  })
})
