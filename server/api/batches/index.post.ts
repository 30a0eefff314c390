import { newBatchSchema } from '#contracts/batch'
import { thumbnailsOf } from '#core/batter/thumbnail'
import { faultsInFormula } from '#core/formula/faults'
import { freeze } from '#core/batch/freeze'
import { openStops } from '#core/formula/frozen'
import { getBatch, makeBatch } from '../../db/batches'
import { formulas } from '../../db/documents'
import { workshopLibrary } from '../../db/library'

export default route(
  newBatchSchema,
  ({ db, now, body }) => {
    const made = getBatch(db, body.id)
    if (made)
      return made.formulaId === body.formulaId && made.bars === body.bars
        ? made
        : refuse(409, 'Another batch was made under this id.', 'id')
    const formula = formulas.get(db, body.formulaId)
    if (!formula) refuse(404, 'There is no such formula; it may be deleted.', 'formulaId')
    if (formula.revision !== body.revision)
      refuse(409, 'The formula has changed since; look at it once more.', 'revision')
    const { document } = formula
    const library = workshopLibrary(db)
    const faults = faultsInFormula(document, library)
    if (faults.length) throw new Refusal(422, faults)
    const frozen = freeze(document, library, body.overruled)
    const [stop] = openStops(frozen.remarks, body.overruled)
    if (stop) refuse(422, `${stop.says} ${stop.because}`, `overruled.${stop.id}`)
    const thumbnail = thumbnailsOf(formulas.list(db), library).get(body.formulaId)!
    return makeBatch(db, { ...body, frozen, thumbnail }, now)
  },
  { may: ['bench', 'formulas'] },
)
