import { versionNotesSchema } from '#contracts/version'
import { noteVersion } from '../../db/versions'

export default route(
  versionNotesSchema,
  ({ db, id, body }) => noteVersion(db, id, body) ?? refuse(404, 'There is no such version.'),
)
