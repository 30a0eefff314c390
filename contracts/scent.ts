import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import type { ColourOn, PotFound, Reading } from './trial'
import {
  capUses,
  codePattern,
  colourClaims,
  paceWords,
  scentKinds,
  type CapUse,
  type Strength,
} from './trialWords'

const text = (most: number) => z.string().trim().max(most)
const share = z
  .number()
  .min(0)
  .max(1, { error: 'A share is at most the whole: 5 % is written as 0.05.' })

/** Three signs of straight strokes, to be scratched into a lid. */
export const codeSchema = z.string().regex(codePattern, {
  error: 'A code is three of the signs A E F H K L N T V X Y Z 4 7.',
})
/** A colour of the screen. */
export const swatchSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/, { error: 'A colour is written as #e8dcc0.' })
/** Where a sample lies: a row and a place in it. */
const drawerSchema = z
  .string()
  .regex(/^[A-Z][1-9][0-9]?$/, { error: 'A place in the drawer is a letter and a number, as B6.' })

/** What a supplier says of a scent; null where nothing is said. */
export const claimsSchema = z.strictObject({
  pace: z.enum(paceWords).nullable().default(null),
  colour: z.enum(colourClaims).nullable().default(null),
  /** That it lasts. */
  keeps: z.boolean().nullable().default(null),
})
export type Claims = z.infer<typeof claimsSchema>

/** A scent of the workshop: what its sheet says, what its supplier says, where its sample lies. What was found here is in trials. */
export const scentSchema = z.strictObject({
  name: text(80).min(1, 'Say what it is called.'),
  kind: z.enum(scentKinds).default('fragrance'),
  supplierId: idSchema.nullable().default(null),
  /** g per ml. */
  density: z.number().min(0.5).max(1.6).nullable().default(null),
  /** Flash point, °C. */
  flashC: z.number().min(-20).max(300).nullable().default(null),
  /** The most of it in the finished bar, by what the bar is for. */
  maxima: z.partialRecord(z.enum(capUses), share).default({}),
  /** Day of the sheet those are from. */
  sheetOn: daySchema.nullable().default(null),
  /** As a label names them, with the share of the scent that each is; null where the sheet only names it. */
  allergens: z
    .array(
      z.preprocess(
        // A name by itself is how it was written before shares were kept.
        (value) => (typeof value === 'string' ? { name: value } : value),
        z.strictObject({ name: text(80).min(1), share: share.nullable().default(null) }),
      ),
    )
    .max(60)
    .default([]),
  /** Share of vanillin and ethyl vanillin, which brown; null where the sheet is silent. */
  vanillin: share.nullable().default(null),
  /** Smallest unit of the workshop's money for 100 g. */
  price: z.number().int().min(0).max(10_000_000).nullable().default(null),
  claims: claimsSchema.default({ pace: null, colour: null, keeps: null }),
  /** Three signs that are scratched into its lid. */
  code: codeSchema.nullable().default(null),
  drawer: drawerSchema.nullable().default(null),
  /** g bought, and g left. */
  sample: z
    .strictObject({ of: z.number().min(0).max(100_000), left: z.number().min(0).max(100_000) })
    .nullable()
    .default(null),
  /** Its colour in rows, pots and lines. */
  colour: swatchSchema.default('#8d79a8'),
  /** What it is mixed from, by parts; for a blend only. */
  parts: z
    .array(z.strictObject({ scentId: idSchema, parts: z.number().min(0.001).max(10_000) }))
    .max(12)
    .default([]),
  /** What it smells of, for "one like it". */
  smells: z.array(text(40).min(1)).max(12).default([]),
  note: text(2000).default(''),
})
export type Scent = z.infer<typeof scentSchema>

/** What a scent does to time, with how surely it is known. */
export interface Effect {
  /** Mean and standard deviation of ln(time with it / time without). */
  b: number
  sd: number
  /** What is left of the time, and its 90 % range. */
  factor: number
  from: number
  to: number
  /** Pots it rests on; 0 where only a supplier's word, or nothing, is known. */
  pots: number
  /** Own trials; the supplier's word; or what scents do on the whole. */
  rests: 'own' | 'word' | 'nothing'
}

/** How strong a scent is on a day: the middle of the noses, and from the weakest to the strongest of them. */
export interface StrengthOn {
  day: number
  middle: number
  from: Strength
  to: Strength
  noses: number
}

/** Whether one claim of a supplier held here. */
export interface Judged {
  claim: 'pace' | 'colour' | 'keeps'
  held: boolean
}

/** A pot that a scent was tried in. */
export interface TriedPot extends PotFound {
  trialId: string
  /** Day of the trial. */
  day: string
  formula: string
  formulaId: string | null
}

/** What is known of a scent: what its sheet and its supplier say, and what was found here. */
export interface KnownScent {
  id: string
  name: string
  supplierId: string | null
  scent: Scent
  /** Each pot it was tried in, the last day first: minutes to medium and to past pouring; null where it never got there. */
  tried: readonly {
    day: string
    rate: number
    ratio: number
    medium: number | null
    stiff: number | null
    riced: PotFound['riced']
    loosened: boolean
  }[]
  /** One for each pot that says something of its time. */
  readings: readonly Reading[]
  /** As it was tried, over all pots at the water that most were tried at. */
  effect: Effect
  strength: readonly StrengthOn[]
  /** How far from plain it was seen, by day. */
  colour: readonly ColourOn[]
  /** Pots that turned grainy, or went stiff at once. */
  riced: number
  seized: number
  judged: readonly Judged[]
  /** The most of it in the finished bar by use, of a blend worked out from its parts. */
  maxima: Partial<Record<CapUse, number>>
  /** Worked out from the parts of a blend, where it was not tried itself. */
  fromParts: boolean
}
