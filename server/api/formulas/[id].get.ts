import { getFormula } from '../../db/formulas'

export default route(
  null,
  ({ db, id }) => getFormula(db, id) ?? refuse(404, 'There is no such formula; it may be deleted.'),
)
