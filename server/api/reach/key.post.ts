import { v7 } from 'uuid'
import { z } from 'zod'
import { addPaired } from '../../db/paired'
import { hashOf, newSecret } from '../../reach/pairing'

/** A key for a scale or probe that has no screen to type a code on: shown once, sent as a bearer token. */
export default route(
  z.strictObject({ name: z.string().trim().min(1).max(60) }),
  ({ db, now, body }) => {
    const secret = newSecret()
    addPaired(db, v7(), body.name, hashOf(secret), now)
    return { secret }
  },
)
