import { z } from 'zod'
import { thumbnailPatterns } from './words'

/** The small picture of a bar by which a formula and its batches are recognised: its colours from the bottom up, and how they lie. */
export const thumbnailSchema = z.strictObject({
  pattern: z.enum(thumbnailPatterns),
  colours: z
    .array(z.string().regex(/^#[0-9a-f]{6}$/, { error: 'A colour is # and six hex digits.' }))
    .min(1)
    .max(12),
})
export type Thumbnail = z.infer<typeof thumbnailSchema>
