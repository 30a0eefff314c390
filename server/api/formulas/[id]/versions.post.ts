import { newVersionSchema } from '#contracts/version'
import { formulas } from '../../../db/documents'
import { getVersion, keepVersion } from '../../../db/versions'

export default route(
  newVersionSchema,
  ({ db, id, now, body }) => {
    const kept = getVersion(db, body.id)
    if (kept) return kept
    const formula =
      formulas.get(db, id) ?? refuse(404, 'There is no such formula; it may be deleted.')
    if (formula.revision !== body.revision)
      refuse(409, 'The formula has changed since; look at it once more.', 'revision')
    const notes = { name: body.name, purpose: body.purpose, didIt: null, learned: '' }
    return keepVersion(db, { id: body.id, formulaId: id, document: formula.document }, notes, now)
  },
  { may: ['formulas'] },
)
