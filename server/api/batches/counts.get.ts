import { countByFormula } from '../../db/batches'

/** How many batches were made of each formula, by its id. */
export default route(null, ({ db }) => countByFormula(db), { may: ['read'] })
