import { z } from 'zod'
import { limitedRecord } from './basics'
import { codeSchema } from './scent'
import { sniffWords, strengths } from './trialWords'

/** What a nose said of a jar besides its strength. */
const saidSchema = z.strictObject({
  unsure: z.boolean().default(false),
  words: z.array(z.enum(sniffWords)).max(sniffWords.length).default([]),
})
export type Said = z.infer<typeof saidSchema>

/** What one nose wrote of the jars, by their codes. */
export const sniffSchema = z.strictObject({
  nose: z.string().trim().min(1, 'Say whose nose it is.').max(60),
  answers: limitedRecord(codeSchema, z.union(strengths.map((one) => z.literal(one))), 200),
  said: limitedRecord(codeSchema, saidSchema, 200).default({}),
})

/** A round of noses as a page may see it before the last one is through: nothing says which jar is which scent. */
export interface Sniffing {
  id: string
  /** Codes of the jars, by the alphabet. */
  jars: string[]
  noses: { nose: string; jars: number }[]
}

/** What the jars were, after the last nose. */
export interface Revealed {
  id: string
  /** Whose round is set apart, since they smelt something in plain soap. */
  apart: string[]
  noses: string[]
  jars: {
    code: string
    name: string
    scentId: string | null
    trialId: string
    pot: number
    day: number
    /** What each nose wrote, in the order of `noses`; null where one left the jar out. */
    strengths: (0 | 1 | 2 | 3 | null)[]
    /** What each nose said besides, in the same order. */
    said: (Said | null)[]
  }[]
}
