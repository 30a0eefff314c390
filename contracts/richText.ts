import { z } from 'zod'

/*
 * A formatted note as the editor keeps it: a tree of a few kinds of nodes, none of which can carry anything that runs.
 */

const markSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.enum(['bold', 'italic', 'strike']) }),
  z.strictObject({
    type: z.literal('link'),
    attrs: z.object({
      href: z
        .string()
        .max(1000)
        .regex(/^https?:\/\//i, 'A link begins with http:// or https://.'),
    }),
  }),
])
const wordsSchema = z.strictObject({
  type: z.literal('text'),
  text: z.string().min(1).max(20_000),
  marks: z.array(markSchema).max(4).optional(),
})
const breakSchema = z.strictObject({ type: z.literal('hardBreak') })
const lineSchema = z.array(z.union([wordsSchema, breakSchema])).max(400)
const paragraphSchema = z.strictObject({
  type: z.literal('paragraph'),
  content: lineSchema.optional(),
})
const headingSchema = z.strictObject({
  type: z.literal('heading'),
  attrs: z.object({ level: z.number().int().min(2).max(3) }),
  content: lineSchema.optional(),
})

export type RichLine = z.infer<typeof lineSchema>
export type RichNode =
  | z.infer<typeof paragraphSchema>
  | z.infer<typeof headingSchema>
  | {
      type: 'bulletList' | 'orderedList' | 'listItem' | 'blockquote'
      attrs?: { start?: number; type?: string | null }
      content: RichNode[]
    }
const nodeSchema: z.ZodType<RichNode> = z.lazy(() =>
  z.union([
    paragraphSchema,
    headingSchema,
    z.strictObject({
      type: z.enum(['bulletList', 'orderedList', 'listItem', 'blockquote']),
      attrs: z
        .object({ start: z.number().int().optional(), type: z.string().nullable().optional() })
        .optional(),
      content: z.array(nodeSchema).min(1).max(400),
    }),
  ]),
)

/** The whole note. */
export const richTextSchema = z.strictObject({
  type: z.literal('doc'),
  content: z.array(nodeSchema).max(600),
})
export type RichText = z.infer<typeof richTextSchema>
