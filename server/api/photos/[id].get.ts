import { getPhoto } from '../../db/photos'

export default defineEventHandler(async (event) => {
  const photo = getPhoto(await database(), getRouterParam(event, 'id') ?? '')
  if (!photo) {
    setResponseStatus(event, 404)
    return { errors: [{ path: '', says: 'There is no such photo.' }] }
  }
  setResponseHeader(event, 'content-type', photo.type)
  // It is what it says: no browser may guess it to be a page.
  setResponseHeader(event, 'x-content-type-options', 'nosniff')
  setResponseHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  return photo.bytes
})
