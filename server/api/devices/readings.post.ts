import { readingSchema, type Reading } from '#contracts/device'
import { faultsOf } from '#contracts/faults'
import { publish } from '../../devices/hub'
import { cleaned } from '../../lan/text'
import { sumOf } from '#core/statistics/sum'

/** Readings that may come at once. */
const most = 1000

/** Readings of real devices, a line of JSON each (docs/devices.md). All lines are looked at before any is taken. */
export default route(
  null,
  ({ bytes }) => {
    // Counted before anything is taken apart: a million lines cost nothing.
    if (sumOf(bytes, (byte) => (byte === 10 ? 1 : 0)) > 2 * most)
      refuse(422, `At most ${most} readings at once.`)
    const lines = bytes
      .toString('utf8')
      .split('\n')
      .filter((line) => line.trim())
    if (!lines.length) refuse(422, 'There is no reading in it.')
    if (lines.length > most) refuse(422, `At most ${most} readings at once.`)
    const readings = lines.map((line, index): Reading => {
      const at = `line[${index + 1}]`
      let raw: unknown
      try {
        raw = cleaned(JSON.parse(line))
      } catch {
        return refuse(422, 'This line is not JSON.', at)
      }
      const parsed = readingSchema.safeParse(raw)
      if (parsed.success) return parsed.data
      throw new Refusal(
        422,
        faultsOf(parsed.error).map(({ path, says }) => ({ path: `${at}.${path}`, says })),
      )
    })
    const now = Date.now()
    for (const reading of readings) publish({ ...reading, at: now })
    return { taken: readings.length }
  },
  { may: ['readings'] },
)
