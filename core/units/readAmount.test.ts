import { describe, expect, it } from 'vitest'
import { readAmount, readNumber } from './readAmount'

describe('reading an amount as people write it', () => {
  it.each([
    ['500g olive oil', 'grams', 500, 'olive oil'],
    ['castor 5%', 'share', 0.05, 'castor'],
    ['castor oil 7.5 per cent', 'share', 0.075, 'castor oil'],
    ['1,5 kg tallow', 'grams', 1500, 'tallow'],
    ['1,200 g lard', 'grams', 1200, 'lard'],
    ['150 ml water', 'millilitres', 150, 'water'],
    ['2 lb 3 oz lard', 'grams', 992.233, 'lard'],
    ['Olive oil: 1 lb (454 g)', 'grams', 454, 'Olive oil'],
    ['½ cup water', 'millilitres', 118.294, 'water'],
    ['1½ tsp rose clay', 'millilitres', 7.393, 'rose clay'],
    ['16 ounces coconut oil', 'grams', 453.592, 'coconut oil'],
    ['-20 g lye', 'grams', -20, 'lye'],
  ])('%s', (text, kind, value, rest) => {
    const read = readAmount(text)!
    expect(read.amount.kind).toBe(kind)
    const figures = Object.values(read.amount).filter((part) => typeof part === 'number')
    expect(figures[0]).toBeCloseTo(value, 3)
    expect(read.rest).toBe(rest)
  })

  it.each(['olive oil', '', 'coconut 76', 'golden syrup'])('finds none in "%s"', (text) => {
    expect(readAmount(text)).toBeNull()
  })

  it('reads numbers with either decimal mark and refuses words', () => {
    expect([readNumber('2,5'), readNumber('.5'), readNumber('1 1/2'), readNumber('1 200')]).toEqual(
      [2.5, 0.5, 1.5, 1200],
    )
    expect(readNumber('two')).toBeNaN()
    expect(readNumber('2.5.1')).toBeNaN()
  })
})
