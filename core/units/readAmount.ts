import { gramsPer, millilitresPer } from './measures'

/** An amount as somebody wrote it. */
export type Amount =
  | { kind: 'grams'; grams: number }
  | { kind: 'millilitres'; millilitres: number; said: { value: number; unit: string } }
  | { kind: 'share'; share: number }

const spellings: Record<string, string[]> = {
  g: ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'],
  kg: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
  oz: ['oz', 'ozs', 'ounce', 'ounces'],
  lb: ['lb', 'lbs', 'pound', 'pounds'],
  ml: ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'],
  l: ['l', 'litre', 'litres', 'liter', 'liters'],
  tsp: ['tsp', 'tsps', 'teaspoon', 'teaspoons'],
  tbsp: ['tbsp', 'tbsps', 'tablespoon', 'tablespoons'],
  cup: ['cup', 'cups'],
  drop: ['drop', 'drops'],
  floz: ['fl oz', 'floz', 'fluid ounce', 'fluid ounces'],
  '%': ['%', 'percent', 'per cent', 'pct'],
}
const unitOf = new Map(
  Object.entries(spellings).flatMap(([unit, words]) => words.map((word) => [word, unit] as const)),
)
const unitPattern = [...unitOf.keys()]
  .sort((a, b) => b.length - a.length)
  .map((word) => word.replace('%', '%').replace(/ /g, '\\s+'))
  .join('|')
const numberPattern = String.raw`\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d{1,3}(?:[ ,]\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?|\.\d+`
const pattern = new RegExp(
  String.raw`(?<![\w.,])(-?)(${numberPattern})\s*(${unitPattern})(?![a-z])\.?`,
  'gi',
)
const halves: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
}

/** A number as people write it: 1.5, 1,5, 1 1/2, 1,200. NaN when it is none. */
export function readNumber(text: string): number {
  const clean = text.trim().replace(/−/g, '-')
  const mixed = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(clean)
  if (mixed) {
    const size = Number(mixed[2] ?? 0) + Number(mixed[3]) / Number(mixed[4])
    return mixed[1] ? -size : size
  }
  if (/^-?\d{1,3}([ , ]\d{3})+(\.\d+)?$/.test(clean)) return Number(clean.replace(/[ , ]/g, ''))
  if (/^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(clean)) return Number(clean.replace(',', '.'))
  return Number.NaN
}

function amountOf(value: number, unit: string): Amount {
  if (unit === '%') return { kind: 'share', share: value / 100 }
  if (unit in gramsPer)
    return { kind: 'grams', grams: value * gramsPer[unit as keyof typeof gramsPer] }
  return {
    kind: 'millilitres',
    millilitres: value * millilitresPer[unit as keyof typeof millilitresPer],
    said: { value, unit },
  }
}

/**
 * Finds the amount in a piece of text such as `500g olive oil`, `castor 5%` or `2 lb 3 oz lard`.
 * Two masses that follow each other are added. When a line gives the same amount twice (`1 lb (454 g)`), the grams
 * win.
 * @returns the amount and the text without it, or null when there is none
 */
export function readAmount(text: string): { amount: Amount; rest: string } | null {
  const plain = text.replace(/(\d)?([½¼¾⅓⅔])/g, (_, whole: string | undefined, half: string) =>
    whole ? `${whole} ${halves[half]}` : halves[half]!,
  )
  const found = [...plain.matchAll(pattern)].map((match) => {
    const unit = unitOf.get(match[3]!.toLowerCase().replace(/\s+/g, ' '))!
    return {
      unit,
      start: match.index,
      end: match.index + match[0].length,
      amount: amountOf(readNumber(match[2]!) * (match[1] ? -1 : 1), unit),
    }
  })
  const first = found[0]
  if (!first) return null
  const rest = found
    .reduceRight((left, hit) => `${left.slice(0, hit.start)} ${left.slice(hit.end)}`, plain)
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:=/-]+|[\s,;:=/-]+$/g, '')
  const second = found[1]
  if (
    first.unit === 'lb' &&
    second?.unit === 'oz' &&
    plain.slice(first.end, second.start).trim() === ''
  ) {
    const sum = [first, second].reduce(
      (grams, hit) => grams + (hit.amount.kind === 'grams' ? hit.amount.grams : 0),
      0,
    )
    return { amount: { kind: 'grams', grams: sum }, rest }
  }
  const metric = found.find((hit) => hit.unit === 'g' || hit.unit === 'kg')
  return { amount: (metric ?? first).amount, rest }
}
