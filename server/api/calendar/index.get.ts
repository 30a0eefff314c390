import { feedSecret } from '../../db/calendar'

/** The private address under which calendars may read what is to come. */
export default route(null, ({ db }) => ({ path: `/calendar/${feedSecret(db)}.ics` }))
