import type { MakingDay } from '#contracts/day'
import { usualSetup } from '#contracts/benchWords'
import { makingDaySchema } from '#contracts/day'
import { dayBatch } from '#core/day/batchOfDay'
import { planDay } from '#core/day/plan'
import { dressing } from '#core/day/problem'
import { randomSource } from '#core/statistics/randomSource'
import { addDays, weekdayOf } from '#core/units/days'
import { formatter } from '#core/units/formatter'
import type { Db } from '../server/db/connection'
import { getBatch } from '../server/db/batches'
import { makingDays } from '../server/db/documents'
import { demoWorkshop } from './workshop'

/** What the shed has on a making day. */
const things: MakingDay['things'] = {
  scales: 2,
  thermometers: 3,
  plates: 2,
  iceBaths: 1,
  blenders: 2,
  warmPlaces: 2,
  coolPlaces: 2,
}
const moulds: Record<string, string> = {
  'Hostel Bar': 'Slate loaf',
  'Oat & Buttermilk': 'Slate loaf',
  'Fir & Smoke': 'Slate loaf',
  'Landing Goat': 'Short loaf',
}
/** The shed's Thursday: everything that is planned, two people, one ice bath. */
export function loadDays(db: Db, today: string, id: (day: string) => string, now: string): void {
  const day = addDays(today, (4 - weekdayOf(today) + 7) % 7)
  const dayId = id(day)
  const planned = db
    .prepare<[], string>('SELECT id FROM batches ORDER BY number')
    .pluck()
    .all()
    .map((batchId) => getBatch(db, batchId)!)
    .filter(({ name, events }) => name in moulds && !events.length)
  const say = formatter({ scale: demoWorkshop.scale })
  const batches = planned.map((batch) =>
    dayBatch(
      {
        id: batch.id,
        number: batch.number,
        name: batch.name,
        mould: moulds[batch.name]!,
        frozen: batch.frozen,
        setup: { ...usualSetup, ...demoWorkshop.bench, day: dayId },
        scale: demoWorkshop.scale,
      },
      say,
    ),
  )
  const people = ['Idris', 'Maren'].map((name) => ({ name, from: dressing, until: null, pace: {} }))
  const plan = planDay(
    { batches, people, things: { ...things, vessels: demoWorkshop.vessels } },
    'shortest',
    {
      solver: null,
      seconds: 0,
      random: randomSource(7),
    },
  )!
  const document = makingDaySchema.parse({
    day,
    people: people.map(({ name }) => ({ name })),
    things,
    batches: batches.map(({ id: batchId, mould }) => ({ id: batchId, mould })),
    plan: {
      together: plan.together,
      placed: plan.placed,
      end: plan.end,
      bound: plan.bound,
    },
  })
  makingDays.save(db, dayId, 0, document, now)
}
