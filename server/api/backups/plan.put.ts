import { backupPlanSchema } from '#contracts/backup'
import { saveBackupPlan } from '../../db/backupPlan'

export default route(backupPlanSchema, async ({ db, body }) => {
  const why = whyNotFolder(body.folder)
  if (why) refuse(422, why, 'folder')
  saveBackupPlan(db, body)
  await backupAsPlanned(db, instant())
  return backupsTold(db)
})
