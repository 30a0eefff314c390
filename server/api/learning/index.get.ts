import { batchRecords } from '../../db/learning'

/** Every poured batch by its figures, for questions to the workshop's own records. */
export default route(null, ({ db }) => batchRecords(db), { may: ['read'] })
