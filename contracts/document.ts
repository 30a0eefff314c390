import { z } from 'zod'

/** A document the workshop keeps. `revision` rises by one with every save, so that a stale save is noticed. */
export interface Stored<T> {
  id: string
  revision: number
  changedAt: string
  /** The device it was changed on last; empty for the computer Mantle runs on. */
  changedBy: string
  document: T
}

/** What the app sends to keep a document; revision 0 creates it. */
export const saveSchema = <T>(document: z.ZodType<T>) =>
  z.strictObject({ revision: z.number().int().min(0), document })
