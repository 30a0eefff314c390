import { forecastsAndActual } from '../../db/batches'

/** Predictions that are held against what was true. */
const most = 80

export default route(null, ({ db }) => forecastsAndActual(db, most), { may: ['read'] })
