import { daysBetween, type Day } from '../../units/days'

/** Days after which a scale is held against a known mass again: they drift with knocks and warmth (judgement). */
export const checkEvery = 30
/** Share by which a scale may be off: half of what a lye weighing may miss by. */
const mayBeOff = 0.0025

/** What was put on the scale and what it showed, g. */
export interface ScaleChecked {
  day: Day
  mass: number
  shown: number
}

/**
 * Whether it is time to hold the scale against a known mass.
 * @example scaleCheckDue(null, '2026-03-01') // true
 */
export const scaleCheckDue = (last: ScaleChecked | null, today: Day): boolean =>
  last === null || daysBetween(last.day, today) >= checkEvery

/**
 * By which share a scale shows too much (or too little, negative); null where that is no more than a step of it, or too little to matter.
 * @param scale resolution, g
 * @example scaleOff({ day: '2026-03-01', mass: 200, shown: 203 }, 0.1) // 0.015
 */
export function scaleOff({ mass, shown }: ScaleChecked, scale: number): number | null {
  const off = shown - mass
  return Math.abs(off) <= Math.max(scale, mass * mayBeOff) + 1e-9 ? null : off / mass
}
