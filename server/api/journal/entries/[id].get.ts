import { entryOf } from '../../../db/journal'

/** One entry of the time line, by what it is of. */
export default route(
  null,
  ({ db, id }) => entryOf(db, id) ?? refuse(404, 'There is nothing like that in the journal.'),
  { may: ['read'] },
)
