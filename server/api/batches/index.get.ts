import { listBatches } from '../../db/batches'

export default route(null, ({ db, event }) => json(event, listBatches(db)), { may: ['read'] })
