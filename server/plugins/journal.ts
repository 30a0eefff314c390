import { refreshEntries } from '../db/journalEntries'

/** ms between two looks for entries that wait, and between two helpings of them. */
const lookEvery = 20_000
const breath = 25
/** Owners of one helping. */
const most = 40

/** Writes entries of the journal down in the background: after an update, a restore or an import many wait at once. */
export default defineNitroPlugin((nitro) => {
  let timer: ReturnType<typeof setTimeout>
  let over = false
  const look = async () => {
    let left = 0
    try {
      left = refreshEntries(await database(), most)
    } catch (error) {
      log((error as Error).message)
    }
    if (!over) timer = setTimeout(() => void look(), left ? breath : lookEvery).unref()
  }
  timer = setTimeout(() => void look(), 3000).unref()
  nitro.hooks.hook('close', () => {
    over = true
    clearTimeout(timer)
  })
})
