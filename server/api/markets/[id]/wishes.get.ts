import { soldBefore } from '../../../db/markets'
import { formulas, markets } from '../../../db/documents'

/** What usually goes on such a day: bars that went on the last ones of its name, by formula. */
export default route(
  null,
  ({ db, id }) => {
    if (!markets.get(db, id)) refuse(404, 'There is no such market day; it may be deleted.')
    return [...soldBefore(db, id)].map(([formulaId, sold]) => ({
      formulaId,
      name: formulas.get(db, formulaId)?.document.name ?? 'A formula that is deleted',
      sold,
    }))
  },
  { may: ['read'] },
)
