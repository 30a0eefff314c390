import { pricePutSchema } from '#contracts/store'
import { pricesNow, typePrice } from '../../db/lots'

export default route(
  pricePutSchema,
  ({ db, body }) => {
    typePrice(db, body.thing, body.price)
    return pricesNow(db)
  },
  { may: ['formulas', 'rack'] },
)
