import { getPhoto } from '../../../../db/runs'

export default defineEventHandler(async (event) => {
  const bytes = getPhoto(await database(), getRouterParam(event, 'photo') ?? '')
  if (!bytes) {
    setResponseStatus(event, 404)
    return { errors: [{ path: '', says: 'There is no such photo.' }] }
  }
  setResponseHeader(event, 'content-type', 'image/jpeg')
  return bytes
})
