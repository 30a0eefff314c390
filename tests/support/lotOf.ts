import { lotSchema, type NewLot } from '#contracts/store'
import type { LotNow } from '#core/stores/stock'

/* Lots for tests of the stores: a jar of castor oil that came on 1 March unless something else is asked for. */

/** A lot of so much, by its thing or by an id of its own. */
export const lotOf = (
  { parts = [], ...changes }: Partial<NewLot> = {},
  stock?: number,
  id?: string,
): LotNow => {
  const document = lotSchema.parse({
    thing: 'castor',
    code: 'R1',
    cameOn: '2026-03-01',
    amount: 1000,
    price: 890,
    ...changes,
  })
  // Their ids are as short as the test wants them.
  return {
    id: id ?? document.thing,
    document: { ...document, parts },
    stock: stock ?? document.amount,
  }
}
