import { designs } from '../../../../db/documents'

export default photoRoute(['formulas'], (db, id) => {
  if (!designs.get(db, id)) refuse(404, 'There is no such design; it may be deleted.')
  return { designId: id }
})
