import { keptByField } from '#contracts/words'
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

interface Row {
  settings: string
  revision: number
  changed: string
}
const rowOf = (db: Db) =>
  db.prepare<[], Row>('SELECT settings, revision, changed FROM workshop').get()

export function getWorkshop(db: Db): Workshop {
  const row = rowOf(db)
  return row ? workshopSchema.parse(JSON.parse(row.settings)) : fresh()
}

/** Rises by one with every change; 0 while nobody has said anything. */
export const workshopRevision = (db: Db): number => rowOf(db)?.revision ?? 0

/** Keeps settings as a whole: for a workshop that begins with them. */
export function saveWorkshop(db: Db, workshop: Workshop): void {
  db.prepare(
    `INSERT INTO workshop (id, settings) VALUES (1, ?)
     ON CONFLICT (id) DO UPDATE SET settings = excluded.settings, revision = revision + 1`,
  ).run(JSON.stringify(workshop))
}

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The fields a change touches: `rack.places`, `units`. */
const placesIn = (changes: Plain): string[] =>
  Object.entries(changes).flatMap(([key, value]) =>
    keptByField.has(key) && isPlain(value)
      ? Object.keys(value).map((field) => `${key}.${field}`)
      : [key],
  )
const at = (workshop: Plain, place: string): unknown =>
  place.split('.').reduce<unknown>((value, key) => (value as Plain | undefined)?.[key], workshop)

/** Settings with changes laid over them, not judged yet. */
export function patched(workshop: Workshop, changes: Plain): Plain {
  const next: Plain = { ...workshop }
  for (const [key, value] of Object.entries(changes))
    next[key] =
      keptByField.has(key) && isPlain(value) ? { ...(next[key] as Plain), ...value } : value
  return next
}

/**
 * Keeps changes that were made on a revision. What others changed meanwhile stays; a field that both changed, to other
 * values, is stale.
 * @param judge what becomes of the settings as they come to; throws when they cannot be
 * @returns the places that are stale; none when it is kept
 */
export function patchWorkshop(
  db: Db,
  revision: number,
  changes: Plain,
  judge: (merged: Plain) => Workshop,
): string[] {
  return db
    .transaction((): string[] => {
      const row = rowOf(db)
      const before = getWorkshop(db)
      const changedAt = (row ? JSON.parse(row.changed) : {}) as Record<string, number>
      const next = judge(patched(before, changes))
      // As judged: what is left out is what it is by default, and no change.
      const places = placesIn(changes).filter(
        (place) => JSON.stringify(at(before, place)) !== JSON.stringify(at(next, place)),
      )
      const stale = places.filter((place) => (changedAt[place] ?? 0) > revision)
      if (stale.length) return stale
      const now = (row?.revision ?? 0) + 1
      const changed = {
        ...changedAt,
        ...Object.fromEntries(places.map((place) => [place, now])),
      }
      db.prepare(
        `INSERT INTO workshop (id, settings, revision, changed) VALUES (1, ?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET settings = excluded.settings, revision = excluded.revision,
           changed = excluded.changed`,
      ).run(JSON.stringify(next), now, JSON.stringify(changed))
      return []
    })
    .immediate()
}
