import { batchThumbnailsSchema } from '#contracts/batch'
import { pictureBatches } from '../../db/batches'

/** Gives batches their pictures; answers with all of those that are there. */
export default route(batchThumbnailsSchema, ({ db, body }) => pictureBatches(db, body.pictures), {
  may: ['rack'],
})
