import { listMarkets } from '../../db/markets'

/** Every market day, with how it went. */
export default route(null, ({ db }) => listMarkets(db), { may: ['read'] })
