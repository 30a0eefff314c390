/** ms between two looks at whether the backup of the day is due. */
const lookEvery = 60_000

/** Makes the backup of the day while Mantle runs; one whose hour was missed is made as soon as it runs again. */
export default defineNitroPlugin((nitro) => {
  const look = () =>
    void database()
      .then((db) => backupAsPlanned(db, instant()))
      .catch((error: Error) => log(error.message))
  const first = setTimeout(look, 5000)
  const timer = setInterval(look, lookEvery)
  first.unref()
  timer.unref()
  nitro.hooks.hook('close', () => {
    clearTimeout(first)
    clearInterval(timer)
  })
})
