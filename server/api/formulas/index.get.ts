import { listFormulas } from '../../db/formulas'

export default route(null, ({ db }) => listFormulas(db))
