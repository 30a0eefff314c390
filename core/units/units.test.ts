import { describe, expect, it } from 'vitest'
import { addDays, dayIn, daysBetween, timeIn } from './days'
import {
  celsius,
  fahrenheit,
  gramsOfBase,
  gramsOfUnit,
  gramsPer,
  isVolume,
  millilitresPer,
  spoonMillilitres,
} from './measures'
import { readNumber } from './readNumber'

describe('a number as people write it', () => {
  it.each([
    ['1.5', 1.5],
    ['1,5', 1.5],
    [' 12 ', 12],
    ['.5', 0.5],
    [',5', 0.5],
    ['5.', 5],
    ['-3', -3],
    ['−3,25', -3.25],
    ['1/2', 0.5],
    ['-1/4', -0.25],
    ['1 1/2', 1.5],
    ['-1 1/2', -1.5],
    ['10  3 / 4', 10.75],
    ['12/16', 0.75],
    ['1,200', 1200],
    ['1 200', 1200],
    ['1 200', 1200],
    ['12,345,678.25', 12345678.25],
    ['-1,200', -1200],
    // Two digits behind a comma are decimals; four are no thousands.
    ['1,20', 1.2],
    ['1,2000', 1.2],
    ['1234,567', 1234.567],
  ])('%j is %f', (text, value) => expect(readNumber(text)).toBeCloseTo(value, 9))

  it.each([
    '',
    'five',
    '5 g',
    '1,2,3',
    '1.2.3',
    '--1',
    '1/',
    '/2',
    '.',
    ',',
    '1e3',
    '1,200,30',
    '5x',
    'x5',
    '1/2 x',
    'x1/2',
    '1,200x',
    'x1,200',
  ])('%j is none', (text) => expect(readNumber(text)).toBeNaN())
})

describe('units', () => {
  it('of weight and volume', () => {
    expect(gramsPer.lb / gramsPer.oz).toBeCloseTo(16, 9)
    expect(gramsPer.lb).toBe(453.59237)
    expect(gramsPer.kg).toBe(1000)
    // NIST Handbook 44: a gallon is 3785.41 ml, of 16 cups, 128 fl oz, 256 tablespoons, 768 teaspoons.
    const gallon = 3785.41
    expect(spoonMillilitres.us.cup * 16).toBeCloseTo(gallon, 1)
    expect(millilitresPer.floz * 128).toBeCloseTo(gallon, 1)
    expect(spoonMillilitres.us.tbsp * 256).toBeCloseTo(gallon, 1)
    expect(spoonMillilitres.us.tsp * 768).toBeCloseTo(gallon, 1)
    expect(spoonMillilitres.metric).toEqual({ tsp: 5, tbsp: 15, cup: 250 })
    expect(millilitresPer).toMatchObject({ ml: 1, l: 1000, tsp: 4.92892, drop: 0.05 })
    expect(gramsOfBase).toEqual({ kg: 1000, '500g': 500, '100g': 100, lb: 453.59237 })
  })

  it('weigh what they hold', () => {
    expect(gramsOfUnit('g', 0.5, 'us')).toBe(1)
    expect(gramsOfUnit('oz', 0.5, 'us')).toBe(28.349523125)
    expect(gramsOfUnit('tsp', 0.5, 'us')).toBeCloseTo(2.46446, 5)
    expect(gramsOfUnit('tsp', 0.5, 'metric')).toBe(2.5)
    expect(gramsOfUnit('tbsp', 2, 'metric')).toBe(30)
    expect(gramsOfUnit('ml', 0.9, 'us')).toBe(0.9)
    expect(gramsOfUnit('drop', 0.9, 'us')).toBeCloseTo(0.045, 9)
    expect((['g', 'oz', 'tsp', 'tbsp', 'ml', 'drop'] as const).filter(isVolume)).toEqual([
      'tsp',
      'tbsp',
      'ml',
      'drop',
    ])
  })

  it('of heat', () => {
    expect([fahrenheit(0), fahrenheit(100), fahrenheit(-40)]).toEqual([32, 212, -40])
    expect([celsius(32), celsius(212), celsius(-40)]).toEqual([0, 100, -40])
  })
})

describe('days', () => {
  it('are counted over the ends of months, leap days and changes of the clock', () => {
    expect(addDays('2026-11-23', 40)).toBe('2027-01-02')
    expect(addDays('2028-03-01', -1)).toBe('2028-02-29')
    expect(daysBetween('2026-11-23', '2027-01-02')).toBe(40)
    expect(daysBetween('2027-01-02', '2026-11-23')).toBe(-40)
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
  })

  it('are those of the workshop, not of Greenwich', () => {
    const late = new Date('2026-11-23T23:30:00Z')
    expect(dayIn('Europe/London', late)).toBe('2026-11-23')
    expect(dayIn('Pacific/Auckland', late)).toBe('2026-11-24')
    expect([timeIn('Europe/London', late), timeIn('Pacific/Auckland', late)]).toEqual([
      '23:30',
      '12:30',
    ])
    expect(dayIn('America/Los_Angeles', new Date('2026-11-23T03:00:00Z'))).toBe('2026-11-22')
  })
})
