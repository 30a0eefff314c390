import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { formulaAsText } from '../exchange/asText'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { giveRemaining, holdWater } from './edit'
import { explain } from './explain'
import { makingOrder } from './makingOrder'
import { roundedToScale } from './onScale'
import { readLine } from '../words/reading'
import { takeReading } from '../words/typed'

const read = (text: string) => readLine(text, { library })
const typed = (text: string, document = blankFormula('Typed')) =>
  takeReading(document, read(text), library)

describe('typing what goes in', () => {
  it('per cent makes shares, grams first makes a formula by grams', () => {
    const shares = typed('castor 5%', typed('olive 45%'))
    expect(shares.size).toEqual({ by: 'oils', grams: 1000 })
    expect(shares.fats.map((fat) => [fat.id, fat.share])).toEqual([
      ['olive', 0.45],
      ['castor', 0.05],
    ])
    const grams = typed('coconut 25%', typed('300 g olive oil'))
    expect(grams.size).toEqual({ by: 'lines' })
    expect(grams.fats.map((fat) => fat.grams)).toEqual([300, 100])
  })

  it('grams typed into a formula by share are a share of its size', () => {
    expect(typed('120 g shea', typed('olive 45%')).fats[1]).toMatchObject({
      id: 'shea',
      share: 0.12,
    })
  })

  it('extras take their usual rate, scents and own fats their amount', () => {
    expect(typed('citric acid').additives[0]).toMatchObject({ rate: 0.015, of: 'oils' })
    expect(typed('40 g honey').additives[0]).toMatchObject({ id: 'honey', grams: 40 })
    const olive = typed('olive 100%')
    expect(typed('Fir & smoke fragrance 3.2%', olive).scents[0]).toMatchObject({
      id: 'fir-and-smoke-fragrance',
      rate: 0.032,
    })
    const own = read('Estuary oil 10%').options.find(({ reading }) => reading.own === 'fat')!
    expect(takeReading(olive, own.reading, library, { sap: 187 }).fats[1]).toMatchObject({
      id: 'own-estuary-oil',
      sap: 187,
      share: 0.1,
    })
  })

  it('a doubtful line changes nothing', () => {
    const olive = typed('olive 100%')
    for (const text of ['olive squalane 50 g', 'coconut 30', 'baking soda 20 g', '45%', '   '])
      expect(typed(text, olive), text).toBe(olive)
  })

  it('the remaining share goes to one fat, up or down', () => {
    const open = typed('castor 5%', typed('olive 45%'))
    expect(giveRemaining(open, 0).fats[0]!.share).toBe(0.95)
    const over = typed('coconut 70%', open)
    expect(giveRemaining(over, 2).fats[2]!.share).toBe(0.5)
    expect(giveRemaining(over, 1).fats[1]!.share).toBe(0)
  })

  it('another held water says the same water', () => {
    const held = holdWater(typed('olive 100%'), 'strength', library)
    expect(held.water).toEqual({ held: 'strength', value: 0.3125 })
  })
})

describe('what a formula shows', () => {
  const document = typed(
    'rain fragrance',
    typed('rose clay', typed('citric acid', typed('coconut 30%', typed('olive 70%')))),
  )
  const result = computeFormula(document, library)

  it('weighs in the order of the work, hard fats first', () => {
    const order = makingOrder(result, library).flatMap((group) =>
      group.lines.map((line) => line.id),
    )
    expect(order).toEqual([
      'water',
      'citric-acid-monohydrate',
      'naoh',
      'coconut',
      'olive',
      'rose-clay',
      'rain-fragrance',
    ])
  })

  it('explains the lye so that its lines lead to the weight', () => {
    const { lines, total } = explain('lye', document, result, library, formatter())
    // 700·0.190·F = 94.8141, 300·0.257·F = 54.9637, sum 149.7778, less 5 % 142.2889, citric (monohydrate) 15·0.57101 = 8.5652
    expect(lines.map((line) => line.value)).toEqual([
      '94.814 g',
      '54.964 g',
      '149.778 g',
      '142.289 g',
      '8.565 g',
      '150.854 g',
    ])
    expect(total.value).toBe('150.8 g')
  })

  it.each(['water', 'batter', 'superfat'] as const)('explains the %s', (figure) => {
    const { lines, total } = explain(figure, document, result, library, formatter())
    expect(lines.length).toBeGreaterThan(0)
    expect(total.value).toMatch(/\d/)
  })
})

describe('words for figures', () => {
  it('follow locale, units and scale', () => {
    const german = formatter({ locale: 'de-DE' })
    expect(german.mass(1234.56)).toBe('1.234,6 g')
    expect(german.ratio(2.2)).toBe('2,2 : 1')
    expect(formatter({ scale: 1 }).mass(136.536)).toBe('137 g')
    expect(formatter({ system: 'imperial', scale: 1 }).mass(1000)).toBe('35.27 oz')
    expect(formatter({ system: 'imperial' }).temperature(35)).toBe('95 °F')
    expect(formatter().massDown(136.99)).toBe('136.9 g')
    expect(formatter().massDown(0.3)).toBe('0.3 g')
    expect(formatter({ system: 'imperial' }).massDown(28.349)).toBe('0.999 oz')
    expect(formatter().percent(0.0654)).toBe('6.5 %')
    expect(formatter().percent(-0)).toBe('0 %')
  })
})

it('as text for a question to others it leaves nothing out', () => {
  const document = typed('castor 5%', typed('coconut 25%', typed('olive 70%')))
  const text = formulaAsText(document, computeFormula(document, library), formatter())
  for (const part of [
    '700.0 g  Olive oil (70 %)',
    'sodium hydroxide (100 % pure)',
    'Superfat 5 %',
    '2.2 : 1',
    '31.3 % strong',
    'Lye at 35 °C, oils at 35 °C',
    'stick blender',
  ])
    expect(text).toContain(part)
})

describe('rounding to the scale', () => {
  it('makes every weight one the scale shows, and the superfat what those weights have', () => {
    const document: FormulaDocument = {
      ...blankFormula('Rounded'),
      size: { by: 'oils', grams: 1003 },
      fats: [
        { id: 'olive', share: 0.613, moment: 'pot', inLye: true },
        { id: 'coconut', share: 0.387, moment: 'pot', inLye: true },
      ],
      scents: [{ id: 'bay', rate: 0.031, of: 'oils', moment: 'trace' }],
    }
    const rounded = roundedToScale(document, library, 5)
    const { fats, scents, lye, superfat } = computeFormula(rounded, library)
    // 614.8 → 615, 388.2 → 390, 31.1 → 30; lye of those fats 207.3… · 0.95 rounded down
    expect([...fats, ...scents].map(({ grams }) => grams)).toEqual([615, 390, 30])
    const full = ((615 * 190 + 390 * 257) / 1000) * (39.997 / 56.1056)
    const weighed = Math.floor((full * 0.95) / 5) * 5
    expect(lye.naoh).toBeCloseTo(weighed, 6)
    expect(superfat.total).toBeCloseTo(1 - weighed / full, 9)
  })
})
