import { newFeedSecret } from '../../db/calendar'

/** A new private address; the old one ends. */
export default route(null, ({ db }) => ({ path: `/calendar/${newFeedSecret(db)}.ics` }))
