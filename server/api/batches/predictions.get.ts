import { foretoldAndCame } from '../../db/batches'

/** Predictions that are held against what came. */
const most = 80

export default route(null, ({ db }) => foretoldAndCame(db, most), { may: ['read'] })
