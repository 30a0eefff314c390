import { pours } from '../batter/patterns'
import { patternOf } from '../formula/method'
import { atNearest, byWater } from '../scents/byWater'
import { ownScents } from './ownScents'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/** Minutes from scent to past pouring under which a batter is hardly brought into a mould (judgement). */
const hardlyPours = 12

/**
 * A scent that went stiff in own pots before a batter of this water is poured; where layers must set it is just right.
 * @example scentRaced(subject({ scents: [scent('Fir', 0.03)] })) // null
 */
export const scentRaced: Rule = (subject) => {
  const { document, result, say } = subject
  if (pours[patternOf(document)].lives === 'setting') return null
  const { ratio } = result.water
  for (const { line, known } of ownScents(subject)) {
    const waters = byWater(known)
    const here = atNearest(waters, ratio)
    if (!here || here.stiff === null || here.stiff >= hardlyPours) continue
    const tamed = waters.find(
      (one) => one.ratio > Math.max(here.ratio, ratio) && (one.stiff ?? Infinity) >= hardlyPours,
    )
    const pots = say.count(here.pots, 'pot', 'pots')
    return {
      id: 'scent-raced',
      severity: 'think',
      says: `${line.name} was past pouring after ${say.number(here.stiff, undefined, 0)} min in ${pots} of your own at ${say.ratio(here.ratio)}.`,
      because: tamed
        ? `At ${say.ratio(tamed.ratio)} it was medium only after ${say.number(tamed.medium ?? hardlyPours, undefined, 0)} min. More water slows what hurries.`
        : 'It goes in last, the mould within reach: a plain pour or layers bear it, no swirl does.',
      ...(tamed
        ? {
            fix: {
              label: `Raise the water to ${say.ratio(tamed.ratio)}`,
              patch: waterPatch(subject, tamed.ratio),
            },
          }
        : {}),
    }
  }
  return null
}
