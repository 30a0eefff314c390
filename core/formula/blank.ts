import type { FormulaDocument } from '#contracts/formula'
import { usualKohPurity } from '../chemistry/alkali'

/**
 * A new formula: nothing in it but the defaults most makers start from.
 * @example blankFormula('Tide Pool').name // 'Tide Pool'
 */
export function blankFormula(name: string): FormulaDocument {
  return {
    format: 'mantle.formula',
    version: 2,
    name,
    use: 'body',
    notes: '',
    size: { by: 'oils', grams: 1000 },
    superfat: 0.05,
    alkali: { naohPurity: 1, kohShare: 0, kohPurity: usualKohPurity, solutionStrength: null },
    water: { held: 'ratio', value: 2.2 },
    fats: [],
    liquids: [],
    iceShare: 0,
    additives: [],
    scents: [],
    parts: [],
    method: { lyeC: 35, oilsC: 35, gel: 'leave', patterns: [], tool: 'blender', frozen: null },
  }
}
