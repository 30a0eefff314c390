import type { Said, Sniffing } from '#contracts/sniffing'
import type { Strength } from '#contracts/trialWords'
import type { Jar } from '#core/trials/jars'
import { v7 } from 'uuid'
import type { Db } from './connection'

/*
 * Noses at the jars. As long as a round is open, what leaves here are codes: which jar is which scent is told after the last nose.
 */

interface Row {
  id: string
  opened_at: string
  jars: string
  closed_at: string | null
}
export interface OpenSniffing {
  id: string
  jars: Jar[]
  noses: { nose: string; answers: Record<string, Strength>; said: Record<string, Said> }[]
}

function sniffingOf(db: Db, row: Row): OpenSniffing {
  const noses = db
    .prepare<[string], { nose: string; answers: string; said: string }>(
      'SELECT nose, answers, said FROM sniffs WHERE sniffing_id = ? ORDER BY at, rowid',
    )
    .all(row.id)
  return {
    id: row.id,
    jars: JSON.parse(row.jars) as Jar[],
    noses: noses.map(({ nose, answers, said }) => ({
      nose,
      answers: JSON.parse(answers) as Record<string, Strength>,
      said: JSON.parse(said) as Record<string, Said>,
    })),
  }
}

/** The round that is open; null when none is. */
export function openSniffing(db: Db): OpenSniffing | null {
  const row = db
    .prepare<[], Row>('SELECT * FROM sniffings WHERE closed_at IS NULL ORDER BY opened_at DESC')
    .get()
  return row ? sniffingOf(db, row) : null
}

export function getSniffing(db: Db, id: string): (OpenSniffing & { closed: boolean }) | null {
  const row = db.prepare<[string], Row>('SELECT * FROM sniffings WHERE id = ?').get(id)
  return row ? { ...sniffingOf(db, row), closed: row.closed_at !== null } : null
}

/** Begins a round with these jars, or gives the one that is open. */
export function beginSniffing(db: Db, jars: readonly Jar[], now: string): OpenSniffing {
  return db
    .transaction(() => {
      const open = openSniffing(db)
      if (open) return open
      db.prepare('INSERT INTO sniffings (id, opened_at, jars) VALUES (?, ?, ?)').run(
        v7(),
        now,
        JSON.stringify(jars),
      )
      return openSniffing(db)!
    })
    .immediate()
}

/** Keeps what a nose wrote. The same again, or put right by the same nose, replaces it as long as the round is open. */
export function keepSniff(
  db: Db,
  id: string,
  { nose, answers, said }: OpenSniffing['noses'][number],
  now: string,
): void {
  db.prepare(
    `INSERT INTO sniffs (sniffing_id, nose, answers, said, at) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (sniffing_id, nose) DO UPDATE SET answers = excluded.answers, said = excluded.said`,
  ).run(id, nose, JSON.stringify(answers), JSON.stringify(said), now)
}

export const closeSniffing = (db: Db, id: string, now: string): void =>
  void db
    .prepare('UPDATE sniffings SET closed_at = ? WHERE id = ? AND closed_at IS NULL')
    .run(now, id)

/** As a page may see it: codes, and who was through. */
export const blind = ({ id, jars, noses }: OpenSniffing): Sniffing => ({
  id,
  jars: jars.map(({ code }) => code).sort(),
  noses: noses.map(({ nose, answers }) => ({ nose, jars: Object.keys(answers).length })),
})
