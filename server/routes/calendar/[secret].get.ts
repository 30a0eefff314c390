import { feedSecret } from '../../db/calendar'

/** The calendar for other programs: who knows the address may read it, and nothing else. */
export default defineEventHandler(async (event) => {
  const db = await database()
  const asked = getRouterParam(event, 'secret')
  if (asked !== `${feedSecret(db)}.ics`) {
    setResponseStatus(event, 404)
    return { errors: [{ path: '', says: 'There is no calendar at this address.' }] }
  }
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'inline; filename="soap.ics"')
  setResponseHeader(event, 'cache-control', 'no-store')
  return calendarFile(db, instant().toISOString())
})
