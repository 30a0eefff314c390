import { z } from 'zod'
import { yearEntries } from '../../db/yearbook'

const asked = z.object({
  year: z.coerce
    .number('A year is four digits.')
    .int('A year is four digits.')
    .min(1900, 'A year is four digits.')
    .max(2999, 'A year is four digits.'),
})

/** The batches that were poured in a year, in words, the oldest first: `?year=2026`. */
export default route(null, ({ db, query }) => yearEntries(db, parsed(asked, query).year), {
  may: ['read'],
})
