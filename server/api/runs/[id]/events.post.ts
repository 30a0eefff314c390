import { runEventsSchema } from '#contracts/run'
import { dayIn } from '#core/units/days'
import { addRunEvents, getRun } from '../../../db/runs'
import { getLot } from '../../../db/lots'
import { getWorkshop } from '../../../db/workshop'
import { queueStale } from '../../../facts/queue'

/** Told of a moment before the lot was held, or written up from paper. */
const paperOrLate = (paper: boolean, at: string, since: string): boolean =>
  paper || at.slice(0, 10) < since

export default route(
  runEventsSchema,
  ({ db, id, now, body }) => {
    const run = getRun(db, id) ?? refuse(404, 'There is no such run.')
    const today = dayIn(getWorkshop(db).timeZone, new Date(now))
    body.events.forEach((event, index) => {
      if (event.kind === 'finished' && event.pouredDay > today)
        refuse(422, 'That day has not come yet.', `events[${index}].pouredDay`)
      if (
        event.kind === 'finished' &&
        event.pouredAt &&
        Date.parse(event.pouredAt) > Date.parse(now) + clocksApart
      )
        refuse(422, 'That hour has not come yet.', `events[${index}].pouredAt`)
      if (event.kind === 'stood') {
        const lot = getLot(db, event.lotId)
        if (lot?.document.thing !== event.thing)
          refuse(422, 'There is no such lot of it; it may be deleted.', `events[${index}].lotId`)
        // What was told while the bench was cut off has happened; the hold came later.
        if (lot.document.held && !paperOrLate(run.paper, event.at, lot.document.held.since))
          refuse(
            422,
            `${lot.document.code} is held: it goes into no batch. Take another.`,
            `events[${index}].lotId`,
          )
      }
      if (Date.parse(event.at) > Date.parse(now) + clocksApart)
        refuse(
          422,
          'That moment has not come yet: look at the clock of this device.',
          `events[${index}].at`,
        )
    })
    const taken = addRunEvents(db, id, body.device, body.events, now, (fresh) => {
      pourFromRun(db, run, fresh, now)
      drawForRun(db, run, fresh, now)
      keepPeak(db, run, fresh, now)
    })
    switch (taken.kind) {
      case 'not-leading':
        return refuse(
          409,
          'Another device leads this batch now. Nothing of this was written.',
          'device',
          { driver: taken.driver },
        )
      case 'ended':
        return refuse(
          422,
          'This batch is made; nothing more goes into its run. What went in otherwise is corrected on the batch.',
        )
      case 'other-content':
        return refuse(
          409,
          'Something else was written down under the same id.',
          `events[${taken.place}].id`,
        )
      case 'taken':
        if (taken.events.some(({ kind }) => kind === 'finished')) queueStale(db)
        tellFollowers(id, taken.events)
        return { events: taken.events }
    }
  },
  { may: ['bench'] },
)
