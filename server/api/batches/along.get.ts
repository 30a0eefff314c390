import { z } from 'zod'
import { causeFigures, troubles } from '#contracts/rackWords'
import { alongFigure } from '../../db/batches'

const asked = z.object({ figure: z.enum(causeFigures), trouble: z.enum(troubles) })

/** All batches that were poured by one figure of theirs, and when each showed a trouble: `?figure=water&trouble=ash`. */
export default route(
  null,
  ({ db, query }) => {
    const { figure, trouble } = parsed(asked, query)
    return alongFigure(db, figure, trouble)
  },
  { may: ['read'] },
)
