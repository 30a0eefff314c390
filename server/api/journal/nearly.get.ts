import { journalQuerySchema } from '#contracts/journal'
import { nearlyFound } from '../../db/journal'

/** What fits all words of a search but one; nothing where there is none. */
export default route(
  null,
  ({ db, query }) => {
    const { search, before: _, ...filter } = parsed(journalQuerySchema, query)
    return { nearly: nearlyFound(db, search, filter) }
  },
  { may: ['read'] },
)
