import type { Row } from '#core/exchange/rows'

/** Columns by what people call them. */
const columns = {
  amount: ['amount', 'quantity', 'weight', 'grams', 'g', 'size'],
  unit: ['unit', 'units'],
  count: ['count', 'packs', 'number'],
  thing: ['material', 'what', 'name', 'item', 'product', 'description'],
  price: ['price', 'cost', 'total', 'paid'],
  best: ['best before', 'best', 'expiry', 'expires', 'bbe'],
  lot: ['lot', 'batch', 'lot number', 'code'],
} as const

/** A row of a table as somebody would have typed it: so that it is read with the same care. */
export function lineOfRow(row: Row): string {
  const of = (names: readonly string[]) =>
    names.map((name) => row[name]?.trim() ?? '').find(Boolean) ?? ''
  const amount = of(columns.amount)
  const bare = /^[\d.,\s]+$/.test(amount)
  const unit = of(columns.unit) || (bare && row.grams ? 'g' : '')
  const count = of(columns.count)
  const best = of(columns.best)
  const lot = of(columns.lot)
  return [
    count && count !== '1' ? `${count} x` : '',
    `${amount}${bare && unit ? ` ${unit}` : ''}`,
    of(columns.thing),
    of(columns.price).replace(/[^\d.,]/g, ''),
    best ? `best ${best}` : '',
    lot ? `lot ${lot}` : '',
  ]
    .filter(Boolean)
    .join(' ')
}
