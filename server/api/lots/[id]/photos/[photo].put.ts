import { getLot } from '../../../../db/lots'

export default photoRoute(['rack', 'formulas'], (db, id) => {
  if (!getLot(db, id)) refuse(404, 'There is no such lot; it may be deleted.')
  return { lotId: id }
})
