import { listLots } from '../../db/lots'

/** Every lot that something is left of. */
export default route(null, ({ db }) => json(listLots(db)), { may: ['read'] })
