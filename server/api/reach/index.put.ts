import { z } from 'zod'
import { setOpen } from '../../db/paired'
import { listener } from '../../reach/listener'
import { closeDoor, openDoor } from '../../reach/network'

export default route(z.strictObject({ open: z.boolean() }), async ({ db, body }) => {
  if (!body.open) closeDoor()
  const problem = body.open ? await openDoor(listener()) : null
  if (problem) refuse(409, problem, 'open')
  setOpen(db, body.open)
  return { open: body.open }
})
