import type { BatchFigures, BatchRecord } from '#contracts/learning'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '#core/formula/blank'

let made = 0
/** A batch by its figures, poured on 1 March 2026 unless said otherwise. */
export const record = (figures: BatchFigures, more: Partial<BatchRecord> = {}): BatchRecord => ({
  id: `batch-${++made}`,
  number: made,
  name: 'Hostel Bar',
  formulaId: 'formula',
  thumbnail: { pattern: 'plain', colours: ['#ffffff'] },
  pouredOn: '2026-03-01',
  leftOn: null,
  figures,
  seen: {},
  ...more,
})

/** 1000 g of olive oil at 5 % superfat and 2.2 : 1. */
export const example: FormulaDocument = {
  ...blankFormula('Salt Flat'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
}
