import { getRun } from '../../db/runs'

export default route(null, ({ db, id }) => getRun(db, id) ?? refuse(404, 'There is no such run.'), {
  may: ['read'],
})
