import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { faultsOf } from '#contracts/faults'
import { formulaSchema } from '#contracts/formula'
import { ownMaterialSchema } from '#contracts/material'
import { anyFormula } from '../../tests/support/anyFormula'
import { computeFormula } from '../formula/compute'
import { library, type Material } from '../materials/library'
import { blankMaterial, recordOf } from '../materials/own'
import { formulaColumns, formulasFromRows, rowAt, rowsOfFormula } from './formulaRows'
import { differingCells, materialColumns, materialsFromRows, rowOfMaterial } from './materialRows'
import { runs } from '../../tests/support/runs'

const back = (rows: Record<string, string>[]) => {
  const read = formulasFromRows(rows)
  return {
    ...read,
    parsed: read.formulas.map(({ candidate }) => formulaSchema.safeParse(candidate)),
  }
}
const fat = (cells: Record<string, string>) => ({ formula: 'Dish Slate', what: 'fat', ...cells })

describe('formulas as rows', () => {
  it('come back the same: every weight of any formula, and every word', () => {
    fc.assert(
      fc.property(anyFormula, (drawn) => {
        const document = { ...drawn, notes: 'Sieve twice; then "wait", ½ h\nand note 007' }
        const rows = rowsOfFormula(document, library)
        const known = new Set<string>(formulaColumns)
        const { faults, formulas, parsed } = back(rows)
        const again = parsed[0]!.data!
        const [before, after] = [computeFormula(document, library), computeFormula(again, library)]
        return (
          rows.every((row) => Object.keys(row).every((column) => known.has(column))) &&
          faults.length === 0 &&
          formulas[0]!.faults.length === 0 &&
          again.notes === document.notes &&
          JSON.stringify(again.method) === JSON.stringify(document.method) &&
          again.parts.length === document.parts.length &&
          Math.abs(after.batter - before.batter) < 1e-6 * before.batter &&
          Math.abs(after.superfat.total - before.superfat.total) < 1e-9
        )
      }),
      runs(100),
    )
  })

  it('of a plain list of fats are a formula: a kilogram of oils, or the weights', () => {
    const shares = back([
      fat({ id: 'olive', amount: '70' }),
      fat({ id: 'coconut', amount: '30,0' }),
    ])
    expect(shares.parsed[0]?.data).toMatchObject({
      name: 'Dish Slate',
      size: { by: 'oils', grams: 1000 },
      fats: [{ id: 'olive', share: 0.7 }, { share: 0.3 }],
    })
    const weights = back([fat({ id: 'olive', amount: '420', unit: 'g' })])
    expect(weights.parsed[0]?.data?.size).toEqual({ by: 'lines' })
  })

  it('say row by row what is wrong', () => {
    const { faults, formulas } = formulasFromRows([
      fat({ id: 'olive', amount: 'much' }),
      { formula: '', what: 'fat', id: 'olive' },
      fat({ what: 'fish', id: 'cod' }),
      fat({ what: 'extra', pot: 'dark', id: 'kaolin', amount: '2', unit: 'cups' }),
      fat({ what: 'setting', id: 'colour', amount: 'red' }),
    ])
    expect(faults).toEqual([{ row: 3, column: 'formula', says: 'Which formula is this a row of?' }])
    expect(formulas[0]!.faults.map(({ row, column }) => [row, column])).toEqual([
      [2, 'amount'],
      [4, 'what'],
      [5, 'pot'],
      [6, 'id'],
    ])
  })

  it('lead from what the format refuses back to the row', () => {
    const { formulas, parsed } = back([
      fat({ id: 'Olive Oil', amount: '100' }),
      fat({ what: 'setting', id: 'method.gel', amount: 'maybe' }),
    ])
    const places = faultsOf(parsed[0]!.error!).map(({ path }) => [
      path,
      rowAt(path, formulas[0]!.rowOf),
    ])
    expect(places).toEqual([
      ['fats[0].id', 2],
      ['method.gel', 3],
    ])
  })
})

describe('materials as rows', () => {
  const all: Material[] = [
    ...library.fats.values(),
    ...library.liquids.values(),
    ...library.additives.values(),
  ]

  it('come back the same, all of the library', () => {
    const records = all.map(recordOf)
    const rows = records.map(rowOfMaterial)
    expect(new Set(rows.flatMap(Object.keys))).toEqual(new Set(materialColumns))
    const read = materialsFromRows(rows, library)
    read.forEach(({ candidate, faults }, index) => {
      expect(faults).toEqual([])
      expect(differingCells(records[index]!, ownMaterialSchema.parse(candidate))).toEqual([])
    })
  })

  it('change one value with four cells, and keep the rest', () => {
    const [read] = materialsFromRows(
      [{ kind: 'fat', id: 'olive', sap: '187,5', certificate: 'KR-7' }],
      library,
    )
    const before = recordOf(library.fats.get('olive')!)
    expect(differingCells(before, read!.candidate)).toEqual([
      { column: 'certificate', was: '', is: 'KR-7' },
      { column: 'sap', was: '190', is: '187.5' },
    ])
  })

  it('join under an id made of the name', () => {
    const [read] = materialsFromRows(
      [{ kind: 'extra', name: 'Slate dust', 'usual %': '2', 'at most %': '5', colours: 'yes' }],
      library,
    )
    expect(read).toMatchObject({
      faults: [],
      candidate: {
        ...blankMaterial('additive'),
        id: 'own-slate-dust',
        name: 'Slate dust',
        usualRate: 0.02,
        highRate: 0.05,
        tints: true,
      },
    })
  })

  it.each([
    [{ kind: 'wax', id: 'olive' }, 'kind'],
    [{ id: 'olive' }, 'kind'],
    [{ kind: 'fat', id: 'ollive' }, 'id'],
    [{ kind: 'fat', sap: '190' }, 'name'],
    [{ kind: 'fat', id: 'olive', sap: 'high' }, 'sap'],
    [{ kind: 'extra', id: 'salt', pace: 'fast' }, 'pace'],
  ])('say what is wrong with %o', (row, column) => {
    const [read] = materialsFromRows([row as unknown as Record<string, string>], library)
    expect(read!.faults.map((fault) => fault.column)).toContain(column)
  })
})
