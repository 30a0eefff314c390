import { archiveNameSchema } from '#contracts/backup'

/** Goes back to this archive; what is there now is set aside first. */
export default route(null, async ({ db, params }) => {
  await restoreNow(db, parsed(archiveNameSchema, params.name), instant())
  return backupsTold(await database())
})
