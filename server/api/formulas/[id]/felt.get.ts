import { feltOfFormula } from '../../../db/batches'

/** How bars of this formula felt in use. */
export default route(null, ({ db, id }) => feltOfFormula(db, id), { may: ['read'] })
