/** Backs up now. */
export default route(null, async ({ db }) => {
  const { missing, counts } = await backupNow(db, instant())
  return { missing, counts, backups: await backupsTold(db) }
})
