import { z } from 'zod'
import type { Stored } from './document'
import type { FormulaDocument } from './formula'

/** What holds for the whole workshop. */
export const workshopSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  /** IANA time zone; days begin and end by it. */
  timeZone: z.string().refine((zone) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone })
      return true
    } catch {
      return false
    }
  }, 'This is not a time zone, as Europe/Dublin.'),
  units: z.enum(['metric', 'imperial']),
  /** Resolution of the scale, g. */
  scale: z.union(
    [z.literal(0.01), z.literal(0.1), z.literal(0.5), z.literal(1), z.literal(2), z.literal(5)],
    {
      error: 'A scale reads in steps of 0.01, 0.1, 0.5, 1, 2 or 5 g.',
    },
  ),
})
export type Workshop = z.infer<typeof workshopSchema>

/** The workshop as the routes send it, with the server's clock. */
export interface WorkshopNow extends Workshop {
  now: string
  today: string
}

export type StoredFormula = Stored<FormulaDocument>
