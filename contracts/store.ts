import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import type { BatchSummary } from './batch'
import { materialIdSchema } from './material'
import type { Out } from './rackWords'
import type { Thumbnail } from './thumbnail'
import {
  blendKinds,
  countWhys,
  heldWhys,
  vesselForms,
  type CountWhy,
  type MoveKind,
} from './storeWords'

/*
 * The stores: lots of what is bought or made up, and what came and went of each. A lot is a document; how much of it there is follows
 * from its moves, which are only ever added. Grams, or pieces of what is counted; money in the smallest unit of the workshop's.
 */

/** A material of the library, `water`, `naoh`, `koh`, `lye-solution`, a blend, a scent by its id, or goods. */
export const thingSchema = materialIdSchema
/** g in the stores, to the milligram; or pieces. */
const amount = z.number().min(0).max(10_000_000)
const minor = z.number().int().min(0).max(1_000_000_000)
const text = (most: number) => z.string().trim().max(most)
const share = z.number().min(0).max(1)

/** What the paper that came with a lot says; null where it is silent. */
export const certificateSchema = z.strictObject({
  number: text(80).default(''),
  /** Saponification value, mg KOH per g. */
  sap: z.number().min(1).max(1600).nullable().default(null),
  /** Of a lye: pure alkali as a share of it. Of a ready-mixed solution: its strength. */
  purity: share.nullable().default(null),
  /** Peroxide value, meq O₂ per kg. */
  peroxide: z.number().min(0).max(1000).nullable().default(null),
  /** Free fatty acids, as a share. */
  freeAcid: share.nullable().default(null),
  /** °C at which it melts. */
  melts: z.number().min(-40).max(150).nullable().default(null),
})
export type Certificate = z.infer<typeof certificateSchema>

export const lotSchema = z.strictObject({
  thing: thingSchema,
  /** As it is called on the shelf: K12. The supplier's number where they print one. */
  code: text(40).min(1, 'Say what it is called on the shelf, as K12.'),
  supplierId: idSchema.nullable().default(null),
  cameOn: daySchema,
  openedOn: daySchema.nullable().default(null),
  bestBefore: daySchema.nullable().default(null),
  /** g, or pieces, that came. */
  amount: amount.positive('Something came: more than nothing.'),
  /** For all of it; null for what has no price, as own milk and rain water. */
  price: minor.nullable().default(null),
  /** Its part of what the way here cost. */
  shipping: minor.default(0),
  vessel: z
    .strictObject({
      form: z.enum(vesselForms),
      name: text(40).default(''),
      /** g of it empty; null where nobody weighed it. */
      tare: amount.nullable().default(null),
    })
    .default({ form: 'jar', name: '', tare: null }),
  /** The shelf, plank or floor it stands on. */
  place: text(40).default(''),
  certificate: certificateSchema.nullable().default(null),
  held: z
    .strictObject({ why: z.enum(heldWhys), since: daySchema, note: text(300).default('') })
    .nullable()
    .default(null),
  /** Lots it was made up from, with what went in of each. */
  parts: z
    .array(z.strictObject({ lotId: idSchema, grams: amount.positive() }))
    .max(20)
    .default([]),
  /** Of a lye that was dissolved: the hottest its jug was, °C. */
  peakC: z.number().min(0).max(150).nullable().default(null),
  /** Strength that a weighed volume said, and whether the label's check was done; null where nobody weighed. */
  checked: z
    .strictObject({
      millilitres: z.number().min(5).max(5000),
      grams: z.number().min(5).max(10_000),
      celsius: z.number().min(0).max(60),
      cylinder: z.boolean(),
    })
    .nullable()
    .default(null),
  note: text(2000).default(''),
  photos: z.array(idSchema).max(8).default([]),
})
export type Lot = z.infer<typeof lotSchema>
/** What is asked of a lot, before what has a usual value is filled in. */
export type NewLot = z.input<typeof lotSchema>

/** A lot as the routes send it: g, or pieces, there are of it by its moves. */
export interface StoredLot {
  id: string
  revision: number
  changedAt: string
  changedBy: string
  document: Lot
  stock: number
  /** The day it was counted last; null where nobody did. */
  countedOn: string | null
}

const base = { id: idSchema, lotId: idSchema, day: daySchema }
const note = text(300).default('')

/** What somebody says came or went. What the bench weighs, and what a made-up stock takes, follows from those. */
export const moveSchema = z.discriminatedUnion('kind', [
  /** As it was found: g in it, by the scale or by eye. Whether a difference is known of is said with it. */
  z.strictObject({
    ...base,
    kind: z.literal('counted'),
    grams: amount,
    /** g that the scale showed with its vessel, where it was weighed. */
    gross: amount.nullable().default(null),
    about: z.boolean().default(false),
    why: z.enum(countWhys).nullable().default(null),
    /** Where it went, for `batch`. */
    batchId: idSchema.nullable().default(null),
    note,
  }),
  /** For something that is no batch at the bench. */
  z.strictObject({
    ...base,
    kind: z.literal('drawn'),
    grams: amount.positive(),
    batchId: idSchema.nullable().default(null),
    /** It takes more than there is, and whoever says so knows it. */
    sure: z.boolean().default(false),
    note,
  }),
  z.strictObject({ ...base, kind: z.literal('spilled'), grams: amount.positive(), note }),
  z.strictObject({ ...base, kind: z.literal('thrown'), grams: amount.positive(), note }),
  z.strictObject({ ...base, kind: z.literal('back'), grams: amount.positive(), note }),
  z.strictObject({ ...base, kind: z.literal('undone'), move: idSchema }),
])
export type Move = z.infer<typeof moveSchema>
export type NewMove = z.input<typeof moveSchema>

