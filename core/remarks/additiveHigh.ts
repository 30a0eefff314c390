import type { Rule } from './rule'
import { atRate } from './shift'
import { inSentence } from '../units/language'

/**
 * Extras beyond what makers use of them. Acids have a rule of their own.
 * @example additiveHigh(subject({ additives: [extra('sodium-lactate', 0.06)] }))[0].severity // 'think'
 */
export const additiveHigh: Rule = ({ document, result, library, say }) =>
  document.additives.flatMap((line, index) => {
    const additive = library.additives.get(line.id)
    const grams = result.additives[index]?.grams ?? 0
    if (!additive || additive.acid || result.parts.length) return []
    const share = grams / result.oils
    if (share <= additive.highRate * 1.05) return []
    return [
      {
        id: `additive-high-${index}`,
        severity: 'think' as const,
        says: `${say.percent(share)} ${inSentence(additive.name)} is more than makers use.`,
        because: `${additive.does} They stay under ${say.percent(additive.highRate)} of the oils.`,
        fix: {
          label: `Lower to ${say.percent(additive.highRate)}`,
          patch: [
            {
              path: ['additives', index],
              value: atRate(line, additive.highRate),
            },
          ],
        },
      },
    ]
  })
