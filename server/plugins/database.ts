/** Opens the database at start, so that a file that cannot be used is told at once and in one sentence. */
export default defineNitroPlugin((nitro) => {
  database().catch((error: Error) => {
    console.error(`Mantle cannot open its database. ${error.message}`)
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => (await database()).close())
})
