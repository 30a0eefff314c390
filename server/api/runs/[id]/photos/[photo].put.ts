import { idSchema } from '#contracts/batch'
import { getRun, keepPhoto } from '../../../../db/runs'

/** Bytes a photo may have; the app sends them smaller. */
const most = 4_000_000

/** A photo of a run: a JPEG as it is. */
export default route(null, ({ db, id, now, params, bytes }) => {
  const photo = idSchema.safeParse(params.photo)
  if (!photo.success) refuse(404, 'There is nothing at this address.')
  if (!getRun(db, id)) refuse(404, 'There is no such run.')
  if (bytes.length > most) refuse(413, 'This picture is larger than 4 MB.')
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) refuse(422, 'This is not a JPEG picture.')
  keepPhoto(db, photo.data, id, bytes, now)
  return { id: photo.data }
})
