import { sniffSchema } from '#contracts/sniffing'
import { blind, getSniffing, keepSniff } from '../../../db/sniffings'

/** What one nose wrote of the jars. */
export default route(
  sniffSchema,
  ({ db, id, now, body }) => {
    const round = getSniffing(db, id) ?? refuse(404, 'There is no such round.')
    if (round.closed) refuse(409, 'The names have been told: nobody sniffs blind any more.')
    const codes = new Set(round.jars.map(({ code }) => code))
    for (const code of Object.keys(body.answers))
      if (!codes.has(code)) refuse(422, `No jar is called ${code}.`, `answers.${code}`)
    for (const code of Object.keys(body.said))
      if (body.answers[code] === undefined) refuse(422, `${code} has no answer.`, `said.${code}`)
    if (!Object.keys(body.answers).length) refuse(422, 'Sniff at one jar at least.', 'answers')
    keepSniff(db, id, body, now)
    return blind(getSniffing(db, id)!)
  },
  { may: ['bench', 'rack'] },
)
