import { getSniffing } from '../../../db/sniffings'

/** Ends a round after its last nose and tells which jar was which. */
export default route(
  null,
  ({ db, id, now }) => {
    const round = getSniffing(db, id) ?? refuse(404, 'There is no such round.')
    if (!round.noses.length) refuse(422, 'Nobody has sniffed yet.')
    return round.closed ? revealed(db, round) : endSniffing(db, round, now)
  },
  { may: ['bench', 'rack'], bytes: 0 },
)
