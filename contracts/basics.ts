import { z } from 'zod'

/** A calendar day, as 2026-11-23. */
export const daySchema = z.iso.date({ error: 'This must be a day, as 2026-11-23.' })
export const idSchema = z.uuid({ error: 'This must be an id made by Mantle.' })
/** Days of cure by the calendar. */
export const cureDaysSchema = z.number().int({ error: 'Days are whole numbers.' }).min(1).max(1500)
/** How many bars. */
export const barsSchema = z
  .number()
  .int({ error: 'Bars are counted in whole numbers.' })
  .min(1)
  .max(10_000)
/** Words to values, so many at most. */
export const limitedRecord = <Value>(
  keys: z.ZodType<string, string>,
  values: z.ZodType<Value>,
  most: number,
) =>
  z
    .record(keys, values)
    .refine((record) => Object.keys(record).length <= most, `There may be at most ${most} of them.`)
