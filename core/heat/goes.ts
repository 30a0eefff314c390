import { celsiusAt, minuteAt, perMinuteOf, usualPower, type Curve } from './cooling'
import { jugCapacity, type LyeJug } from './dissolving'
import { afterSpoon, beginsAt } from './spoons'

/** The vessel at a minute after the first of the lye. */
export interface GoPoint {
  minutes: number
  celsius: number
}
/** A solution that is made in several goes: its temperature, the hottest it gets, and when it is as cool as the room. */
export interface GoesCourse {
  points: GoPoint[]
  /** Minutes at which some of the lye goes in. */
  goes: number[]
  peakC: number
  /** Minutes after which it is within 2 K of the room. */
  coolMinutes: number
}

/** K from the room at which something is as cool as that. */
const near = 2

/**
 * What a vessel of lye solution goes through when its lye goes in by several goes, the next when the last is clear, and it then stands:
 * the balance of the jug go by go, open air in between. An estimate; a lid and a wide pot differ.
 * @param jug all that goes in; g and °C
 * @param count goes, 1 or more
 * @param apart minutes between two of them
 * @example courseOfGoes({ ...jug, ice: jug.water / 2, water: jug.water / 2 }).peakC // 60.213
 */
export function courseOfGoes(jug: LyeJug, count = 5, apart = 6): GoesCourse {
  const millilitres = jug.water + jug.ice + jug.other + jug.naoh + jug.koh
  const cooling = (from: number, startC: number): Curve => ({
    from,
    startC,
    perMinute: perMinuteOf(millilitres, jugCapacity(jug)),
    roomC: jug.roomC,
    power: usualPower,
  })
  const points: GoPoint[] = [{ minutes: 0, celsius: beginsAt(jug) }]
  const goes = Array.from({ length: count }, (_, go) => go * apart)
  for (const [go, minutes] of goes.entries()) {
    const before = points.at(-1)!
    // Colder than the room is ice that melts: what it takes from the air meanwhile is little.
    const stood =
      before.celsius > jug.roomC
        ? celsiusAt(cooling(before.minutes, before.celsius), minutes)
        : before.celsius
    points.push({ minutes, celsius: stood })
    // A minute or two of stirring until it is clear.
    points.push({
      minutes: minutes + apart / 3,
      celsius: afterSpoon(jug, stood, go / count, 1 / count),
    })
  }
  const last = points.at(-1)!
  const curve = cooling(last.minutes, last.celsius)
  const coolMinutes =
    last.celsius > jug.roomC + near ? minuteAt(curve, jug.roomC + near) : last.minutes
  for (let nth = 1; nth <= 24; nth++) {
    const minutes = last.minutes + ((coolMinutes - last.minutes) * nth) / 24
    points.push({ minutes, celsius: celsiusAt(curve, minutes) })
  }
  return { points, goes, peakC: Math.max(...points.map(({ celsius }) => celsius)), coolMinutes }
}
