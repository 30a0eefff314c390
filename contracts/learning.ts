import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import type { Forecast } from './batchEvents'
import type { Thumbnail } from './thumbnail'

/*
 * What a workshop learns from its own records: batches by their figures, questions to them, forecasts and what came.
 */

/**
 * A batch by what can be asked of it: figures by their id (`core/learning/figures.ts`) in fractions, grams, minutes, days and °C, 1 and 0
 * for yes and no; what nobody knows is not there.
 */
export type BatchFigures = Record<string, number>

/** A poured batch with its figures. `seen`: days after the pour on which each trouble was first seen. */
export interface BatchRecord {
  id: string
  number: number
  name: string
  formulaId: string
  thumbnail: Thumbnail
  pouredOn: string
  leftOn: string | null
  figures: BatchFigures
  seen: Record<string, number>
}

/** Which batches a question is about. */
export const withinSchema = z.strictObject({
  formulaId: idSchema.nullable().default(null),
  gel: z.enum(['any', 'gelled', 'not']).default('any'),
  since: daySchema.nullable().default(null),
})
export type Within = z.infer<typeof withinSchema>

/** What goes with what: a cause and an outcome by the ids of their figures. */
export interface Asked {
  cause: string
  outcome: string
  within: Within
}

/** What was foretold that is held against what came. */
export const forecastKinds = [
  'stage',
  'dry',
  'peak',
  'meeting',
  'unmould',
  'net',
  'yield',
] as const satisfies readonly Forecast['what'][]
export type ForecastKind = (typeof forecastKinds)[number]
/** Forecasts that own records move: none that warn or that a label rests on. */
export const offsetKinds = ['stage', 'dry', 'unmould'] as const
export type OffsetKind = (typeof offsetKinds)[number]

/** One forecast and what came of it. `raw`: what it was before own records moved it. */
export interface CameTrue {
  what: ForecastKind
  of: string | null
  /** Days of the forecast and of what came. */
  on: string
  due: string
  at: number
  low: number
  high: number
  raw: number
  came: number
}

/** The same with the batch it is of. */
export interface ScoredForecast extends CameTrue {
  batchId: string
  number: number
  name: string
  thumbnail: Thumbnail
}

/** Own offsets that forecasts are multiplied by, with the number of batches each rests on. */
export type Offsets = Partial<Record<OffsetKind, { factor: number; of: number }>>
