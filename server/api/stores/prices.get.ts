import { pricesNow } from '../../db/lots'

/** What things cost now: by the newest lot with a price, else as somebody typed it. */
export default route(null, ({ db }) => pricesNow(db), { may: ['read'] })
