import { deleteFormula } from '../../db/formulas'

export default route(null, ({ db, id, now }) => {
  if (!deleteFormula(db, id, now))
    refuse(404, 'There is no such formula; it may be deleted already.')
  return { id }
})
