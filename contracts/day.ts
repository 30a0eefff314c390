import { z } from 'zod'
import { daySchema, idSchema } from './basics'
import { dayWishes, dayWorks } from './dayWords'

/*
 * A making day: several batches, the people and things there are, and the plan that was found. What is done on it stands in the runs
 * of its batches. Minutes count from the day's beginning.
 */

const name = z.string().trim().min(1, 'A name, please.').max(60)
const minute = z.number().min(-600).max(2880)
const count = (most: number) =>
  z
    .number({ error: 'A number, please.' })
    .int('Whole ones only.')
    .min(1, 'At least one.')
    .max(most, { error: `At most ${most}.` })
const taskId = z
  .string()
  .max(120)
  .regex(/^[a-z-]+:[0-9+]+$/, { error: 'This is not a piece of the day’s work.' })
/** Minutes after midnight. */
const clock = z
  .number({ error: 'A time of the day, please.' })
  .int()
  .min(0, 'A time of the day, please.')
  .max(1439, 'A time of the day, please.')

const placedSchema = z.strictObject({
  task: taskId,
  person: z.number().int().min(0).max(2),
  at: minute,
  to: minute,
})

const groups = z.array(z.array(idSchema).min(1).max(6)).max(6)

export const dayPlanSchema = z.strictObject({
  /** Batches whose lye is made in one jug, whose fats are weighed in one round; minutes of quiet before every pour. */
  together: z.strictObject({
    lye: groups,
    fats: groups,
    quiet: z.number().min(0).max(60),
  }),
  placed: z.array(placedSchema).max(120),
  end: minute,
  /** The minute before which no plan can end; null where nobody knows. */
  bound: minute.nullable(),
  /** Whether somebody moved something by hand. */
  byHand: z.boolean().default(false),
})
export type KeptDayPlan = z.infer<typeof dayPlanSchema>

export const makingDaySchema = z
  .strictObject({
    day: daySchema,
    /** When it begins, and the earliest that it may. */
    begins: clock.default(510),
    earliest: clock.default(450),
    people: z
      .array(z.strictObject({ name, until: clock.nullable().default(null) }))
      .min(1, 'A day needs a pair of hands.')
      .max(3, 'One to three people.'),
    things: z
      .strictObject({
        scales: count(6).default(1),
        thermometers: count(8).default(2),
        plates: count(6).default(2),
        iceBaths: count(4).default(1),
        blenders: count(4).default(1),
        warmPlaces: count(12).default(4),
        coolPlaces: count(12).default(4),
      })
      .default({
        scales: 1,
        thermometers: 2,
        plates: 2,
        iceBaths: 1,
        blenders: 1,
        warmPlaces: 4,
        coolPlaces: 4,
      }),
    batches: z
      .array(
        z.strictObject({
          id: idSchema,
          /** The mould it goes into, as the workshop calls it. */
          mould: z.string().trim().max(80).nullable().default(null),
        }),
      )
      .max(6, 'Six batches in a day at most.'),
    wish: z.enum(dayWishes).default('shortest'),
    plan: dayPlanSchema.nullable().default(null),
    /** When it began, and when it was over. */
    startedAt: z.iso.datetime().nullable().default(null),
    endedAt: z.iso.datetime().nullable().default(null),
    /** Batches that were left out while it ran. */
    dropped: z
      .array(z.strictObject({ id: idSchema, at: minute, because: z.string().trim().max(200) }))
      .max(6)
      .default([]),
    /** The pours as they were foretold when the day began, and what moved since, newest last. */
    said: z.array(placedSchema).max(120).default([]),
    moved: z
      .array(z.strictObject({ at: minute, says: z.string().max(300) }))
      .max(200)
      .default([]),
    /** What each piece of work took, once the day is over: minutes as usual, and as it was. */
    came: z
      .array(
        z.strictObject({
          task: taskId,
          work: z.enum(dayWorks),
          who: name,
          usual: z.number().min(0).max(1440),
          took: z.number().min(0).max(1440),
        }),
      )
      .max(120)
      .default([]),
  })
  .superRefine(({ batches, people }, ctx) => {
    batches.forEach(({ id }, place) => {
      if (batches.findIndex((one) => one.id === id) < place)
        ctx.addIssue({
          code: 'custom',
          path: ['batches', place, 'id'],
          message: 'This batch is on the day already.',
        })
    })
    people.forEach(({ name: one }, place) => {
      if (people.findIndex((other) => other.name === one) < place)
        ctx.addIssue({
          code: 'custom',
          path: ['people', place, 'name'],
          message: 'Two people of one name: tell them apart.',
        })
    })
  })
export type MakingDay = z.infer<typeof makingDaySchema>
