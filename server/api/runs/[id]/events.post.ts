import { runEventsSchema } from '#contracts/run'
import { addRunEvents, getRun } from '../../../db/runs'

export default route(runEventsSchema, ({ db, id, now, body }) => {
  const run = getRun(db, id) ?? refuse(404, 'There is no such run.')
  const taken = addRunEvents(db, id, body.device, body.events, now, (fresh) =>
    pourFromRun(db, run, fresh, now),
  )
  if (taken.kind === 'not-leading')
    refuse(409, 'Another device leads this batch now. Nothing of this was written.', 'device', {
      driver: taken.driver,
    })
  tellFollowers(id, taken.events)
  return { events: taken.events }
})
