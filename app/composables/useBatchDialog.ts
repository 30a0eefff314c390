import type { BatchSummary } from '#contracts/batch'

/** What a maker can write down about a batch in a dialog. */
export type BatchQuestion =
  'poured' | 'cut' | 'gelled' | 'strip' | 'zapped' | 'trusted' | 'released' | 'out' | 'left'

/** The one dialog that writes down what happened to a batch; null while it is closed. */
export const useBatchDialog = () =>
  useState<{ batch: BatchSummary; asks: BatchQuestion } | null>('batch-dialog', () => null)

/** The batches of a round at the scale; null while nobody weighs. */
export const useWeighRound = () => useState<BatchSummary[] | null>('weigh-round', () => null)
