import { toNodeListener } from 'h3'
import { isOpen } from '../db/paired'
import { closeLan, openLan } from '../lan/network'
import { keepListener } from '../lan/listener'

/** Opens LAN access at start where the workshop has chosen so. */
export default defineNitroPlugin((nitro) => {
  const listener = toNodeListener(nitro.h3App)
  keepListener(listener)
  void database().then(async (db) => {
    const problem = isOpen(db) ? await openLan(listener) : null
    if (problem) log(problem)
  })
  nitro.hooks.hook('close', closeLan)
})
