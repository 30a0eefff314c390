import { listAllVersions } from '../../db/versions'

export default route(null, ({ db }) => listAllVersions(db), { may: ['read'] })
