import type { Right } from '#contracts/rights'
import { mayDo } from '#contracts/rights'
import { workshopPatchSchema, workshopSchema, type Workshop } from '#contracts/workshop'
import { roomHumidity } from '../db/room'
import { patchWorkshop } from '../db/workshop'
import { queueHere } from '../facts/queue'

/** Settings that belong to a station: who may work there may change them. All others are settings of the workshop. */
const stationOf: Partial<Record<keyof Workshop, Right>> = {
  vessels: 'bench',
  scaleCheck: 'bench',
  bench: 'bench',
  rack: 'rack',
  costing: 'formulas',
  selling: 'formulas',
  regions: 'formulas',
  lyeRisk: 'formulas',
  lyeRiskCleaning: 'formulas',
  said: 'formulas',
  citricAcid: 'formulas',
  lyeTin: 'formulas',
  begin: 'formulas',
  learning: 'formulas',
}

/** Changes of the settings, each field by itself. */
export default route(
  workshopPatchSchema,
  ({ db, now, caller, body: { revision, changes } }) => {
    for (const key of Object.keys(changes) as (keyof Workshop)[])
      if (!mayDo(caller, ['settings', stationOf[key] ?? 'settings']))
        refuse(403, 'This device may not change this setting.', key)
    const before = roomHumidity(db)
    const stale = patchWorkshop(db, revision, changes, (merged) => parsed(workshopSchema, merged))
    if (stale.length)
      refuse(409, 'This was changed elsewhere in the meantime.', stale[0], {
        theirs: workshopNow(db, now),
        stale,
      })
    logSensor(db)
    // Drying goes by the room: the forecast of every bar moves with it.
    if (roomHumidity(db) !== before || changes.learning) queueHere(db)
    return workshopNow(db, now)
  },
  { may: ['settings', 'bench', 'rack', 'formulas'] },
)
