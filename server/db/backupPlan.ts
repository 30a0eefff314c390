import { dirname, join } from 'node:path'
import { backupPlanSchema, type BackupPlan } from '#contracts/backup'
import type { Db } from './connection'

/** Archives lie beside the database until somebody chooses a better place. */
export function backupPlan(db: Db): BackupPlan {
  const kept = db.prepare<[], string>('SELECT plan FROM backup_plan').pluck().get()
  return kept
    ? backupPlanSchema.parse(JSON.parse(kept))
    : { on: false, folder: join(dirname(db.name), 'backups'), at: '09:00' }
}

export function saveBackupPlan(db: Db, plan: BackupPlan): void {
  db.prepare(
    'INSERT INTO backup_plan (id, plan) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET plan = excluded.plan',
  ).run(JSON.stringify(plan))
}
