import type { StreamedReading } from '#contracts/device'
import { listen, standInsOf } from '../../devices/hub'

/** Readings as they come, of the devices that begin with `?of=` (a set of stand-ins) or of all. */
export default defineEventHandler((event) => {
  const of = String(getQuery(event).of ?? '')
  return stream<StreamedReading>(event, (send) =>
    listen((reading) => {
      if (of && !reading.device.startsWith(of)) return
      standInsOf(of)?.keepAlive()
      send(reading)
    }),
  )
})
