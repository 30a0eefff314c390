import { knownOf } from '../../db/known'

/** What is known of every scent: what its sheet and its supplier say, and what was found here. */
export default route(null, ({ db }) => [...knownOf(db).values()], { may: ['read'] })
