import { marksOfFormula } from '../../../db/runs'

/** How the batter of this formula went at the bench before. */
export default route(null, ({ db, id }) => marksOfFormula(db, id), { may: ['read'] })
