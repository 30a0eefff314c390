import type { StreamedReading } from './device'
import type { RoomReading } from './room'
import type { ToldEvent } from './run'
import type { ToldTrialEvent } from './trial'

/** What a browser hears by its one stream. */
export type StreamMessage =
  /** First of all: which life of the database this is. */
  | { topic: 'epoch'; data: string }
  | { topic: 'run'; run: string; data: ToldEvent[] }
  | { topic: 'trial'; trial: string; data: ToldTrialEvent[] }
  | { topic: 'reading'; data: StreamedReading }
  /** The room as its sensor reads it; null while it is silent. */
  | { topic: 'room'; data: RoomReading | null }
  /** The facts of this batch have become other ones. */
  | { topic: 'facts'; data: string }
