import { z } from 'zod'
import { vesselStuffs } from './benchWords'
import { barsSchema, cureDaysSchema, daySchema, idSchema } from './basics'
import type { Stored } from './document'
import type { FormulaDocument } from './formula'
import { sellingSchema } from './label'
import { offsetKinds, type Offsets } from './learning'
import { setupSchema } from './run'
import { goodsIds } from './storeWords'
import type { insideKeys } from './words'
import {
  firstQuestions,
  fixtureKinds,
  lyeOpenSince,
  scaleSteps,
  spoonKinds,
  traits,
  uses,
} from './words'

/** How long a kind of soap cures. */
const cureRuleSchema = z.strictObject({
  id: z.string().min(1).max(40),
  label: z.string().trim().min(1).max(60),
  days: cureDaysSchema,
})
export type CureDays = z.infer<typeof cureRuleSchema>

/** A share of the room's picture, per cent. */
const roomPercent = (says: string) => z.number().int().min(0, says).max(100, says)
const fromLeft = roomPercent('It stands between the walls: 0 to 100 % from the left.')
const fromFloor = roomPercent('It stands in the room: 0 to 100 % from the floor.')
const extent = z
  .number()
  .int()
  .min(2, 'At least 2 % of the room.')
  .max(100, 'At most the whole room.')

/** Where bars dry, and how many find room there. */
const placeSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(60),
  kind: z.enum(['plank', 'tray', 'hung']),
  bars: barsSchema,
  /** Where it is in the room, seen from the front: its left end, its height over the floor, its width; null until somebody said. */
  spot: z.strictObject({ x: fromLeft, y: fromFloor, width: extent }).nullable().default(null),
})
export type Place = z.infer<typeof placeSchema>

/** What else is in the room, by which people know where they are. */
const fixtureSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(fixtureKinds),
  name: z.string().trim().max(60),
  x: fromLeft,
  y: fromFloor,
  width: extent,
  height: extent,
})
export type Fixture = z.infer<typeof fixtureSchema>

