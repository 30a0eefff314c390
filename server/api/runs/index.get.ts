import { openRuns } from '../../db/runs'

export default route(null, ({ db }) => openRuns(db), { may: ['read'] })
