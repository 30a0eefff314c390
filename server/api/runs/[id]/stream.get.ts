import type { ToldEvent } from '#contracts/run'
import { eventsAfter } from '../../../db/runs'

/** What is added to a run, from `?after=` on: first what was missed, then what comes. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  const after = Number(getQuery(event).after ?? 0) || 0
  const db = await database()
  return stream<ToldEvent[]>(event, (send) => {
    const end = followRun(id, send)
    const missed = eventsAfter(db, id, after)
    if (missed.length) send(missed)
    return end
  })
})
