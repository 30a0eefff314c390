import { saveSchema } from '#contracts/document'
import { lotSchema } from '#contracts/store'
import { getLot, saveLot } from '../../db/lots'

export default route(
  saveSchema(lotSchema),
  ({ db, id, now, caller, body }) => {
    checkLot(db, id, body.document, 'document')
    const saved = saveLot(db, id, body.revision, body.document, now, callerName(caller))
    if (saved.kind === 'gone') refuse(410, 'This lot is deleted. Restore it or keep a copy.')
    const lot = getLot(db, id)
    if (saved.kind === 'saved') return lot
    refuse(409, 'This lot was changed elsewhere in the meantime.', 'revision', { theirs: lot })
  },
  { may: ['rack', 'formulas'] },
)
