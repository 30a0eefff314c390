import type { BatchSummary, NewBatchEvent } from '#contracts/batch'
import type { Kind } from '#core/events/kind'

type Undated<Event> = Event extends { day: string } ? Omit<Event, 'day'> : never
/** What the fields of a dialog come to, before the day is known; null while something is missing. */
export type BatchAnswer = Undated<NewBatchEvent> | null
/** What the fields of every kind of event are given. */
export interface AskProps {
  batch: BatchSummary
  /** The day that stands above the fields; empty while none does. */
  day: string
  /** What this dialog wrote down just before. */
  before: BatchAnswer
}

/** The one dialog that writes down what happened to a batch; null while it is closed. */
export const useBatchDialog = () =>
  useState<{ batch: BatchSummary; asks: Kind } | null>('batch-dialog', () => null)

/** The batches of a round at the scale; null while nobody weighs. */
export const useWeighRound = () => useState<BatchSummary[] | null>('weigh-round', () => null)
