import { batchExists } from '../../../../db/batches'

/** A photo of a batch. */
export default photoRoute(['rack', 'bench'], (db, batchId) =>
  batchExists(db, batchId) ? { batchId } : refuse(404, 'There is no such batch.'),
)
