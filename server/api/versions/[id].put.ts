import { noteVersionSchema } from '#contracts/version'
import { noteVersion } from '../../db/versions'

export default route(
  noteVersionSchema,
  ({ db, id, body: { revision, ...notes } }) => {
    const noted = noteVersion(db, id, revision, notes)
    if (noted.kind === 'none') refuse(404, 'There is no such version.')
    if (noted.kind === 'stale')
      refuse(409, 'This version was written about elsewhere in the meantime.', 'revision', {
        theirs: noted.version,
      })
    return noted.version
  },
  { may: ['formulas'] },
)
