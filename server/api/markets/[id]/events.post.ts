import { marketEventsSchema } from '#contracts/market'
import { marketOf } from '#core/stores/market'
import { whyNotOut } from '#core/events/out'
import { formulas } from '../../../db/documents'
import { getBatch } from '../../../db/batches'
import { addMarketEvents, getMarket } from '../../../db/markets'
import { queueStale } from '../../../facts/queue'

export default route(
  marketEventsSchema,
  ({ db, id, now, body }) => {
    const market =
      getMarket(db, id) ?? refuse(404, 'There is no such market day; it may be deleted.')
    const known = new Set(market.events.map((event) => event.id))
    const fresh = body.events.filter((event) => !known.has(event.id))
    fresh.forEach((event, place) => {
      if (event.kind === 'asked' && !formulas.get(db, event.formulaId))
        refuse(422, 'There is no such formula; it may be deleted.', `events[${place}].formulaId`)
      if (!('batchId' in event)) return
      const batch =
        getBatch(db, event.batchId) ??
        refuse(422, 'There is no such batch.', `events[${place}].batchId`)
      if (event.kind !== 'packed' || event.bars === 0) return
      const says = whyNotOut(batch.facts, event.bars, 'sold')
      if (says) refuse(422, `${batch.name} ${batch.number}: ${says}`, `events[${place}].bars`)
    })
    if (fresh.some(({ kind }) => kind === 'closed')) {
      const after = marketOf([...market.events, ...fresh])
      const odd = after.lines.find(({ home, missing }) => home === null || missing !== 0)
      if (odd) refuse(422, 'Some bars are neither home nor told of.', 'events')
      // What is sold is sold, also of a batch that was held meanwhile; only bars that are not there cannot have gone.
      for (const { batchId, gone } of after.lines) {
        const { facts, name, number } = getBatch(db, batchId)!
        const bars = gone.sold + gone.given + gone.broken
        if (bars > facts.bars - facts.out)
          refuse(422, `Of ${name} ${number} fewer bars are left than went here.`, 'events')
      }
    }
    const taken = addMarketEvents(db, id, body.events, now)
    if (taken.kind === 'closed')
      refuse(409, 'This market day is closed. What went otherwise is told of the batch.')
    if (taken.kind === 'other-content')
      refuse(409, 'Something else was written down under the same id.', `events[${taken.place}].id`)
    queueStale(db)
    return getMarket(db, id)
  },
  { may: ['rack'] },
)
