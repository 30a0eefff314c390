import { scentColour } from '#core/batter/colours'
import type { Substance } from '#core/formula/makingOrder'
import type { Library } from '#core/materials/library'

/** What a material has that the library does not know. */
const unknown = { fat: '#cbbf9f', liquid: '#e9dfca', additive: '#6f8f86' } as const

/** The colour of a substance: it keeps it in rows, pot, sheet and charts. */
export function substanceColour(substance: Substance, id: string, library: Library): string {
  if (substance === 'fat') return library.fats.get(id)?.colour ?? unknown.fat
  if (substance === 'liquid') return library.liquids.get(id)?.colour ?? unknown.liquid
  if (substance === 'additive') return library.additives.get(id)?.colour ?? unknown.additive
  return substance === 'scent' ? scentColour(id, library) : `var(--color-${substance})`
}
