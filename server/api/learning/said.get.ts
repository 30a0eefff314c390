import { forecastsThatCame } from '../../db/forecasts'

/** Every forecast that has come due, as it was kept, with what came. */
export default route(null, ({ db }) => forecastsThatCame(db), { may: ['read'] })
