import { patternOf } from '../formula/method'
import { scentBehaviour } from '../batter/scentBehaviour'
import type { Rule } from './rule'
import { waterPatch } from './waterValue'

/**
 * A scent that hurries the batter, in a formula with little water.
 * @example scentWantsWater(subject({ water: { value: 1.6 }, scents: [scent('Clove leaf', 0.03)] })).severity // 'think'
 */
export const scentWantsWater: Rule = (subject) => {
  const { document, result, say } = subject
  const hasty = result.scents.find(
    ({ name, grams }) => grams > 0 && (scentBehaviour(name)?.pace ?? 1) < 0.7,
  )
  const { ratio } = result.water
  if (!hasty || ratio <= 0 || ratio >= 2 - 1e-9 || result.parts.length) return null
  if (patternOf(document) === 'layers') return null
  return {
    id: 'scent-wants-water',
    severity: 'think',
    says: `${hasty.name} at ${say.ratio(ratio)} leaves hardly time to pour.`,
    because: `By its name, ${scentBehaviour(hasty.name)!.says}; little water makes it quicker still. Water slows it down.`,
    fix: { label: `Raise the water to ${say.ratio(2.4)}`, patch: waterPatch(subject, 2.4) },
  }
}
