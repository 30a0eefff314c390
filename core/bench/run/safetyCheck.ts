import type { FormulaDocument } from '#contracts/formula'

/** One point that is confirmed before any lye is shown. */
export interface GatePoint {
  id: string
  says: string
}

/** The room and clothing check. Local rules and the supplier's safety sheet come first. */
export const safetyPoints: GatePoint[] = [
  { id: 'goggles', says: 'Goggles on (not spectacles), gloves, long sleeves, closed shoes, apron' },
  { id: 'air', says: 'Window open or a mask on; children and pets are out' },
  { id: 'top', says: 'Worktop covered, running water within reach, nothing to trip over' },
  { id: 'lye', says: 'The lye is pure sodium hydroxide: the label is read, no drain cleaner' },
  { id: 'tools', says: 'No aluminium anywhere; heat-proof PP, HDPE or stainless steel only' },
]

/**
 * With potash in the formula its label is read too.
 * @example safetyCheckOf(example).map(({ id }) => id) // ['goggles', 'air', 'top', 'lye', 'tools']
 */
export function safetyCheckOf(document: FormulaDocument): GatePoint[] {
  if (document.alkali.kohShare <= 0) return safetyPoints
  return safetyPoints.map((point) =>
    point.id === 'lye'
      ? {
          ...point,
          says: 'Sodium and potassium hydroxide, both pure, both labels read and not mixed up',
        }
      : point,
  )
}

/** What stands on screen from the first lye step until everything is rinsed: short, since it always stands there. */
export const standingLine = 'Goggles and gloves stay on'
