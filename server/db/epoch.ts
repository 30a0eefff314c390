import { v7 } from 'uuid'
import type { Db } from './connection'

/*
 * An epoch is one unbroken life of a database. Putting it back to an older state begins another, so that a browser which was
 * told "kept" by the one before learns that it has to look again.
 */

/** The epoch of a database; begun when first asked for. */
export function epochOf(db: Db): string {
  const kept = db.prepare<[], string>('SELECT epoch FROM epoch').pluck().get()
  return kept ?? newEpoch(db)
}

export function newEpoch(db: Db): string {
  const epoch = v7()
  db.prepare(
    'INSERT INTO epoch (id, epoch) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET epoch = excluded.epoch',
  ).run(epoch)
  return epoch
}
