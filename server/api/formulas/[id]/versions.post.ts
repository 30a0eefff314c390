import { newVersionSchema } from '#contracts/version'
import { formulas } from '../../../db/documents'
import { getVersion, keepVersion } from '../../../db/versions'

export default route(
  newVersionSchema,
  ({ db, id, now, body }) => {
    const kept = getVersion(db, body.id)
    if (kept)
      return kept.name === body.name && kept.purpose === body.purpose && kept.formulaId === id
        ? kept
        : refuse(409, 'Another version is kept under this id.', 'id')
    const formula =
      formulas.get(db, id) ?? refuse(404, 'There is no such formula; it may be deleted.')
    if (!body.document && formula.revision !== body.revision)
      refuse(409, 'The formula has changed since; look at it once more.', 'revision')
    const notes = {
      name: body.name,
      purpose: body.purpose,
      didIt: null,
      learned: '',
      changes: body.changes,
    }
    return keepVersion(
      db,
      { id: body.id, formulaId: id, document: body.document ?? formula.document },
      notes,
      now,
    )
  },
  { may: ['formulas'] },
)
