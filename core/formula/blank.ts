import type { FormulaDocument } from '#contracts/formula'
import type { Workshop } from '#contracts/workshop'
import { usualKohPurity } from '../chemistry/alkali'

const usualBeginning: Workshop['begin'] = { superfat: 0.05, water: 2.2, naohPurity: 1 }

/**
 * A new formula: nothing in it but what this workshop begins with, or what most makers start from.
 * @example blankFormula('Tide Pool').name // 'Tide Pool'
 */
export function blankFormula(
  name: string,
  { superfat, water, naohPurity }: Workshop['begin'] = usualBeginning,
): FormulaDocument {
  return {
    format: 'mantle.formula',
    version: 2,
    name,
    use: 'body',
    notes: '',
    size: { by: 'oils', grams: 1000 },
    superfat,
    alkali: { naohPurity, kohShare: 0, kohPurity: usualKohPurity, solutionStrength: null },
    water: { held: 'ratio', value: water },
    fats: [],
    liquids: [],
    iceShare: 0,
    additives: [],
    scents: [],
    parts: [],
    method: { lyeC: 35, oilsC: 35, gel: 'leave', patterns: [], tool: 'blender', frozen: null },
  }
}
