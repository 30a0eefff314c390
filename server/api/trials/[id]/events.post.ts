import { trialEventsSchema } from '#contracts/trial'
import { whyNotOfTrial } from '#core/trials/whyNot'
import { trials } from '../../../db/documents'
import { addTrialEvents, trialEventsAfter } from '../../../db/trials'

export default route(
  trialEventsSchema,
  ({ db, id, now, body }) => {
    const trial =
      trials.get(db, id) ?? refuse(404, 'There is no such trial day; it may be deleted.')
    const before = trialEventsAfter(db, id)
    body.events.forEach((event, place) => {
      if (Date.parse(event.at) > Date.parse(now) + clocksApart)
        refuse(
          422,
          'That moment has not come yet: look at the clock of this device.',
          `events[${place}].at`,
        )
      const why = whyNotOfTrial(trial.document, before, event)
      if (why) refuse(422, why, `events[${place}]`)
      before.push({ ...event, seq: 0 })
    })
    const taken = addTrialEvents(db, id, body.events, now)
    if (taken.kind === 'other-content')
      return refuse(
        409,
        'Something else was written down under the same id.',
        `events[${taken.place}].id`,
      )
    tellTrialFollowers(id, taken.events)
    return { events: taken.events }
  },
  { may: ['bench', 'rack'] },
)
