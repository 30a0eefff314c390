import { waterFloor } from '../water/ways'
import type { Rule } from './rule'

/**
 * A part of the batter whose own water is too little, whatever the whole has.
 * @example partTooDry(subject({ parts: [pot('pale', 0.5, { water: { held: 'ratio', value: 0.8 } }), pot('dark', 0.5)] }))[0].severity
 *   // 'stop'
 */
export const partTooDry: Rule = ({ result, say }) =>
  result.parts.flatMap((part, index) => {
    const { ratioInLye, weighed, smallestRatio } = part.result.water
    // A pot without a share of the oils is nothing yet.
    if (part.result.oils <= 0 || (ratioInLye >= waterFloor - 1e-9 && weighed >= -1e-9)) return []
    const enough = Math.ceil(Math.max(1.3, smallestRatio ?? 0) * 100) / 100
    return [
      {
        id: `part-too-dry-${index}`,
        severity: 'stop' as const,
        says: `The pot "${part.name}" has too little water in its lye: ${say.ratio(Math.max(0, ratioInLye))}.`,
        because:
          smallestRatio !== null && smallestRatio > waterFloor
            ? `With this ready-mixed lye the smallest ratio that works is ${say.ratio(smallestRatio)}.`
            : 'Each pot has lye of its own, and every one of them must be 1 : 1 or more to dissolve.',
        fix: Number.isFinite(enough)
          ? {
              label: `Raise to ${say.ratio(enough)}`,
              patch: [{ path: ['parts', index, 'water'], value: { held: 'ratio', value: enough } }],
            }
          : undefined,
      },
    ]
  })
