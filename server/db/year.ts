import type { Out } from '#contracts/rackWords'
import type { SpentOn, YearFact } from '#core/cost/year'
import { thingIn, type ThingKind } from '#core/stores/things'
import { notTakenBack } from './batches'
import type { Db } from './connection'
import { workshopLibrary } from './library'

const spentOn: Record<ThingKind, SpentOn> = {
  fat: 'fats',
  blend: 'fats',
  lye: 'lye',
  scent: 'scents',
  colour: 'scents',
  goods: 'wraps',
  water: 'other',
  liquid: 'other',
  extra: 'other',
}

/** What was made, what went and what was spent, by the day. */
export function yearFacts(db: Db): YearFact[] {
  const made = db
    .prepare<[], { day: string; bars: number }>(
      `SELECT facts ->> '$.cutOn' AS day, facts ->> '$.bars' AS bars FROM batch_facts WHERE facts ->> '$.cutOn' IS NOT NULL`,
    )
    .all()
    .map((row): YearFact => ({ ...row, kind: 'made' }))
  const gone = db
    .prepare<[], { day: string; bars: number; how: Out; money: number }>(
      `SELECT e.payload ->> '$.day' AS day, e.payload ->> '$.bars' AS bars, e.payload ->> '$.how' AS how,
         coalesce(e.payload ->> '$.price', 0) AS money
       FROM batch_events AS e WHERE e.kind = 'out' AND ${notTakenBack}`,
    )
    .all()
    .map((row): YearFact => ({ ...row, kind: 'gone' }))
  // What left as a whole went without a word of each bar.
  const left = db
    .prepare<[], { day: string; bars: number; spoiled: number }>(
      `SELECT facts ->> '$.leftOn' AS day, (facts ->> '$.bars') - (facts ->> '$.out') AS bars,
         facts ->> '$.spoiled' AS spoiled
       FROM batch_facts WHERE facts ->> '$.leftOn' IS NOT NULL AND facts ->> '$.cutOn' IS NOT NULL
         AND (facts ->> '$.bars') > (facts ->> '$.out')`,
    )
    .all()
    .map(({ spoiled, ...row }): YearFact => ({
      ...row,
      kind: 'gone',
      how: spoiled ? 'binned' : 'sold',
      money: 0,
    }))
  const library = workshopLibrary(db)
  const spent = db
    .prepare<[], { day: string; thing: string; money: number }>(
      `SELECT came_on AS day, thing, price + shipping AS money FROM lots
       WHERE price IS NOT NULL AND deleted_at IS NULL`,
    )
    .all()
    .map(({ day, thing, money }): YearFact => ({
      day,
      money,
      kind: 'spent',
      on: spentOn[thingIn(library, thing).kind],
    }))
  return [...made, ...gone, ...left, ...spent]
}
