import { lessonsOfFormula } from '../../../db/batches'

/** What its batches taught, until somebody drops it. */
export default route(null, ({ db, id }) => lessonsOfFormula(db, id), { may: ['read'] })
