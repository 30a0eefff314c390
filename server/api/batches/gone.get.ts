import { z } from 'zod'
import { listGone } from '../../db/batches'

const asked = z.object({
  find: z.string().trim().max(80).default(''),
  before: z.coerce.number().int().min(1).default(Number.MAX_SAFE_INTEGER),
  most: z.coerce.number().int().min(1).max(200).default(100),
})

/** Batches of which nothing is left, a page at a time: `?before=` the number of the last one seen, `?find=` part of a name or a number. */
export default route(
  null,
  ({ db, event, query }) => {
    const { find, before, most } = parsed(asked, query)
    return json(event, listGone(db, find, before, most))
  },
  { may: ['read'] },
)
