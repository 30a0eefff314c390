import type { BatchSummary, NewBatchEvent } from '#contracts/batch'

/** What a maker can write down about a batch in a dialog. */
export type BatchQuestion =
  | 'poured'
  | 'peek'
  | 'tried'
  | 'cut'
  | 'finished'
  | 'placed'
  | 'gelled'
  | 'strip'
  | 'zapped'
  | 'trusted'
  | 'released'
  | 'felt'
  | 'trouble'
  | 'corrected'
  | 'noted'
  | 'out'
  | 'left'

type Undated<Event> = Event extends { day: string } ? Omit<Event, 'day'> : never
/** What the fields of a question come to, before the day is known; null while something is missing. */
export type BatchAnswer = Undated<NewBatchEvent> | null

/** The one dialog that writes down what happened to a batch; null while it is closed. */
export const useBatchDialog = () =>
  useState<{ batch: BatchSummary; asks: BatchQuestion } | null>('batch-dialog', () => null)

/** The batches of a round at the scale; null while nobody weighs. */
export const useWeighRound = () => useState<BatchSummary[] | null>('weigh-round', () => null)
