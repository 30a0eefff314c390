import { saveFormulaSchema } from '#contracts/workshop'
import { saveFormula } from '../../db/formulas'

export default route(saveFormulaSchema, ({ db, id, now, body }) => {
  const saved = saveFormula(db, id, body.revision, body.document, now)
  if (saved.kind === 'saved') return saved.formula
  if (saved.kind === 'gone') refuse(410, 'This formula is deleted. Restore it or keep a copy.')
  refuse(409, 'This formula was changed elsewhere in the meantime.', 'revision', {
    theirs: saved.formula,
  })
})
