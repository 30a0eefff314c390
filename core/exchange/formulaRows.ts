import type { AdditiveLine, FormulaDocument, ScentLine } from '#contracts/formula'
import type { AmountBase, AmountUnit } from '#contracts/words'
import { gramsOfBase, unitWords } from '../units/measures'
import { library as shipped, type Library, type Material } from '../materials/library'
import { readName, wordsOf } from '../words/materialNames'
import { idFrom } from '../words/reading'
import type { Measure } from '../formula/measure'
import { nameOfExtra, nameOfFat, nameOfLiquid } from '../formula/names'
import { Cells, numberCell, percentCell, type Row, type RowFault } from './rows'

/*
 * Formulas as rows of a spreadsheet, one row for each thing in them, and back. Nothing of a formula is left out: what is
 * no line (superfat, water, lye, size, method) is a row of the kind "setting" under the name it has in the open format.
 */

export const formulaColumns = [
  'formula',
  'what',
  'pot',
  'id',
  'name',
  'amount',
  'unit',
  'moment',
  'way',
  'in lye',
  'sap',
  'max % of bar',
  'oil',
  'oil parts',
  'oil from',
  'water',
  'water as',
  'scented',
] as const

/** "tsp/kg" is a teaspoon per kg of oils; files of version 1 call it "tsp/kg-oils". */
const volumes = Object.keys(unitWords).flatMap((unit) => [
  unit,
  ...Object.keys(gramsOfBase).map((per) => `${unit}/${per}`),
])
const units = ['% oils', '% batter', ...volumes, 'tsp/kg-oils']

function measureCells(line: Measure): Row {
  if (line.amount) {
    const { value, unit, per } = line.amount
    // A bare g is a weight; grams once, as an amount, are the same weight.
    return { amount: numberCell(value), unit: per ? `${unit}/${per}` : unit }
  }
  if (line.grams !== undefined) return { amount: numberCell(line.grams), unit: 'g' }
  return { amount: percentCell(line.rate), unit: `% ${line.of ?? 'oils'}` }
}

function readMeasure(cells: Cells): Measure {
  const unit = cells.oneOf('unit', units)
  if (unit === '% oils' || unit === '% batter')
    return { rate: cells.percent('amount'), of: unit === '% oils' ? 'oils' : 'batter' }
  const value = cells.number('amount')
  if (unit === 'g') return { grams: value }
  const [each, per = null] = unit.replace('-oils', '').split('/') as [AmountUnit, AmountBase?]
  return { amount: { value, unit: each, per } }
}

/** Every leaf of a part of the document, by its path in the open format. */
function leaves(value: unknown, path: string): [string, string][] {
  if (Array.isArray(value)) return value.flatMap((item, index) => leaves(item, `${path}[${index}]`))
  if (value !== null && typeof value === 'object')
    return Object.entries(value).flatMap(([key, item]) => leaves(item, `${path}.${key}`))
  return value === undefined ? [] : [[path, value === null ? '' : String(value)]]
}

const settings = [
  'use',
  'notes',
  'superfat',
  'water',
  'alkali',
  'iceShare',
  'iceGrams',
  'size',
  'method',
  'thumbnail',
] as const

function extraRow(line: AdditiveLine, library: Library, pot = ''): Row {
  return {
    what: 'extra',
    pot,
    id: line.id,
    name: nameOfExtra(line.id, library),
    ...measureCells(line),
    moment: line.moment ?? '',
    oil: line.carrier?.id ?? '',
    'oil parts': numberCell(line.carrier?.ratio),
    'oil from': line.carrier?.from ?? '',
  }
}

/**
 * A formula as rows under `formulaColumns`.
 * @example rowsOfFormula(example, shipped).length // 18
 */
export function rowsOfFormula(document: FormulaDocument, library: Library): Row[] {
  const rows: Row[] = [
    ...document.fats.map((line) => ({
      what: 'fat',
      id: line.id,
      name: nameOfFat(line, library),
      amount: line.grams === undefined ? percentCell(line.share) : numberCell(line.grams),
      unit: line.grams === undefined ? '%' : 'g',
      moment: line.moment,
      'in lye': line.inLye ? 'yes' : 'no',
      sap: numberCell(line.sap),
    })),
    ...document.liquids.map((line) => ({
      what: 'liquid',
      id: line.id,
      name: nameOfLiquid(line.id, library),
      amount: line.grams == null ? percentCell(line.share) : numberCell(line.grams),
      unit: line.grams == null ? '%' : 'g',
      moment: line.moment,
      way: line.way,
    })),
    ...document.additives.map((line) => extraRow(line, library)),
    ...document.scents.map((line) => ({
      what: 'scent',
      id: line.id,
      name: line.name ?? '',
      ...measureCells(line),
      moment: line.moment,
      'max % of bar': percentCell(line.maxOfBar),
    })),
    ...document.parts.flatMap((part) => [
      {
        what: 'pot',
        pot: part.name,
        amount: percentCell(part.share),
        unit: '%',
        water: numberCell(part.water?.value),
        'water as': part.water?.held ?? '',
        scented: part.scent ? 'yes' : 'no',
      },
      ...part.additives.map((line) => extraRow(line, library, part.name)),
    ]),
    ...settings
      .flatMap((key) => leaves(document[key], key))
      .map(([id, amount]) => ({ what: 'setting', id, amount })),
  ]
  return rows.map((row) => ({ formula: document.name, ...row }))
}

