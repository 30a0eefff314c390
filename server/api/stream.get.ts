import { z } from 'zod'
import { idSchema } from '#contracts/batch'
import { mayDo } from '#contracts/rights'
import type { StreamMessage } from '#contracts/stream'
import { listen, standInsOf } from '../devices/hub'
import { epochOf } from '../db/epoch'
import { eventsAfter } from '../db/runs'
import { trialEventsAfter } from '../db/trials'
import { followFacts } from '../facts/queue'

const several = <T>(one: z.ZodType<T>) =>
  z
    .union([one.array(), one.transform((single) => [single])])
    .default([])
    .pipe(z.array(z.custom<T>()).max(24))
/** Something that goes on, with the number of its last event that is known: id@12. */
const followed = several(
  z.string().regex(/^[0-9a-f-]{36}@\d{1,12}$/, 'It is asked for as its id@number.'),
)

/** What a browser wants to hear; every topic may stand several times. */
const asked = z.object({
  run: followed,
  trial: followed,
  /** Sets of stand-ins by their id, or * for every device that posts. */
  readings: several(z.union([idSchema, z.literal('*')])),
  room: z.literal('1').optional(),
  facts: z.literal('1').optional(),
})

/** ms between two readings of a room: it changes slowly. */
const roomPace = 5000

/** The one stream of a browser: all that it wants to hear as it comes, and first what it missed. */
export default route(
  null,
  ({ db, event, caller, query }) => {
    const { run, trial, readings, room, facts } = parsed(asked, query)
    return stream<StreamMessage>(event, caller, (send) => {
      send({ topic: 'epoch', data: epochOf(db) })
      const ends: (() => void)[] = []
      for (const one of run) {
        const [id, after] = one.split('@') as [string, string]
        ends.push(followRun(id, (events) => send({ topic: 'run', run: id, data: events })))
        const missed = eventsAfter(db, id, Number(after))
        if (missed.length) send({ topic: 'run', run: id, data: missed })
      }
      for (const one of trial) {
        const [id, after] = one.split('@') as [string, string]
        ends.push(followTrial(id, (events) => send({ topic: 'trial', trial: id, data: events })))
        const missed = trialEventsAfter(db, id, Number(after))
        if (missed.length) send({ topic: 'trial', trial: id, data: missed })
      }
      if (readings.length && mayDo(caller, ['bench', 'rack']))
        ends.push(
          listen((reading) => {
            const sets = readings.filter((of) => of === '*' || reading.device.startsWith(of))
            for (const set of sets) standInsOf(set)?.keepAlive()
            if (sets.length) send({ topic: 'reading', data: reading })
          }),
        )
      if (room) {
        const tell = () =>
          void database().then((now) => send({ topic: 'room', data: roomNow(now) }))
        tell()
        const timer = setInterval(tell, roomPace)
        ends.push(() => clearInterval(timer))
      }
      if (facts) ends.push(followFacts((data) => send({ topic: 'facts', data })))
      return () => {
        for (const end of ends) end()
      }
    })
  },
  { may: ['read'] },
)
