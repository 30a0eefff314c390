import { toNodeListener } from 'h3'
import { isOpen } from '../db/paired'
import { closeDoor, openDoor } from '../reach/network'
import { keepListener } from '../reach/listener'

/** Opens the door to the network at start where the workshop has chosen so. */
export default defineNitroPlugin((nitro) => {
  const listener = toNodeListener(nitro.h3App)
  keepListener(listener)
  void database().then(async (db) => {
    const problem = isOpen(db) ? await openDoor(listener) : null
    if (problem) log(problem)
  })
  nitro.hooks.hook('close', closeDoor)
})
