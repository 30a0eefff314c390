import { randomBytes } from 'node:crypto'
import type { Db } from './connection'

/** The secret part of the calendar's address; made when first asked for. */
export function feedSecret(db: Db): string {
  const kept = db.prepare<[], { secret: string }>('SELECT secret FROM calendar_feed').get()
  return kept?.secret ?? newFeedSecret(db)
}

/** Another address: the old one answers no longer. */
export function newFeedSecret(db: Db): string {
  const secret = randomBytes(18).toString('base64url')
  db.prepare(
    'INSERT INTO calendar_feed (id, secret) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET secret = excluded.secret',
  ).run(secret)
  return secret
}
