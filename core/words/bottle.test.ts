import { describe, expect, it } from 'vitest'
import { readBottle } from './bottle'

describe('a bottle as it is written down', () => {
  it.each([
    ['bramble, Dunlin Oils, 10 g 2.40', 'Bramble', 'Dunlin Oils', 10, 2.4],
    ['Fir & smoke', 'Fir & smoke', '', null, null],
    ['white lilac 30 g', 'White lilac', '', 30, null],
    ['Sloe, Kittle & Daughters', 'Sloe', 'Kittle & Daughters', null, null],
    ['Sloe, Kittle & Daughters, 0,5 kg, 41,50', 'Sloe', 'Kittle & Daughters', 500, 41.5],
    ['mint & iron, 1 oz', 'Mint & iron', '', 28.349523125, null],
    ['  ', '', '', null, null],
    ['20 g', '', '', 20, null],
  ])('%s', (line, name, supplier, grams, price) => {
    expect(readBottle(line)).toEqual({ name, supplier, grams, price })
  })
})
