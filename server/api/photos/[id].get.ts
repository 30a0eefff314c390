import { getPhoto } from '../../db/photos'

export default route(
  null,
  ({ db, event, id }) => {
    const photo = getPhoto(db, id) ?? refuse(404, 'There is no such photo.')
    setResponseHeader(event, 'content-type', photo.type)
    setResponseHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
    return photo.bytes
  },
  { may: ['read'] },
)
