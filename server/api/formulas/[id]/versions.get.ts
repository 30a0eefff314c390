import { listVersions } from '../../../db/versions'

export default route(null, ({ db, id }) => listVersions(db, id), { may: ['read'] })
