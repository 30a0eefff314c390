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
