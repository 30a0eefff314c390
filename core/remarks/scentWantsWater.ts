import { patternOf } from '../formula/method'
import { scentPace } from '../batter/scentBehaviour'
import { capital } from '../units/language'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * A scent that hurries the batter, in a formula with little water.
 * @example scentWantsWater(subject({ water: { value: 1.6 }, scents: [scent('Clove leaf', 0.03)] })).severity // 'think'
 */
export const scentWantsWater: Rule = (subject) => {
  const { document, result, library, say } = subject
  const { ratio } = result.water
  const [hasty] = result.scents.flatMap((line) => {
    const at = { rate: line.grams / result.oils, ratio }
    const pace = line.grams > 0 ? scentPace(line, at, library) : null
    // Those tried here have a remark of their own.
    return pace && pace.rests !== 'own' && pace.times < 0.7 ? [pace] : []
  })
  if (!hasty || ratio <= 0 || ratio >= 2 - 1e-9 || result.parts.length) return null
  if (patternOf(document) === 'layers') return null
  return {
    id: 'scent-wants-water',
    severity: 'think',
    says: `${hasty.name} at ${say.ratio(ratio)} leaves hardly time to pour.`,
    because: `${hasty.rests === 'name' ? `By its name, ${hasty.says}` : capital(hasty.says)}; little water makes it quicker still. Water slows it down.`,
    fix: { label: `Raise the water to ${say.ratio(2.4)}`, patch: waterPatch(subject, 2.4) },
  }
}