/** A move as it is kept: what it did to its lot, g, and what it was for. */
export interface KeptMove {
  id: string
  lotId: string
  kind: MoveKind
  /** More is positive. */
  grams: number
  day: string
  /** The batch it went into, and the made-up lot. */
  batchId: string | null
  intoLot: string | null
  /** The step of the bench. */
  step: string | null
  /** Of a count. */
  about: boolean
  why: CountWhy | null
  /** The move that it takes back. */
  undoes: string | null
  note: string
  at: string
  by: string
}

/** A batch as the stores speak of it. */
export interface BatchName {
  id: string
  number: number
  name: string
}

/** A lot with all that came and went. */
export interface WholeLot extends StoredLot {
  moves: KeptMove[]
  batches: BatchName[]
  /** Lots that it went into, and those it was made from. */
  lots: StoredLot[]
}

/** What is put away in one act: new lots, each once. */
export const putAwaySchema = z.strictObject({
  lots: z
    .array(z.strictObject({ id: idSchema, document: lotSchema }))
    .min(1, 'Nothing is put away.')
    .max(500),
})

/** A stock that is made up for many batches: what it is of, by shares that sum to one. */
export const blendSchema = z
  .strictObject({
    name: text(80).min(1, 'Say what it is called.'),
    kind: z.enum(blendKinds),
    parts: z
      .array(z.strictObject({ thing: thingSchema, share: share.positive() }))
      .min(1, 'A blend is of something.')
      .max(20),
    colour: z
      .string()
      .regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #d9b24a.')
      .default('#c9a64b'),
    note: text(2000).default(''),
  })
  .refine(({ parts }) => Math.abs(parts.reduce((all, part) => all + part.share, 0) - 1) < 1e-6, {
    path: ['parts'],
    error: 'The parts make 100 % together.',
  })
export type Blend = z.infer<typeof blendSchema>

/** What something costs where no lot says it: for a kilogram, or for a hundred pieces. */
export const pricePutSchema = z.strictObject({
  thing: thingSchema,
  price: minor.nullable(),
})

/** Prices by thing, for a kilogram or a hundred pieces: of the newest lot, or as somebody typed it. */
export type Prices = Record<string, { price: number; from: 'lot' | 'typed'; lotId: string | null }>

/** What a batch took from the stores, or will: by thing. */
export interface Need {
  thing: string
  name: string
  grams: number
}

/** Bars of a batch that went, and to whom. */
export interface BarsOut {
  bars: number
  how: Out
  to: string
  day: string
  /** What was paid for all of them; null where nobody said. */
  price: number | null
}

/** A lot, where it went, and where the bars are. */
export interface LotTrace {
  lot: StoredLot
  /** Made-up lots that it is in, itself included. */
  lots: StoredLot[]
  moves: KeptMove[]
  batches: (BatchSummary & { outs: BarsOut[] })[]
}

/** What reservations and "lasts until" are worked out from. */
export interface StoresAhead {
  planned: (BatchName & {
    day: string
    formulaId: string
    thumbnail: Thumbnail
    needs: Need[]
    /** Superfat it is weighed for, saponification value by fat, and purity of its NaOH. */
    superfat: number
    saps: Record<string, number>
    purity: number
  })[]
  /** What went in the last half year, act by act: g, less than nothing where it was taken back. */
  used: [thing: string, day: string, grams: number][]
  packs: KnownPack[]
}

/** A line of what a batch cost. Money in the smallest unit, exact until it is printed. */
export interface CostLine {
  kind: 'goods' | 'wraps' | 'hours' | 'overhead' | 'rack'
  /** The thing of the stores; empty for hours, overhead and rack time. */
  thing: string
  says: string
  /** g, pieces, hours or days. */
  amount: number
  cost: number
}
export interface BatchCost {
  lines: CostLine[]
  /** Of the batch. */
  total: number
  /** Of one bar that can leave; null where none can. */
  bar: number | null
  /** Things whose price nobody knows: they are reckoned as nothing. */
  unknown: string[]
}
/** What a batch cost as it was made, and what it would today. */
export interface BatchCosts {
  /** By what was drawn; null where nothing was written down as drawn. */
  made: BatchCost | null
  today: BatchCost
  bars: number
  hours: number
}

/** What was ordered, pack by pack; prices are for all packs of a line. */
export const orderSchema = z.strictObject({
  supplierId: idSchema.nullable().default(null),
  on: daySchema,
  lines: z
    .array(
      z.strictObject({
        thing: thingSchema,
        each: amount.positive(),
        count: z.number().int().min(1).max(500),
        price: minor.nullable().default(null),
      }),
    )
    .min(1, 'Nothing is ordered.')
    .max(100),
  arrivedOn: daySchema.nullable().default(null),
  note: text(500).default(''),
})
export type Order = z.infer<typeof orderSchema>

/** A pack that something was bought in, at its last price, shipping included; and what of that was shipping. */
export interface KnownPack {
  thing: string
  grams: number
  price: number
  shipping: number
  supplierId: string | null
  /** Days that it kept, from its coming to its best before; null where it keeps. */
  keeps: number | null
}

/** What a poured batch needed of a thing and nobody wrote down as drawn. */
export interface Unwritten {
  batchId: string
  says: string
  thing: string
  grams: number
}
