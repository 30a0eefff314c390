import type { FormulaDocument } from '#contracts/formula'
import type { Frozen, FrozenMaterial } from '#contracts/result'
import { computeFormula } from '../formula/compute'
import { libraryIds } from '../formula/frozen'
import type { Library, Material } from '../materials/library'
import { remarksOn } from '../remarks'
import { coreVersion } from '../version'

/**
 * Everything a batch keeps of its formula: the document, each material value it used, the figures and remarks, and the
 * version of the computation. Later changes to the library never reach it.
 * @example freeze(example, shipped).result.batter // 1411.76
 */
export function freeze(
  document: FormulaDocument,
  library: Library,
  overruled: Record<string, string> = {},
): Frozen {
  const result = computeFormula(document, library)
  const { fats, liquids, additives } = libraryIds(document)
  const used: (Material | undefined)[] = [
    ...fats.map((id) => library.fats.get(id)),
    ...liquids.map((id) => library.liquids.get(id)),
    ...additives.map((id) => library.additives.get(id)),
  ]
  const materials = new Map<string, FrozenMaterial>()
  for (const material of used) {
    if (!material) continue
    const { id, name, kind, ...values } = material
    materials.set(`${kind} ${id}`, { id, name, kind, values })
  }
  for (const { id } of document.scents) {
    const known = library.scents?.get(id)
    if (!known) continue
    const { name, ...values } = known
    materials.set(`scent ${id}`, { id, name, kind: 'scent', values })
  }
  return {
    core: coreVersion,
    document,
    materials: [...materials.values()],
    result,
    remarks: remarksOn(document, result, library),
    overruled,
    spoons: library.spoons,
    ...(library.offsets && Object.keys(library.offsets).length ? { offsets: library.offsets } : {}),
  }
}
