import { listLots } from '../../db/lots'

/** Every lot that something is left of. */
export default route(null, ({ db, event }) => json(event, listLots(db)), { may: ['read'] })
