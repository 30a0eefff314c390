import { restoreFormula } from '../../../db/formulas'

export default route(
  null,
  ({ db, id }) => restoreFormula(db, id) ?? refuse(404, 'There is no such formula.'),
)
