import { workshopSchema, type Workshop } from '#contracts/workshop'
import type { Db } from './connection'

/** A workshop that has said nothing yet: whole grams until its scale is known, since lye is rounded down. The time zone is that of the machine it runs on. */
const fresh = (): Workshop =>
  workshopSchema.parse({
    name: 'My workshop',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    units: 'metric',
    scale: 1,
  })

export function getWorkshop(db: Db): Workshop {
  const row = db.prepare<[], { settings: string }>('SELECT settings FROM workshop').get()
  return row ? workshopSchema.parse(JSON.parse(row.settings)) : fresh()
}

export function saveWorkshop(db: Db, workshop: Workshop): void {
  db.prepare(
    `INSERT INTO workshop (id, settings) VALUES (1, ?)
     ON CONFLICT (id) DO UPDATE SET settings = excluded.settings`,
  ).run(JSON.stringify(workshop))
}
