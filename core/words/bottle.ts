import { readNumber } from '../units/readNumber'

/** What a typed line says of a bottle. */
export interface Bottle {
  name: string
  supplier: string
  /** g bought; null where the line says none. */
  grams: number | null
  /** What it cost, in whole units of money; null where the line says none. */
  price: number | null
}

const amount = /(\d+(?:[.,]\d+)?)\s*(kg|g|oz|ml)\b/i
const inGrams: Record<string, number> = { kg: 1000, g: 1, oz: 28.349523125, ml: 1 }
const number = /\d+(?:[.,]\d+)?/

/**
 * A bottle as people write it down: what it is called, who it is from, how much, and what it cost, with commas between.
 * @example readBottle('bramble, Dunlin Oils, 10 g 2.40') // { name: 'Bramble', supplier: 'Dunlin Oils', grams: 10, price: 2.4 }
 */
export function readBottle(line: string): Bottle {
  const pieces = line
    .split(/,(?!\d)/)
    .map((piece) => piece.trim())
    .filter(Boolean)
  const weighed = amount.exec(line)
  const rest = weighed ? line.slice(weighed.index + weighed[0].length) : ''
  const cost = number.exec(rest)
  const words = pieces
    .map((piece) => (amount.test(piece) ? piece.slice(0, amount.exec(piece)!.index).trim() : piece))
    .filter((piece) => piece && !/^\d/.test(piece))
  const [name = '', supplier = ''] = words
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    supplier,
    grams: weighed ? readNumber(weighed[1]!) * inGrams[weighed[2]!.toLowerCase()]! : null,
    price: cost ? readNumber(cost[0]) : null,
  }
}
