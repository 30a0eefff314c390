import { startRunSchema } from '#contracts/run'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { standingOf } from '#core/rack/standing'
import { formatter } from '#core/units/formatter'
import { getBatch } from '../../../db/batches'
import { getRun, runOfBatch, startRun } from '../../../db/runs'
import { getWorkshop } from '../../../db/workshop'

export default route(
  startRunSchema,
  ({ db, id, now, body }) => {
    const batch = getBatch(db, id) ?? refuse(404, 'There is no such batch.')
    if (Date.parse(body.at) > Date.parse(now) + clocksApart)
      refuse(422, 'That moment has not come yet: look at the clock of this device.', 'at')
    const begun = runOfBatch(db, id)
    if (begun) return begun
    if (getRun(db, body.id)) refuse(409, 'Another run was begun under this id.', 'id')
    const { stage, pouredOn } = standingOf(batch, '')
    if (stage === 'left') refuse(422, 'This batch has been given up.')
    if (pouredOn) refuse(422, 'This batch is poured already.')
    const { scale } = getWorkshop(db)
    const { setup, device, at, paper } = body
    const plan = planFor(contextOf(batch.frozen, setup, scale, formatter({ scale })))
    if (!plan.agrees)
      refuse(
        422,
        'The lye was worked out in two ways that do not agree. Do not make this batch; check the formula.',
      )
    return startRun(db, { id: body.id, batchId: id, setup, scale, paper, device, startedAt: at })
  },
  { may: ['bench'] },
)
