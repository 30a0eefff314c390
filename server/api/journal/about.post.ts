import { journalAboutSchema } from '#contracts/journal'
import { journalAbout } from '../../db/journal'

/** What the journal says of some words: for what is being planned. */
export default route(journalAboutSchema, ({ db, body }) => journalAbout(db, body.words, 5), {
  may: ['read'],
})