/** As it is dialled: digits, and what people put between them. */
const telephone = z
  .string()
  .trim()
  .max(40)
  .regex(/^[0-9+()\s/.*#-]*$/, 'A number to call is made of digits.')

const money = z.number().int().min(0).max(100_000_000)
const shareOfPrice = z.number().min(0).max(0.95).default(0)

/** What holds for the whole workshop. */
export const workshopSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  /** IANA time zone; days begin and end by it. */
  timeZone: z.string().refine((zone) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone })
      return true
    } catch {
      return false
    }
  }, 'This is not a time zone, as Europe/Dublin.'),
  /** Weights and volumes: grams and millilitres, or ounces and fluid ounces. */
  units: z.enum(['metric', 'imperial']),
  /** Degrees; null goes with the weights. */
  degrees: z.enum(['C', 'F']).nullable().default(null),
  /** Which teaspoon lies in the drawer. */
  spoons: z.enum(spoonKinds).default('us'),
  /** Which citric acid is in the jar; null until somebody has read its label. */
  citricAcid: z.enum(['anhydrous', 'monohydrate']).nullable().default(null),
  /** The tin of lye: what its label says, and how long it has been open. */
  lyeTin: z
    .strictObject({
      label: z.enum(['naoh', 'koh']).nullable().default(null),
      open: z.enum(lyeOpenSince).nullable().default(null),
    })
    .default({ label: null, open: null }),
  /** Questions this workshop has answered, so that nobody is asked twice. */
  said: z.array(z.enum(firstQuestions)).max(12).default([]),
  /** Resolution of the scale, g. */
  scale: z
    .number()
    .refine(
      (step) => scaleSteps.some(({ grams }) => grams === step),
      'A scale reads in steps of 0.01, 0.1, 0.5, 1, 2 or 5 g, or 0.005, 0.01, 0.05 or 0.1 oz.',
    ),
  /** Target regions that differ from the usual ones, by use and trait: from, to. */
  regions: z
    .partialRecord(
      z.enum(uses),
      z.partialRecord(
        z.enum(traits),
        z
          .tuple([z.number().min(-50).max(150), z.number().min(-50).max(150)])
          .refine(([low, high]) => low <= high, 'A region goes from the lower to the higher.'),
      ),
    )
    .default({}),
  /** Scent that usually goes in, as a share of the oils. */
  scentRate: z.number().min(0.001).max(0.2).default(0.05),
  /** ISO 4217, as GBP. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'A currency is three letters, as GBP.')
    .default('EUR'),
  /** What a bar costs beyond what is in it, and how its price is made. Money in the smallest unit of the currency. */
  costing: z
    .strictObject({
      /** For an hour of work. */
      hourly: money.default(0),
      /** Hours a batch takes, wrapping included; null to go by the bench's clock. */
      hours: z.number().min(0).max(200).nullable().default(null),
      overhead: z
        .strictObject({ cost: money, per: z.enum(['batch', 'bar']) })
        .default({ cost: 0, per: 'batch' }),
      /** Wraps, labels and liners that a bar or a batch takes. */
      uses: z
        .array(
          z.strictObject({
            thing: z.enum(goodsIds),
            count: z.number().min(0).max(100),
            per: z.enum(['batch', 'bar']),
          }),
        )
        .max(12)
        .default([]),
      /** What is kept of what reaches the maker. */
      keep: z.number().min(0).max(0.95).default(0.6),
      /** What money that lies on the rack costs for a year, as a share of it. */
      tiedUp: z.number().min(0).max(1).default(0),
      /** Where bars are sold, at what price, and what lies between that and what reaches the maker. */
      outlets: z
        .array(
          z.strictObject({
            name: z.string().trim().min(1).max(60),
            price: money.nullable().default(null),
            fee: shareOfPrice,
            discount: shareOfPrice,
            wholesale: shareOfPrice,
            tax: shareOfPrice,
          }),
        )
        .max(12)
        .default([]),
    })
    .default({
      hourly: 0,
      hours: null,
      overhead: { cost: 0, per: 'batch' },
      uses: [],
      keep: 0.6,
      tiedUp: 0,
      outlets: [],
    }),
  /** Where bars are sold, and what their labels say there. */
  selling: sellingSchema.default(sellingSchema.parse({})),
  /** Chance of a lye-heavy batch that the maker puts up with, on skin. */
  lyeRisk: z
    .number()
    .min(
      0.001,
      'Nobody can promise less than 1 in 1,000: the spread of the fats is not known that well.',
    )
    .max(0.5)
    .default(0.01),
  /** The same for what is for cleaning only; null where the maker does not want to hear of it. */
  lyeRiskCleaning: z.number().min(0.001).max(0.5).nullable().default(0.05),
  /** Fatty matter at pour that the workshop's standard asks for at least; null where none does. */
  leastFattyMatter: z.number().min(0).max(1).nullable().default(null),
  /** What a new formula begins with. */
  begin: z
    .strictObject({
      superfat: z
        .number()
        .min(0, 'A superfat is at least 0 %.')
        .max(0.3, 'A formula begins with 30 % at most.')
        .default(0.05),
      /** Water to lye, by mass. */
      water: z
        .number()
        .min(1, 'Lye needs its own mass of water at least.')
        .max(4, 'A formula begins with 4 : 1 at most.')
        .default(2.2),
      /** NaOH in the jar, as a mass fraction. */
      naohPurity: z
        .number()
        .min(0.8, 'Lye under 80 % is not for soap.')
        .max(1, 'Lye is 100 % pure at most.')
        .default(1),
    })
    .default({ superfat: 0.05, water: 2.2, naohPurity: 1 }),
  /** How days are written: a language and custom (BCP 47), null for the browser's English; and the day a week begins with, 0 for Sunday. */
  dates: z
    .strictObject({
      locale: z
        .string()
        .max(20)
        .refine((tag) => {
          try {
            return Intl.DateTimeFormat.supportedLocalesOf(tag).length > 0
          } catch {
            return false
          }
        }, 'This is not a language, as en-GB.')
        .nullable()
        .default(null),
      firstDay: z.union([z.literal(0), z.literal(1), z.literal(6)]).default(1),
    })
    .default({ locale: null, firstDay: 1 }),
  /** How a run usually begins: room, scale, thermometer, milk guard. */
  bench: setupSchema
    .pick({ roomC: true, scaleMax: true, guardC: true, thermometer: true, sends: true })
    .partial()
    .default({}),
  /** The drying room and its rhythm. */
  rack: z
    .strictObject({
      /** Relative humidity of the room, as nobody measures it better. */
      humidity: z.number().min(0.1).max(0.95).default(0.55),
      /** Days between two turnings; 0 where nobody turns. */
      turnEvery: z.number().int().min(0).max(60).default(5),
      /** Days of cure by kind, as this workshop does it; kinds that are not named keep their usual days. */
      cures: z.array(cureRuleSchema).max(12).default([]),
      /** Planks, trays and hanging planks of the room. */
      places: z.array(placeSchema).max(40).default([]),
      /** Doors, windows and the like of its picture. */
      fixtures: z.array(fixtureSchema).max(40).default([]),
      /** The thermometer and hygrometer of the room: none, the stand-in, or the name of a device that posts. */
      sensor: z.string().trim().max(80).nullable().default(null),
    })
    .default({ humidity: 0.55, turnEvery: 5, cures: [], places: [], fixtures: [], sensor: null }),
  /** Numbers to call, as this workshop has entered them. */
  emergency: z
    .strictObject({
      ambulance: telephone.default('112'),
      poison: telephone.default(''),
    })
    .default({ ambulance: '112', poison: '' }),
  /** The day from which own records move a kind of forecast anew, where somebody reset it. */
  learning: z
    .strictObject({ resets: z.partialRecord(z.enum(offsetKinds), daySchema).default({}) })
    .default({ resets: {} }),
  /** When the scale was last held against a mass that is known, g, and what it showed; null where nobody did. */
  scaleCheck: z
    .strictObject({
      day: daySchema,
      mass: z.number().min(1).max(50_000),
      shown: z.number().min(0).max(50_000),
    })
    .nullable()
    .default(null),
  /** Jugs and cups the bench knows: what they hold and what they weigh empty. */
  vessels: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1).max(60),
        millilitres: z.number().min(1).max(200_000),
        grams: z.number().min(0).max(50_000),
        /** What it is of; null where nobody said. */
        stuff: z.enum(vesselStuffs).nullable().default(null),
      }),
    )
    .max(60)
    .default([]),
})
export type Workshop = z.infer<typeof workshopSchema>

type InsideKey = (typeof insideKeys)[number]
type Inside<Key extends keyof Workshop> = Partial<Workshop[Key]>
/** What a screen changes of the settings: keys, and of some keys single fields. */
export type WorkshopChanges = Partial<Omit<Workshop, InsideKey>> & {
  [Key in InsideKey]?: Inside<Key>
}

/** What the app sends: changes, and the revision the screen saw. What they come to is judged by `workshopSchema`. */
export const workshopPatchSchema = z.strictObject({
  revision: z.number().int().min(0),
  changes: z.partialRecord(
    z.enum(Object.keys(workshopSchema.shape) as [keyof Workshop, ...(keyof Workshop)[]]),
    z.unknown(),
  ),
})

/** The workshop as the routes send it, with the server's clock. */
export interface WorkshopNow extends Workshop {
  /** Rises by one with every change. */
  revision: number
  now: string
  today: string
  /** Humidity that bars dry in, 0–1: as logged of late, or as stated. */
  humidity: number
  /** What own records move forecasts by. */
  offsets: Offsets
}

export type StoredFormula = Stored<FormulaDocument>