/** A formula that rows tell of: not yet checked against the format. */
export interface FormulaFromRows {
  name: string
  /** What the schema has to judge. */
  candidate: Record<string, unknown>
  /** Row of each place of the candidate, by its path. */
  rowOf: Record<string, number>
  faults: RowFault[]
}

/** Settings that stay text even when they look like a number or a truth. */
const textSetting =
  /^(use|notes|water\.held|size\.(by|of)|method\.(gel|tool|frozen|pattern)|method\.patterns\[\d+\]|thumbnail\..*|.*\.(name|shape))$/

function valueOf(path: string, cells: Cells): unknown {
  const text = cells.text('amount')
  if (path === 'method.frozen' && text === '') return null
  if (textSetting.test(path)) return text
  if (text === '') return null
  if (text === 'true' || text === 'false') return text === 'true'
  return cells.number('amount')
}

function setAt(target: Record<string, unknown>, path: string, value: unknown): void {
  const keys = path.replace(/\[(\d+)\]/g, '.$1').split('.')
  let place: Record<string, unknown> = target
  keys.slice(0, -1).forEach((key, index) => {
    place[key] ??= /^\d+$/.test(keys[index + 1]!) ? [] : {}
    place = place[key] as Record<string, unknown>
  })
  place[keys.at(-1)!] = value
}

type Draft = {
  fats: unknown[]
  liquids: unknown[]
  additives: unknown[]
  scents: unknown[]
  parts: { name: string; additives: unknown[] }[]
}

/** The id in a row; where it only has a name, that of the one material the name means, every word of it accounted for. */
function idIn(cells: Cells, kind: Material['kind'], library: Library): string {
  const id = cells.text('id')
  const name = cells.text('name')
  if (id || !name) return id
  const { material, doubtful, candidates } = readName(wordsOf(name), library)
  if (material && !doubtful && material.kind === kind) return material.id
  const likely = candidates.filter((one) => one.kind === kind).slice(0, 3)
  cells.fail(
    'name',
    likely.length
      ? `"${name}" may be ${likely.map((one) => `${one.name} (${one.id})`).join(', ')}: write its id.`
      : `"${name}" is not in the library: write its id.`,
  )
  return ''
}

function readExtra(cells: Cells, library: Library): Partial<AdditiveLine> {
  const oil = cells.text('oil')
  const moment = cells.text('moment')
  return {
    id: idIn(cells, 'additive', library),
    ...readMeasure(cells),
    ...(moment ? { moment: moment as AdditiveLine['moment'] } : {}),
    carrier: oil
      ? {
          id: oil,
          ratio: cells.number('oil parts') ?? 2,
          from: cells.oneOf('oil from', ['formula', 'extra']),
        }
      : null,
  }
}

