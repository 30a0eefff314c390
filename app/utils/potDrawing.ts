import type { TrialSign, TrialStage } from '#contracts/trialWords'
import type { Stretch } from '#core/trials/stretches'

/** What a pot looks like from above. */
export type PotLook = TrialStage | TrialSign

/** How high a ribbon stands, and how wide a rim is, at each stage, of a whole. */
export const heights: Record<TrialStage, number> = {
  emulsion: 0.14,
  light: 0.34,
  medium: 0.55,
  thick: 0.77,
  'too-far': 1,
}
/** Plain soap where nothing was photographed (judgement: Hostel Bar's). */
export const plainSoap = '#e7dcc0'

/** Minutes that a rim goes round in, and that a ribbon is long. */
export const hour = 60

const at = (value: number) => Math.round(value * 100) / 100

/**
 * A pot's time as a ribbon that thickens as its batter does: slow and flat, or a short stair. It breaks off jagged where the pot was still
 * pouring when the hour was over.
 * @param width of an hour, px
 * @param height px
 */
export function ribbonPath(
  stretches: readonly Stretch[],
  { width, height, minutes = hour }: { width: number; height: number; minutes?: number },
): string {
  const last = stretches.at(-1)
  if (!last) return ''
  const x = (minute: number) => at((Math.min(minute, minutes) / minutes) * width)
  const y = (stage: TrialStage) => at(height * (1 - heights[stage]))
  const slope = width / 60
  const points: string[] = [`M${x(0)} ${height}`]
  let before: number | null = null
  for (const { stage, from, to } of stretches) {
    if (from >= minutes) break
    const top = y(stage)
    // A stage comes by a short slope, not by a step.
    points.push(
      before === null
        ? `L${x(from)} ${top}`
        : `L${at(x(from) - slope / 2)} ${before}L${at(x(from) + slope / 2)} ${top}`,
    )
    points.push(`L${x(to)} ${top}`)
    before = top
  }
  const end = x(last.to)
  const top = before ?? height
  if (last.stage === 'too-far') points.push(`L${end} ${at(top - 2)}L${end} ${height}Z`)
  else if (last.to >= minutes - 0.5)
    points.push(`L${at(end - 4)} ${at((top + height) / 2)}L${end} ${height}Z`)
  else points.push(`L${end} ${height}Z`)
  return points.join('')
}

/** A point on a circle; minute 0 is at the top, an hour goes round. */
export const onCircle = (radius: number, minute: number): [number, number] => {
  const angle = (minute / hour) * 2 * Math.PI - Math.PI / 2
  return [at(50 + radius * Math.cos(angle)), at(50 + radius * Math.sin(angle))]
}

/** A piece of a ring between two minutes, from one radius to another, in a square of 100. */
export function ringPiece(from: number, to: number, inner: number, outer: number): string {
  const until = Math.min(to, from + hour - 0.01)
  const far = until - from > hour / 2 ? 1 : 0
  const [ax, ay] = onCircle(outer, from)
  const [bx, by] = onCircle(outer, until)
  const [cx, cy] = onCircle(inner, until)
  const [dx, dy] = onCircle(inner, from)
  return `M${ax} ${ay}A${outer} ${outer} 0 ${far} 1 ${bx} ${by}L${cx} ${cy}A${inner} ${inner} 0 ${far} 0 ${dx} ${dy}Z`
}

/** The hand of a pot's clock, from one radius to another. */
export function handAt(minute: number, inner: number, outer: number): string {
  const [ax, ay] = onCircle(inner, minute)
  const [bx, by] = onCircle(outer, minute)
  return `M${ax} ${ay}L${bx} ${by}`
}
