import { inSentence } from '../units/language'
import type { Rule } from './rule'

/**
 * Salts and sugars in the lye water: from how much of them for a gram of water on they no longer dissolve there, since lye has
 * taken the water. Solubility at room temperature in lye of about 30 %, rounded: salt 0.04, soda 0.1, sugar 0.6. Judgement.
 */
const dissolvesIn: Record<string, number> = {
  salt: 0.04,
  'washing-soda': 0.1,
  'sodium-citrate': 0.15,
  'sodium-silicate': 0.3,
  sugar: 0.6,
  sorbitol: 0.8,
}
/** Salt above this share of the oils goes in at trace. */
const saltAtTrace = 0.03

/**
 * Salt, sugar or soda beyond what the lye water dissolves: it stays as grit, or salts the soap out.
 * @example saltInLye(subject({ additives: [extra('salt', 0.05, { moment: 'water' })] }))[0].severity // 'think'
 */
export const saltInLye: Rule = ({ document, result, say }) =>
  result.additives.flatMap((line, index) => {
    const most = dissolvesIn[line.id]
    if (most === undefined || result.parts.length || !document.additives[index]) return []
    if (line.moment === 'oils' || line.moment === 'trace') return []
    const water = result.water.weighed + result.water.inSolution
    const much = line.id === 'salt' && line.grams > saltAtTrace * result.oils
    if (!(water > 0) || (line.grams <= most * water && !much)) return []
    return [
      {
        id: `salt-in-lye-${index}`,
        severity: 'think' as const,
        says: `${say.mass(line.grams)} of ${inSentence(line.name)} will not dissolve in ${say.mass(water)} of lye water.`,
        because: much
          ? 'Lye has taken the water: what is left undissolved stays as grit, and so much salt throws soap out of the emulsion. Above about 3 % of the oils it goes in at trace, as grains.'
          : 'Lye has taken the water: what is left undissolved stays as grit. Dissolve it before the lye goes in, with water of its own, or stir it in at trace.',
        fix: {
          label: 'In at trace',
          patch: [{ path: ['additives', index, 'moment'], value: 'trace' }],
        },
      },
    ]
  })
