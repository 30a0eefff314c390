import { z } from 'zod'
import { mouldShapes } from './formula'
import { linerKinds, mouldMaterials } from './words'

const millimetres = z.number().min(1).max(5000)
const count = z.number().int({ error: 'This is a whole number.' }).min(1)

/** A mould of the workshop: its inside measures, how it is cut, what it really takes, what it is made of. */
export const workshopMouldSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  mould: mouldShapes(millimetres, count.max(10_000), z.number().min(1).max(100_000)),
  /** Bars along the length (or the tube) and across the width; cavities are bars already. */
  cuts: z
    .strictObject({ along: count.max(200), across: count.max(50) })
    .default({ along: 1, across: 1 }),
  /** ml it really took when full, all of it; null as long as nobody has measured. */
  trueMillilitres: z.number().min(1).max(1_000_000).nullable().default(null),
  /** How many of them the workshop has. */
  owned: count.max(500).default(1),
  material: z.enum(mouldMaterials).default('silicone'),
  liner: z.enum(linerKinds).default('none'),
  note: z.string().trim().max(500).default(''),
})
export type WorkshopMould = z.infer<typeof workshopMouldSchema>
