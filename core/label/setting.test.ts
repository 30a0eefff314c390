import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { labelDesignSchema } from '#contracts/label'
import { labelForms } from '#contracts/labelWords'
import { labelWords } from '../../tests/support/labelWords'
import { glyphsOf } from '../../scripts/fontMetrics'
import { beginDesign } from './designs'
import { faultsOf, saysOf } from './fit'
import glyphs from './glyphs.json'
import { emOf, face, fittingSize, leading, setText, widthOf } from './setting'
import { pageMm, placesOf, sheetFits } from './sheet'

const box = { width: 40, height: 20, size: 1.2, bold: false }
const { list } = labelWords

describe('words on a label', () => {
  it('are as wide as the typeface that is printed says', () => {
    expect(glyphs).toEqual(glyphsOf())
    const units = [...'Aqua'].map((letter) => glyphs.widths.regular[letter as 'A'])
    expect(widthOf('Aqua', 2, false)).toBeCloseTo((2 * units.reduce((a, b) => a + b)) / 1000, 9)
    expect(widthOf('Aqua', 2, true)).toBeGreaterThan(widthOf('Aqua', 2, false))
    // An x of 1.2 mm is 0.496 of an em.
    expect(emOf(1.2)).toBeCloseTo(1.2 / 0.496, 9)
  })

  it('lose none, and no line is wider than its box', () => {
    const texts = fc.array(fc.string({ minLength: 1, maxLength: 30 }), { maxLength: 20 })
    fc.assert(
      fc.property(texts, fc.integer({ min: 5, max: 80 }), (parts, width) => {
        const text = parts.join(' ').replace(/\s+/g, ' ').normalize('NFC')
        const { lines, em } = setText(text, { ...box, width })
        expect(lines.join('').replaceAll(' ', '')).toBe(text.replaceAll(' ', ''))
        for (const line of lines)
          if ([...line].length > 1)
            expect(widthOf(line, em, false)).toBeLessThanOrEqual(width + 1e-6)
      }),
    )
  })

  it('fit where the last line has room for its descenders, and not a hair beyond', () => {
    const em = emOf(1.2)
    const { lines } = setText(list, box)
    const needs = em * (face.ascent + face.descent) + (lines.length - 1) * em * leading
    expect(setText(list, { ...box, height: needs }).over).toBe(0)
    expect(setText(list, { ...box, height: needs - 0.01 }).over).toBe(1)
    expect(setText('', box)).toMatchObject({ lines: [], over: 0 })
    expect(setText('One\nTwo', box).lines).toEqual(['One', 'Two'])
  })

  it('the largest type that fits is named, none below what is allowed', () => {
    const low = { ...box, height: 6 }
    const size = fittingSize(list, low, 0.8)!
    expect(size).toBeLessThan(1.2)
    expect(setText(list, { ...low, size }).over).toBe(0)
    expect(setText(list, { ...low, size: size + 0.1 }).over).toBeGreaterThan(0)
    expect(fittingSize(list, low, 1.2)).toBeNull()
  })
})

describe('a design', () => {
  const words = labelWords
  const gb = {
    smallestType: 1.2,
    netHeights: [
      { upTo: 50, mm: 2 },
      { upTo: 200, mm: 3 },
    ],
  }

  it.each(labelForms)('%s begins whole: it lies on its sheet, and what it says fits', (form) => {
    const design = labelDesignSchema.parse(beginDesign(form, form))
    expect(sheetFits(design)).toBe(true)
    // A round one has no room for the list: it goes on another, or it is asked about.
    expect(faultsOf(design, words, 45, gb).map(({ kind }) => kind)).toEqual(
      form === 'round' ? ['missing'] : [],
    )
    const ids = design.elements.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
  })

  it('says which list is too long and by how much, and the figures that are too small', () => {
    const design = labelDesignSchema.parse(beginDesign('rectangle', 'Rectangle'))
    const long = { ...words, list: Array.from({ length: 9 }, () => list).join(', ') }
    const faults = faultsOf(design, long, 110, gb)
    expect(faults[0]).toMatchObject({ kind: 'over', size: null })
    expect(faults[0]!.lines).toBeGreaterThan(3)
    // From 50 g on figures are 3 mm high: an x of 2.3 mm; of the 2.4 that it has that is enough, of 2 it is not.
    const small = {
      ...design,
      elements: design.elements.map((one) => (one.part === 'net' ? { ...one, size: 2 } : one)),
    }
    expect(faultsOf(small, words, 110, gb)).toEqual([
      { element: expect.stringMatching(/^net/) as string, kind: 'net-small', lines: 0, size: 2.3 },
    ])
    expect(faultsOf(small, words, 45, gb)).toEqual([])
    expect(faultsOf(design, words, 110, { ...gb, smallestType: 1.3 })[0]!.kind).toBe('small')
  })

  it('its own words stand before those of its part', () => {
    expect(saysOf({ part: 'use', text: '' }, words)).toBe('For body and hands.')
    expect(saysOf({ part: 'use', text: 'For dishes' }, words)).toBe('For dishes')
    expect(saysOf({ part: 'text', text: '' }, words)).toBe('')
    expect(saysOf({ part: 'wave', text: '' }, words)).toBe('')
  })

  it('labels lie row by row, from the place where the last sheet ended', () => {
    const sheet = {
      page: 'A4',
      columns: 2,
      rows: 3,
      left: 10,
      top: 20,
      pitchX: 95,
      edges: false,
      pitchY: 55,
    } as const
    expect(placesOf({ sheet }, 4, 5)).toEqual([
      { page: 0, x: 10, y: 130 },
      { page: 0, x: 105, y: 130 },
      { page: 1, x: 10, y: 20 },
      { page: 1, x: 105, y: 20 },
    ])
    expect(sheetFits({ sheet, width: 90, height: 50 })).toBe(true)
    expect(sheetFits({ sheet, width: 96, height: 50 })).toBe(false)
    expect(sheetFits({ sheet: { ...sheet, rows: 6 }, width: 90, height: 50 })).toBe(false)
    expect(pageMm.A4).toEqual([210, 297])
  })
})

describe('letters that the typeface lacks', () => {
  it('are told before they print as boxes', () => {
    const design = labelDesignSchema.parse(beginDesign('rectangle', 'Rectangle'))
    const gb = { smallestType: 1.2, netHeights: [{ upTo: Infinity, mm: 2 }] }
    const faults = faultsOf(design, { ...labelWords, name: 'Мыло' }, 110, gb)
    expect(faults.map(({ kind }) => kind)).toEqual(['letters'])
    expect(faultsOf(design, { ...labelWords, name: 'Sæbe på Łódź' }, 110, gb)).toEqual([])
  })
})
