import { z } from 'zod'
import { listEmpty } from '../../db/lots'

const asked = z.object({
  find: z.string().trim().max(80).default(''),
  before: z.string().max(10).default('9999'),
})

/** Lots that are used up, the last that came first, fifty at a time. */
export default route(
  null,
  ({ db, event, query }) => {
    const { find, before } = parsed(asked, query)
    return json(event, listEmpty(db, find, before, 50))
  },
  { may: ['read'] },
)
