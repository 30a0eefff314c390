import { listTrials } from '../../db/trials'

/** Every trial day with what its pots showed. */
export default route(null, ({ db }) => listTrials(db), { may: ['read'] })
