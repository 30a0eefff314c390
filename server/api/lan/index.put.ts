import { z } from 'zod'
import { setOpen } from '../../db/paired'
import { listener } from '../../lan/listener'
import { closeLan, openLan } from '../../lan/network'

export default route(z.strictObject({ open: z.boolean() }), async ({ db, body }) => {
  if (!body.open) closeLan()
  const problem = body.open ? await openLan(listener()) : null
  if (problem) refuse(409, problem, 'open')
  setOpen(db, body.open)
  return { open: body.open }
})
