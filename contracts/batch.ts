import { z } from 'zod'
import { barsSchema, cureDaysSchema, idSchema, limitedRecord } from './basics'
import type { Check, ToldBatchEvent } from './batchEvents'
import type { LessonAbout, Trouble } from './rackWords'
import type { Frozen } from './result'
import { thumbnailSchema, type Thumbnail } from './thumbnail'

export { daySchema, idSchema } from './basics'
export { batchEventSchema } from './batchEvents'
export type {
  AtBench,
  BatchEvent,
  Check,
  Difference,
  Made,
  NewBatchEvent,
  ToldBatchEvent,
} from './batchEvents'

/** How long a batch cures: days, and the rule they come from. */
export const cureSchema = z.strictObject({
  rule: z.string().min(1).max(40),
  days: cureDaysSchema,
})
export type Cure = z.infer<typeof cureSchema>

/** What the app sends to make a batch. The id is the client's, so that a repeated request makes only one batch. */
export const newBatchSchema = z.strictObject({
  id: idSchema,
  formulaId: idSchema,
  /** The revision the maker saw; a formula that has moved on is not made by mistake. */
  revision: z.number().int().min(1),
  bars: barsSchema,
  cure: cureSchema,
  overruled: limitedRecord(z.string().max(80), z.string().trim().min(3).max(500), 60).default({}),
})
export type NewBatch = z.infer<typeof newBatchSchema>

/** Whether bars may be used, on what it rests, and since when. */
export interface Usable {
  /**
   * untested: nobody has looked; usable: a strip of 10 or less; trusted: by the weights alone, a weaker basis; held: over 10, to
   * be tested again; locked: over 11, a zap, or free lye by the weights.
   */
  state: 'untested' | 'usable' | 'trusted' | 'held' | 'locked'
  since: string | null
  /** The highest reading that counts. */
  ph: number | null
  because: 'strip' | 'zap' | 'weights' | 'nothing'
}

/** The shape of a bar's drying, as `core/rack/drying/model.ts` reads it. */
export interface DryingShape {
  /** Share of the mass at the pour that is lost in the end, 0–1. */
  loss: number
  /** Days after which half of it is lost, above 0; of its first stage, where there is a second. */
  halfDays: number
  /** How it is stretched at the beginning: 1 is one exponential, less is quicker there. */
  early: number
  /** How it is stretched in the end: less than 1 is slower than one exponential. */
  late: number
  /** Share of the loss that goes in a slow second stage, 0–1, and days to half of that. */
  slowShare: number
  slowHalfDays: number
}

/** g of the mean marked bar on a day since the pour: in the middle, and where nine of ten such batches lie. */
export interface DryingPoint {
  day: number
  low: number
  at: number
  high: number
}

/** What the drying fit says, in days of the calendar. Grams of one bar. */
export interface DryingFacts {
  dryOn: string
  from: string
  to: string
  /** The day before own records moved it, where they did. */
  rawDryOn?: string
  gramsDry: number
  /** g that 97.5 of 100 bars still weigh when long dried. */
  netGrams: number
  /** g of a mean marked bar at the pour, and how it dries, in the middle of what is possible. */
  grams: number
  shape: DryingShape
  /** Marked bars that it rests on; 0 while it is only to be expected. */
  bars: number
  /** Days on which some were weighed. */
  times: number
  /** Whether the loss was seen to level off: until then weighing on tells most. */
  levelled: boolean
  /** Sent with a batch by itself, not in lists. */
  curve?: DryingPoint[]
}

/** What the events of a batch come to, whatever the day is. Kept with the batch so that lists need not read its events. */
export interface BatchFacts {
  pouredOn: string | null
  cutOn: string | null
  leftOn: string | null
  spoiled: boolean
  /** Good bars as cut, or as planned until then. */
  bars: number
  /** Bars that went, by how; those binned and reworked included. */
  out: number
  /** Checks after the pour that are still open. */
  checks: Check[]
  /** The loaf was tried and is to be tried again then; null otherwise. */
  tryAgainAt: string | null
  /** It lies in the freezer until then. Not there in facts from before it was told apart. */
  inFreezer?: boolean
  /** Instant of the pour, where somebody looked at the clock. Not there in facts from before it was kept. */
  pouredAt?: string | null
  /** Kept for laundry: not for skin. */
  laundry: boolean
  /** The day on which it was melted again, from which it dries anew. Not there in facts from before that was told. */
  remeltedOn?: string | null
  usable: Usable
  /** Chance of lye left over, by the weights and the spread of the fats; null while it is being worked out. */
  lyeHeavy: number | null
  /** For dishes or laundry by its formula. */
  cleaning: boolean
  /**
   * Somebody weighed it; it is slow to finish (no gel, citric acid, a cold pot); soda or silicate is in it, so that no strip
   * decides. Not there in facts from before they were told apart.
   */
  weights?: boolean
  slow?: boolean
  builders?: boolean
  releasedOn: string | null
  turnedOn: string | null
  weighedOn: string | null
  /** Bars that are weighed again and again, by the mark on them, and what each weighed last, g. */
  weighed: { bar: number; grams: number }[]
  drying: DryingFacts | null
  /** What was foretold at the third weigh-in, as it was kept, once there are more: to be held against what was true. */
  forecast: { on: string; dryOn: string; from: string; to: string } | null
  /** Where the bars stand, as last put there. */
  spread: { place: string; bars: number }[]
  /** Troubles that were seen, the worst of each, and when somebody is to look at it again. */
  troubles: { trouble: Trouble; how: number; lookOn: string | null }[]
}

/** Pictures that batches are given in place of theirs. */
export const batchThumbnailsSchema = z.strictObject({
  pictures: z
    .array(z.strictObject({ id: idSchema, thumbnail: thumbnailSchema }))
    .min(1)
    .max(5000),
})

/** What a batch of a formula taught. */
export interface FormulaLesson {
  id: string
  batchId: string
  number: number
  day: string
  says: string
  about: LessonAbout | null
}

/** A batch for lists: what a picture, a plank and a due list need. */
export interface BatchSummary {
  id: string
  number: number
  formulaId: string
  name: string
  madeAt: string
  bars: number
  cure: Cure
  thumbnail: Thumbnail
  batterGrams: number
  facts: BatchFacts
}

/** A batch as the routes send it: with its formula as frozen, and what happened. */
export type Batch = BatchSummary & {
  frozen: Frozen
  events: ToldBatchEvent[]
}

/** A batch by one figure of it, and when it showed a trouble; null for days that never were. */
export interface AlongBatch {
  id: string
  number: number
  name: string
  thumbnail: Thumbnail
  /** In grams, fractions, °C or days, as the figure goes. */
  value: number
  pouredOn: string
  leftOn: string | null
  seenOn: string | null
}
