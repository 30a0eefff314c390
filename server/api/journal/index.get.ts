import { journalQuerySchema } from '#contracts/journal'
import { searchJournal } from '../../db/journal'

/** The time line, or what is found in it, some at a time. */
export default route(
  null,
  ({ db, query }) => {
    const { search, before, ...filter } = parsed(journalQuerySchema, query)
    return searchJournal(db, search, filter, before)
  },
  { may: ['read'] },
)
