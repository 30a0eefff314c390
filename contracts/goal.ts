import { z } from 'zod'
import { barsSchema, daySchema, idSchema } from './basics'

/** Bars of a formula that are wanted by a day. */
export const goalSchema = z.strictObject({
  what: z.string().trim().min(1, 'Say what for.').max(80),
  on: daySchema,
  formulaId: idSchema,
  bars: barsSchema,
})
export type Goal = z.infer<typeof goalSchema>
