import {
  batchEventSchema,
  type Batch,
  type DryingShape,
  type NewBatchEvent,
  type ToldBatchEvent,
} from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { Frozen } from '#contracts/result'
import { blankFormula } from '#core/formula/blank'
import { freeze } from '#core/batch/freeze'
import { library } from '#core/materials/library'
import { factsOf } from '#core/rack/facts'

/* Batches for tests of the rack: a plain slab of olive and coconut unless something else is asked for. */

const at = '2026-03-01T09:00:00Z'
let count = 0
const idOf = (number: number) => `00000000-0000-7000-8000-${String(number).padStart(12, '0')}`

/** An event with an id of its own. */
export const told = (event: NewBatchEvent): ToldBatchEvent =>
  ({ ...batchEventSchema.parse({ id: idOf(count++), ...event }), at }) as ToldBatchEvent

/** A formula, frozen. */
export const frozenOf = (changes: Partial<FormulaDocument> = {}): Frozen =>
  freeze(
    {
      ...blankFormula('Slab'),
      fats: [
        { id: 'olive', share: 0.7, moment: 'pot' as const, inLye: true },
        { id: 'coconut', share: 0.3, moment: 'pot' as const, inLye: true },
      ],
      ...changes,
    },
    library,
  )
const slab = frozenOf()

/** Twelve bars of it, with what happened. */
export const batchOf = (
  events: ToldBatchEvent[],
  { days = 42, frozen = slab, ...more }: Partial<Batch> & { days?: number } = {},
): Batch => ({
  id: 'batch',
  number: 1,
  formulaId: 'formula',
  name: 'Slab',
  madeAt: at,
  bars: 12,
  cure: { rule: 'most', days },
  thumbnail: { pattern: 'plain', colours: ['#eeeeee'] },
  batterGrams: frozen.result.batter,
  frozen,
  events,
  facts: factsOf({ bars: more.bars ?? 12, frozen, events }, { humidity: 0.55, days: [] }),
  ...more,
})

/** A bar that dries as one exponential: share lost in the end, and pace per day. */
export const exponential = (loss: number, perDay: number): DryingShape => ({
  loss,
  halfDays: Math.LN2 / perDay,
  early: 1,
  late: 1,
  slowShare: 0,
  slowHalfDays: 1,
})
