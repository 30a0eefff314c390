import { z } from 'zod'
import { idSchema } from './batch'
import { formulaSchema, type FormulaDocument } from './formula'

const words = z.string().trim().max(500)
const didIt = z.enum(['yes', 'partly', 'no']).nullable()

/** One of several changes that a version makes: in short what it is, what it is for, and whether it did that; null as long as nobody knows. */
const changeSchema = z.strictObject({
  what: z.string().trim().min(1).max(300),
  purpose: words.default(''),
  didIt: didIt.default(null),
})
const changes = z.array(changeSchema).max(20)
export type VersionChange = z.infer<typeof changeSchema>

/** What the app sends to keep a formula as it is now under a name. The id is the client's. */
export const newVersionSchema = z.strictObject({
  id: idSchema,
  /** The revision the maker saw; a formula that has moved on is not kept by mistake. */
  revision: z.number().int().min(1),
  name: z.string().trim().min(1).max(80),
  purpose: words.default(''),
  changes: changes.default([]),
  /** A document that was not kept as the formula, as the side of a conflict that was left; without it, the formula as it is. */
  document: formulaSchema.optional(),
})

/** What may be written about a version later; its document never changes. */
export const versionNotesSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  /** What the change is for, in the maker's words. */
  purpose: words,
  /** Whether it did it; null as long as nobody knows. */
  didIt,
  learned: words,
  /** What was changed, where it was more than one thing. */
  changes: changes.default([]),
})
export type VersionNotes = z.infer<typeof versionNotesSchema>

/** What the app sends to change the notes: all of them, and the revision the screen saw. */
export const noteVersionSchema = versionNotesSchema.extend({
  /** Those that are there stay where none are sent. */
  changes: changes.optional(),
  revision: z.number().int().min(1),
})

export interface FormulaVersion extends VersionNotes {
  id: string
  /** Rises by one with every change of the notes. */
  revision: number
  formulaId: string
  /** 1 for the first version of this formula. */
  number: number
  keptAt: string
  document: FormulaDocument
}

/** A version without its document, for lists to choose from. */
export type VersionSummary = Pick<FormulaVersion, 'id' | 'formulaId' | 'number' | 'name' | 'keptAt'>
