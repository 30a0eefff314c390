import { lots } from '../../../db/documents'
import { getLot } from '../../../db/lots'

export default route(
  null,
  ({ db, id }) => (lots.restore(db, id) ? getLot(db, id) : refuse(404, 'There is no such lot.')),
  { may: ['rack', 'formulas'] },
)
