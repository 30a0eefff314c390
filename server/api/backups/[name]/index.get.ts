import { createReadStream, statSync } from 'node:fs'
import { archiveNameSchema } from '#contracts/backup'

/** The archive itself, to keep elsewhere. */
export default route(null, ({ db, event, params }) => {
  const name = parsed(archiveNameSchema, params.name)
  const file = archivePath(db, name)
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="${name}"`,
    'content-length': statSync(file).size,
  })
  return sendStream(event, createReadStream(file))
})
