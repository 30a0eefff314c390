import type { BatchSummary } from '#contracts/batch'
import { calendarOf } from '#core/rack/calendar'
import { addDays, dayIn } from '#core/units/days'
import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { listBatches } from '../db/batches'
import type { Db } from '../db/connection'
import { getWorkshop } from '../db/workshop'

const dayArray = (day: string) => day.split('-').map(Number) as DateArray
const minuteArray = (instant: string): DateArray => {
  const at = new Date(instant)
  return [
    at.getUTCFullYear(),
    at.getUTCMonth() + 1,
    at.getUTCDate(),
    at.getUTCHours(),
    at.getUTCMinutes(),
  ]
}

/** Octets that a line of a calendar may have. */
const mostOctets = 75

/** Lines folded by octets, as the format asks for: the library counts characters, of which some have four. */
export function foldedLines(calendar: string): string {
  return calendar
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')
    .map((line) => {
      const pieces = ['']
      let octets = 0
      for (const letter of line) {
        const more = Buffer.byteLength(letter)
        if (octets + more > mostOctets) {
          // The blank that begins a folded line counts too.
          pieces.push('')
          octets = 1
        }
        pieces[pieces.length - 1] += letter
        octets += more
      }
      return pieces.join('\r\n ')
    })
    .join('\r\n')
}

/** What is to come on the rack as an iCalendar file. */
export function calendarFile(db: Db, now: string): string {
  const { name, timeZone, rack } = getWorkshop(db)
  const dayOf = (instant: string) => dayIn(timeZone, new Date(instant))
  const entries = calendarOf(JSON.parse(listBatches(db)) as BatchSummary[], dayOf(now), dayOf, rack)
  const { value, error } = createEvents(
    entries.map(({ uid, says, because, on, between }): EventAttributes => ({
      uid,
      title: says,
      description: because,
      calName: `${name}, soap`,
      productId: 'mantle',
      ...(between && between.from !== between.to
        ? { start: minuteArray(between.from), end: minuteArray(between.to) }
        : between
          ? { start: minuteArray(between.from), duration: { minutes: 15 } }
          : { start: dayArray(on), end: dayArray(addDays(on, 1)) }),
      startInputType: 'utc',
      startOutputType: 'utc',
      endInputType: 'utc',
      endOutputType: 'utc',
    })),
    { calName: `${name}, soap`, productId: 'mantle' },
  )
  if (error) throw error
  return foldedLines(value!)
}
