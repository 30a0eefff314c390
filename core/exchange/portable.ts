import type { FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'

/**
 * A formula for others: every fat whose value is this workshop's own carries that value and a name, so that it weighs the
 * same where the workshop's materials are not known.
 * @param library as this workshop has it
 * @param shipped as everybody has it
 * @example portable(example, shipped, shipped).fats // [{ id: 'olive', share: 1, moment: 'pot', inLye: true }]
 */
export function portable(
  document: FormulaDocument,
  library: Library,
  shipped: Library,
): FormulaDocument {
  const fats = document.fats.map((line) => {
    const own = library.fats.get(line.id)
    if (!own || line.sap != null || shipped.fats.get(line.id)?.sap.typical === own.sap.typical)
      return line
    return { ...line, sap: own.sap.typical, name: line.name ?? own.name }
  })
  return { ...document, fats }
}

/**
 * Names of liquids and extras of the workshop's own, which a formula file cannot carry.
 * @example leftBehind(example, shipped, shipped) // []
 */
export function leftBehind(document: FormulaDocument, library: Library, shipped: Library) {
  const extras = [document, ...document.parts].flatMap(({ additives }) => additives)
  return [
    ...document.liquids
      .filter(({ id }) => !shipped.liquids.has(id))
      .map(({ id }) => library.liquids.get(id)?.name ?? id),
    ...extras
      .filter(({ id }) => !shipped.additives.has(id))
      .map(({ id }) => library.additives.get(id)?.name ?? id),
  ]
}
