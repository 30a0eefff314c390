import { fileTypeFromBuffer } from 'file-type'
import { idSchema } from '#contracts/basics'
import type { Right } from '#contracts/rights'
import type { Db } from '../db/connection'
import { keepPhoto, type PhotoOf } from '../db/photos'

/** Bytes a photo may have; the app sends them smaller. */
const most = 4 * 1024 * 1024
const pictures = new Set(['image/jpeg', 'image/png', 'image/webp'])

/** Takes a photo as it is: what it is, its content says, not its name. `of` says whose it is, or refuses. */
export const photoRoute = (may: Right[], of: (db: Db, id: string) => PhotoOf) =>
  route(
    null,
    async ({ db, id, now, params, bytes }) => {
      const photo = idSchema.safeParse(params.photo)
      if (!photo.success) refuse(404, 'There is nothing at this address.')
      const owner = of(db, id)
      const type = (await fileTypeFromBuffer(bytes))?.mime ?? ''
      if (!pictures.has(type)) refuse(422, 'This is not a JPEG, PNG or WebP picture.')
      const kept = keepPhoto(db, { id: photo.data, type, bytes }, owner, now)
      if (!kept) refuse(409, 'Another picture is kept under this id.')
      return { id: photo.data }
    },
    { may, bytes: most },
  )
