import { describe, expect, it } from 'vitest'
import { formatter, type FormatterChoice } from './formatter'
import { capital, inSentence } from './language'

const metric = formatter()
const ounces = formatter({ system: 'imperial', locale: 'en-US' })

describe('what is weighed', () => {
  it('shows every step of the scale, and no more', () => {
    const on = (scale: number, system: FormatterChoice['system'] = 'metric') =>
      formatter({ scale, system }).mass(1234.5678)
    expect([1, 0.5, 0.1, 0.01, 0.001, 0.0001].map((scale) => on(scale))).toEqual([
      '1,235 g',
      '1,234.6 g',
      '1,234.6 g',
      '1,234.57 g',
      '1,234.568 g',
      '1,234.568 g',
    ])
    // 1234.5678 / 28.349523125 = 43.54809…; an ounce is never shown coarser than a tenth.
    expect([5, 1, 0.1, 0.01].map((scale) => on(scale, 'imperial'))).toEqual([
      '43.5 oz',
      '43.55 oz',
      '43.548 oz',
      '43.548 oz',
    ])
  })

  it('never rounds lye up', () => {
    expect(metric.massDown(136.99)).toBe('136.9 g')
    expect(metric.massDown(137)).toBe('137.0 g')
    // Three tenths are 0.30000000000000004 of a machine: no step is lost for that.
    expect(metric.massDown(0.1 * 3)).toBe('0.3 g')
    // 100 g are 3.52739… oz
    expect(formatter({ system: 'imperial' }).massDown(100)).toBe('3.527 oz')
  })

  it('is a figure and a unit', () => {
    expect([metric.massFigure(12.34), metric.massUnit]).toEqual(['12.3', 'g'])
    expect([ounces.massFigure(28.349523125), ounces.massUnit]).toEqual(['1.000', 'oz'])
    expect([metric.system, ounces.system]).toEqual(['metric', 'imperial'])
  })
})

describe('what is read', () => {
  it.each([
    [0, '0 g', '0.0 oz', ''],
    [412.6, '413 g', '14.6 oz', ''],
    // 2 lb are 907.18474 g
    [907.18474, '907 g', '2 lb 0.0 oz', '2 lb 0.0 oz'],
    [907.1, '907 g', '32.0 oz', ''],
    [1234.5, '1,235 g', '2 lb 11.5 oz', '2 lb 11.5 oz'],
    // 3 lb less a hundredth of an ounce rounds to three pounds, not to 2 lb 16.0 oz
    [1360.5, '1,361 g', '3 lb 0.0 oz', '3 lb 0.0 oz'],
  ])('%f g is %s, or %s', (grams, asGrams, asOunces, pounds) => {
    expect(metric.amount(grams)).toBe(asGrams)
    expect(ounces.amount(grams)).toBe(asOunces)
    expect(ounces.pounds(grams)).toBe(pounds)
    expect(metric.pounds(grams)).toBe('')
  })

  it.each([
    [250, '250 ml', '8 fl oz'],
    [9999, '9,999 ml', '338 fl oz'],
    [10_000, '10 l', '338 fl oz'],
    [12_345, '12.3 l', '417 fl oz'],
  ])('%f ml is %s, or %s', (millilitres, litres, fluidOunces) => {
    expect(metric.volume(millilitres)).toBe(litres)
    expect(ounces.volume(millilitres)).toBe(fluidOunces)
  })

  it('is a share, a ratio, a number', () => {
    expect(metric.percent(0.05)).toBe('5 %')
    expect(metric.percent(0.0525)).toBe('5.3 %')
    expect(metric.percent(0.05256, 2)).toBe('5.26 %')
    expect(metric.ratio(2)).toBe('2.0 : 1')
    expect(metric.ratio(2.571)).toBe('2.57 : 1')
    expect(metric.number(1234.5)).toBe('1,235')
    expect(metric.number(1.5, 2)).toBe('1.50')
    expect(metric.number(1.5, 0, 2)).toBe('1.5')
    expect(metric.number(1, 0, 2)).toBe('1')
    // What rounds to nothing is not less than nothing.
    expect(metric.number(-0)).toBe('0')
    expect([metric.typed(1234.5678, 2), metric.typed(12, 2)]).toEqual(['1234.57', '12'])
  })
})

describe('degrees', () => {
  it('follow the units, or the choice of the workshop', () => {
    expect(metric.temperature(38)).toBe('38 °C')
    expect(ounces.temperature(38)).toBe('100 °F')
    expect(formatter({ degrees: 'F' }).temperature(100)).toBe('212 °F')
    expect(formatter({ system: 'imperial', degrees: 'C' }).temperature(38)).toBe('38 °C')
    expect([metric.degrees, ounces.degrees]).toEqual(['C', 'F'])
  })

  it('go both ways', () => {
    expect([metric.degreesOf(38), metric.celsiusOf(38)]).toEqual([38, 38])
    expect(ounces.degreesOf(100)).toBe(212)
    expect(ounces.celsiusOf(212)).toBe(100)
    // Ten degrees apart are eighteen, not fifty.
    expect([metric.degreesApart(10), ounces.degreesApart(10)]).toEqual(['10 °C', '18 °F'])
  })

  it('change inside a sentence, ranges whole', () => {
    const said = 'Keep it at 30 to 37.5 °C, never above 60 °C; 5 g stay 5 g.'
    expect(metric.inUnits(said)).toBe(said)
    expect(ounces.inUnits(said)).toBe('Keep it at 86 to 100 °F, never above 140 °F; 5 g stay 5 g.')
    expect(ounces.inUnits('From 37.5 to 60 °C.')).toBe('From 100 to 140 °F.')
    expect(ounces.inUnits('Heat of 71.1 °C')).toBe('Heat of 160 °F')
  })
})

describe('counts and lists', () => {
  it('by the rule of the locale', () => {
    expect([0, 1, 2, 1200].map((count) => metric.count(count, 'bar', 'bars'))).toEqual([
      '0 bars',
      '1 bar',
      '2 bars',
      '1,200 bars',
    ])
    // French has one for nothing too.
    expect(formatter({ locale: 'fr' }).count(0, 'pain', 'pains')).toBe('0 pain')
    expect([1, 2].map((count) => metric.plural(count, 'goes', 'go'))).toEqual(['goes', 'go'])
    const items = ['olive', 'coconut', 'castor']
    expect(metric.list(items)).toBe('olive, coconut, castor')
    expect(metric.list(items, 'and')).toBe('olive, coconut and castor')
    expect(metric.list(items, 'or')).toBe('olive, coconut or castor')
    expect(ounces.list(items, 'and')).toBe('olive, coconut, and castor')
  })

  it('numbers too', () => {
    expect(formatter({ locale: 'de-DE' }).mass(1234.5)).toBe('1.234,5 g')
  })
})

it('a name at the head of a sentence and inside one', () => {
  expect([capital('fresh lye'), capital('')]).toEqual(['Fresh lye', ''])
  expect([inSentence('Olive oil'), inSentence('Nine Tides')]).toEqual(['olive oil', 'nine Tides'])
})
