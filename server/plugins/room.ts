/** ms between two looks at the room's sensor. */
const lookEvery = 60_000

/** Keeps the log of the drying room while Mantle runs. */
export default defineNitroPlugin((nitro) => {
  const look = () =>
    void database()
      .then(logSensor)
      .catch((error: Error) => log(`The room could not be logged. ${error.message}`))
  look()
  const timer = setInterval(look, lookEvery)
  timer.unref()
  nitro.hooks.hook('close', () => clearInterval(timer))
})
