import { z } from 'zod'

/** Who scents and colours are bought from, and how they try them before they say what they say. */
export const supplierSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  note: z.string().trim().max(2000).default(''),
  /** The soap, water and temperature that their claims were made with; null as long as nobody asked. */
  tested: z
    .strictObject({
      /** Of the oils. */
      rate: z.number().min(0).max(0.2).nullable().default(null),
      /** Water : lye. */
      ratio: z.number().min(0.8).max(6).nullable().default(null),
      celsius: z.number().min(0).max(90).nullable().default(null),
      batter: z.string().trim().max(200).default(''),
    })
    .default({ rate: null, ratio: null, celsius: null, batter: '' }),
})
export type Supplier = z.infer<typeof supplierSchema>
