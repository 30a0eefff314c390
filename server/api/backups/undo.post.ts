/** Brings back what the last restore replaced. */
export default route(null, async () => {
  await undoNow(instant())
  return backupsTold(await database())
})
