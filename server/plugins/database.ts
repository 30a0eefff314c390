/** ms between two looks at whether the file is still the one that was opened. */
const lookEvery = 2000

/** Opens the database at start, so that a file that cannot be used is told at once and in one sentence. */
export default defineNitroPlugin((nitro) => {
  database().catch((error: Error) => {
    log(`Mantle cannot open its database. ${sentenceOfDatabase(error)}`)
    process.exit(1)
  })
  const timer = setInterval(() => {
    try {
      stopIfStrayed()
    } catch {
      // it has said so and ends
    }
  }, lookEvery)
  timer.unref()
  nitro.hooks.hook('close', closeDatabase)
})