function readLine(what: string, cells: Cells, draft: Draft, library: Library): string | null {
  const moment = cells.text('moment')
  const id = cells.text('id')
  switch (what) {
    case 'fat': {
      const sap = cells.number('sap')
      const name = cells.text('name')
      const grams = cells.oneOf('unit', ['%', 'g']) === 'g'
      draft.fats.push({
        id: sap === null ? idIn(cells, 'fat', library) : id,
        ...(grams ? { grams: cells.number('amount') } : { share: cells.percent('amount') }),
        ...(sap === null ? {} : { sap, name }),
        ...(moment ? { moment } : {}),
        inLye: cells.oneOf('in lye', ['yes', 'no']) === 'yes',
      })
      return `fats[${draft.fats.length - 1}]`
    }
    case 'liquid': {
      const way = cells.text('way')
      draft.liquids.push({
        id: idIn(cells, 'liquid', library),
        ...(cells.oneOf('unit', ['%', 'g']) === 'g'
          ? { grams: cells.number('amount') }
          : { share: cells.percent('amount') }),
        ...(moment ? { moment } : {}),
        ...(way ? { way } : {}),
      })
      return `liquids[${draft.liquids.length - 1}]`
    }
    case 'extra': {
      const pot = cells.text('pot')
      const part = draft.parts.findIndex(({ name }) => name === pot)
      if (pot && part < 0) {
        cells.fail('pot', `There is no pot "${pot}" above this row.`)
        return null
      }
      const list = pot ? draft.parts[part]!.additives : draft.additives
      list.push(readExtra(cells, library))
      return `${pot ? `parts[${part}].` : ''}additives[${list.length - 1}]`
    }
    case 'scent': {
      const maxOfBar = cells.percent('max % of bar')
      const name = cells.text('name')
      const scent: Partial<ScentLine> & { id: string } = {
        id: id || (name ? idFrom(name) : ''),
        ...(name ? { name } : {}),
        ...readMeasure(cells),
        ...(moment ? { moment: moment as ScentLine['moment'] } : {}),
        ...(maxOfBar === null ? {} : { maxOfBar }),
      }
      draft.scents.push(scent)
      return `scents[${draft.scents.length - 1}]`
    }
    case 'pot': {
      const held = cells.text('water as')
      const part = {
        name: cells.text('pot'),
        share: cells.percent('amount'),
        ...(held ? { water: { held, value: cells.number('water') } } : {}),
        scent: cells.oneOf('scented', ['yes', 'no']) === 'yes',
        additives: [] as unknown[],
      }
      draft.parts.push(part)
      return `parts[${draft.parts.length - 1}]`
    }
    default:
      cells.fail(
        'what',
        what
          ? `"${what}" is none of fat, liquid, extra, scent, pot, setting.`
          : 'This says what the row is: fat, liquid, extra, scent, pot or setting.',
      )
      return null
  }
}

function readOne(
  name: string,
  rows: { row: Row; at: number }[],
  library: Library,
): FormulaFromRows {
  const faults: RowFault[] = []
  const draft: Draft = { fats: [], liquids: [], additives: [], scents: [], parts: [] }
  const candidate: Record<string, unknown> = { format: 'mantle.formula', version: 2, name }
  const rowOf: Record<string, number> = {}
  for (const { row, at } of rows) {
    const cells = new Cells(row, at, faults)
    const what = cells.text('what').toLowerCase()
    const id = cells.text('id')
    if (what !== 'setting') {
      const path = readLine(what, cells, draft, library)
      if (path) rowOf[path] = at
    } else if (!settings.some((key) => id === key || id.startsWith(`${key}.`)))
      cells.fail('id', `Mantle does not know the setting "${id}".`)
    else {
      setAt(candidate, id, valueOf(id, cells))
      rowOf[id] = at
    }
  }
  // A table without sizes is one of weights, or of shares of a kilogram.
  candidate.size ??= draft.fats.some((fat) => 'grams' in (fat as object))
    ? { by: 'lines' }
    : { by: 'oils', grams: 1000 }
  return { name, candidate: { ...candidate, ...draft }, rowOf, faults }
}

/**
 * The formulas that rows tell of, in the order of their first rows. Rows without a formula's name are faults.
 * @param lines of the file that the rows begin on; one after the other below the heading without them
 * @example formulasFromRows(rowsOfFormula(example, shipped)).formulas[0].name // 'Salt Flat'
 */
export function formulasFromRows(
  rows: Row[],
  library: Library = shipped,
  lines?: readonly number[],
): { formulas: FormulaFromRows[]; faults: RowFault[] } {
  const faults: RowFault[] = []
  const byName = new Map<string, { row: Row; at: number }[]>()
  rows.forEach((row, index) => {
    const at = lines?.[index] ?? index + 2
    const name = (row.formula ?? '').trim()
    if (!name)
      return faults.push({ row: at, column: 'formula', says: 'Which formula is this a row of?' })
    byName.set(name, [...(byName.get(name) ?? []), { row, at }])
  })
  return { formulas: [...byName].map(([name, own]) => readOne(name, own, library)), faults }
}

/**
 * The row that a place of a document came from, by the longest path that leads to it.
 * @example rowAt('fats.1.share', { 'fats.1': 3 }) // 3
 */
export function rowAt(path: string, rowOf: Record<string, number>): number | null {
  const fits = Object.keys(rowOf).filter(
    (known) => path === known || path.startsWith(`${known}.`) || path.startsWith(`${known}[`),
  )
  const longest = fits.sort((a, b) => b.length - a.length)[0]
  return longest === undefined ? null : rowOf[longest]!
}
