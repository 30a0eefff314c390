import type { RejectReason } from '#contracts/rackWords'

/** A cut as it is being entered; null where nothing is typed. */
export interface CutDraft {
  bars: number | null
  ends: number | null
  rejects: { why: RejectReason; bars: number }[]
  /** g of a fresh bar on the mean. */
  grams: number | null
  sidesMm: [number | null, number | null, number | null]
}
