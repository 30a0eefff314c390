import { v7 } from 'uuid'
import { z } from 'zod'
import { rightsOfScale } from '#contracts/rights'
import { addPaired } from '../../db/paired'
import { hashOf, newSecret } from '../../lan/pairing'

/** A key for a scale or probe that has no screen to type a code on: shown once, sent as a bearer token. It posts readings, no more. */
export default route(
  z.strictObject({ name: z.string().trim().min(1).max(60) }),
  ({ db, now, body }) => {
    const secret = newSecret()
    addPaired(db, { id: v7(), name: body.name, rights: rightsOfScale }, hashOf(secret), now)
    return { secret }
  },
)
