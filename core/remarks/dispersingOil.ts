import type { Rule } from './rule'

/**
 * Colours that want oil to be stirred smooth in, without saying where that oil comes from.
 * @example dispersingOil(subject({ additives: [extra('titanium-dioxide', 0.005)] })).severity // 'know'
 */
export const dispersingOil: Rule = ({ document, result, library, say }) => {
  const index = document.additives.findIndex(({ id, carrier }) => {
    const additive = library.additives.get(id)
    return additive?.disperse?.in === 'oil' && additive.group === 'colour' && !carrier
  })
  const line = document.additives[index]
  const additive = line && library.additives.get(line.id)
  const giver = document.fats.find((fat) => library.fats.get(fat.id)?.stateAt20 === 'liquid')
  const grams = (result.additives[index]?.grams ?? 0) * (additive?.disperse?.ratio ?? 0)
  if (!line || !additive?.disperse || grams <= 0) return null
  return {
    id: 'dispersing-oil',
    severity: 'know',
    says: `${additive.name} wants about ${say.amount(grams)} of oil to be stirred smooth in.`,
    because: `Oil on top of the formula raises the superfat by about ${say.percent(grams / result.oils, 2)}; oil taken out of it changes nothing.`,
    fix: giver
      ? {
          label: 'Take it from the formula',
          patch: [
            {
              path: ['additives', index, 'carrier'],
              value: { id: giver.id, ratio: additive.disperse.ratio, from: 'formula' },
            },
          ],
        }
      : undefined,
  }
}
