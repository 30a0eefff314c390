import { superfatAsWeighed } from '../chemistry/superfat'
import type { Library } from '../materials/library'
import { usualKohPurity } from '../chemistry/alkali'
import { amounts } from './amounts'
import type { RecipeLine } from './read'

/**
 * The superfat a recipe's weights really have, by the grams of what is certain in it; null where fats or lye are not given by
 * weight.
 * @param end which end of each fat's published range to take
 * @example superfatOf(readRecipe('500 g olive oil\n64 g lye', { library: shipped, spoons: 'us' }), shipped) // 0.0549927
 */
export function superfatOf(
  lines: RecipeLine[],
  library: Library,
  end: 'low' | 'typical' | 'high' = 'typical',
): number | null {
  const known = amounts(lines, library)
  const { oils, of, naoh, koh, byShare, size } = known
  if (!(oils > 0) || !(naoh + koh > 0) || (byShare && size === null)) return null
  const extras = known.lines.filter(({ kind }) => kind === 'additive')
  const liquids = known.lines.filter(({ kind }) => kind === 'liquid')
  return superfatAsWeighed({
    fats: [
      ...known.fats.map(({ line, grams }) => ({
        grams,
        sap: library.fats.get(line.id!)?.sap[end] ?? 0,
      })),
      ...liquids.map((line) => {
        const liquid = library.liquids.get(line.id!)
        return { grams: of(line) * (liquid?.fat ?? 0), sap: liquid?.fatSap ?? 0 }
      }),
      ...extras.map((line) => {
        const extra = library.additives.get(line.id!)
        return { grams: of(line) * (extra?.fat ?? 0), sap: extra?.fatSap ?? 0 }
      }),
    ],
    acids: extras.flatMap((line) => {
      const acid = library.additives.get(line.id!)?.acid
      return acid ? [{ acid, grams: of(line) }] : []
    }),
    sour: liquids.flatMap((line) => {
      const naohPerGram = library.liquids.get(line.id!)?.naohTaken ?? 0
      return naohPerGram > 0 ? [{ grams: of(line), naohPerGram }] : []
    }),
    naoh: { grams: naoh, purity: 1 },
    koh: { grams: koh, purity: usualKohPurity },
  })
}
