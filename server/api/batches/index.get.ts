import { listBatches } from '../../db/batches'

export default route(null, ({ db }) => json(listBatches(db)), { may: ['read'] })
