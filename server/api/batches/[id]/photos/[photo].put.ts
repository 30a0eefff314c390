import { fileTypeFromBuffer } from 'file-type'
import { idSchema } from '#contracts/batch'
import { batchExists } from '../../../../db/batches'
import { keepPhoto } from '../../../../db/photos'

/** Bytes a photo may have; the app sends them smaller. */
const most = 4 * 1024 * 1024
const pictures = new Set(['image/jpeg', 'image/png', 'image/webp'])

/** A photo of a batch as it is: what it is, its content says, not its name. */
export default route(
  null,
  async ({ db, id, now, params, bytes }) => {
    const photo = idSchema.safeParse(params.photo)
    if (!photo.success) refuse(404, 'There is nothing at this address.')
    if (!batchExists(db, id)) refuse(404, 'There is no such batch.')
    const type = (await fileTypeFromBuffer(bytes))?.mime ?? ''
    if (!pictures.has(type)) refuse(422, 'This is not a JPEG, PNG or WebP picture.')
    const kept = keepPhoto(db, { id: photo.data, batchId: id, type, bytes }, now)
    if (!kept) refuse(409, 'Another picture is kept under this id.')
    return { id: photo.data }
  },
  { may: ['rack', 'bench'], bytes: most },
)
