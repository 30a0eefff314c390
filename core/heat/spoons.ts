import { clamp } from '../statistics/clamp'
import { iceBath, perMinuteOf } from './cooling'
import {
  heatEvolved,
  iceTakes,
  jugCapacity,
  peakWithoutLoss,
  solidAlkali,
  tableC,
  type LyeJug,
} from './dissolving'

/*
 * Lye that goes into milk by the spoon: what each spoon does to it, and what course is to be expected in an ice bath. The balance is
 * that of the jug (docs/science.md); how long people stir between two spoons is judgement.
 */

/** Spoons in which the lye goes in. */
export const spoons = 10
/** Minutes of stirring in the bath after a spoon: a hurried hand and a patient one. */
const stirred = { least: 0.5, most: 2.5 } as const
/** K below the guard to which somebody waits before the next spoon, and by which that should land below it. */
const waitsTo = 6
const spare = 0.5
/** °C of frozen milk from which on none of it is ice any more. */
const thawed = 0.5

/** The jug with only a share of its lye in. */
const withShare = (jug: LyeJug, share: number): LyeJug => ({
  ...jug,
  naoh: jug.naoh * share,
  koh: jug.koh * share,
})

/**
 * °C at which milk that takes lye begins.
 * @example beginsAt({ ...jug, liquidC: 5 }) // 5
 */
export const beginsAt = (jug: LyeJug): number =>
  jug.ice > 0 ? Math.min(0, jug.iceC) : (jug.liquidC ?? jug.roomC)

/**
 * °C after one more spoon when no heat is lost. Ice that is left takes the heat first: it stays at nought until that has melted.
 * @param nowC of the milk as it is
 * @param share of the lye that is in already, 0–1
 * @param spoon how much more of it goes in, 0–1
 * @example afterSpoon(jug, 20, 0) // 31.5762
 */
export function afterSpoon(jug: LyeJug, nowC: number, share: number, spoon = 1 / spoons): number {
  const [before, after] = [withShare(jug, share), withShare(jug, Math.min(1, share + spoon))]
  if (jug.ice > 0 && nowC < thawed) {
    const { warm } = iceTakes(jug)
    const melted = peakWithoutLoss(after)
    return melted > 0
      ? melted
      : beginsAt(jug) * clamp(1 - heatEvolved(after) / (warm || 1), 0, 1) || 0
  }
  // One balance about 25 °C: what was dissolved already, the new spoon from the room, and its heat of solution.
  const joules =
    jugCapacity(before) * (nowC - tableC) +
    (after.naoh + after.koh - before.naoh - before.koh) * solidAlkali * (jug.roomC - tableC) +
    heatEvolved(after) -
    heatEvolved(before)
  return tableC + joules / jugCapacity(after)
}

/**
 * °C to which the milk must have cooled for the next spoon to stay under the guard.
 * @param share of the lye that is in already, 0–1
 * @example waitUntil(jug, 0.5, 38) // 28.8612
 */
export function waitUntil(jug: LyeJug, share: number, guardC: number): number {
  const thawedJug = { ...jug, ice: 0, water: jug.water + jug.ice }
  // What it lands at goes straight with what it is at.
  const [from, to] = [0, 1].map((celsius) => afterSpoon(thawedJug, celsius, share)) as [
    number,
    number,
  ]
  return (guardC - spare - from) / (to - from)
}

/**
 * The course to be expected in an ice bath: °C after each spoon from none to all, between a patient hand and a hurried one. Where the
 * guard is near people wait for it to cool before they go on.
 * @param guardC °C that it is to stay under
 * @example courseOf({ ...jug, liquidC: 5 }, 38)[1] // { low: 16.1681, high: 16.7695 }
 */
export function courseOf(jug: LyeJug, guardC: number): { low: number; high: number }[] {
  const millilitres = jug.water + jug.ice + jug.other + jug.naoh + jug.koh
  const perMinute = perMinuteOf(millilitres, jugCapacity(jug)) * iceBath.times
  const by = (minutes: number, most: number) => {
    const kept = Math.exp(-perMinute * minutes)
    const course = [beginsAt(jug)]
    for (let spoon = 0; spoon < spoons; spoon++) {
      const before = course.at(-1)!
      // Colder than the bath it loses nothing to it.
      const stood =
        before > iceBath.roomC ? iceBath.roomC + (before - iceBath.roomC) * kept : before
      course.push(Math.min(most, afterSpoon(jug, stood, spoon / spoons)))
    }
    return course
  }
  const low = by(stirred.most, guardC - waitsTo)
  const high = by(stirred.least, guardC)
  return low.map((celsius, index) => ({ low: celsius, high: high[index]! }))
}
