import { listBatches } from '../../db/batches'

export default route(null, ({ db }) => listBatches(db))
