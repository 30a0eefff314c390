import type { OwnMaterial } from '#contracts/material'
import type { FattyAcid } from '#contracts/result'
import { fattyAcidNames } from '../chemistry/fattyAcids'
import { idFrom } from '../words/reading'
import { meansLyeOrWater } from '../materials/lyeWords'
import type { Library } from '../materials/library'
import { blankMaterial, ownPrefix, recordOf } from '../materials/own'
import { Cells, numberCell, percentCell, type Row, type RowFault } from './rows'

/*
 * Materials as rows of a spreadsheet, one row each, and back. An empty cell keeps what the workshop knows of that material,
 * so a list of ids with a new saponification value and a certificate's number is enough.
 */

const kinds = ['fat', 'liquid', 'extra'] as const
const acidColumn = (acid: FattyAcid) => `${acid} %`

export const materialColumns = [
  'kind',
  'id',
  'name',
  'certificate',
  'colour',
  'sap',
  'sap low',
  'sap high',
  'takes no lye %',
  'density',
  'at 20 °C',
  'softens °C',
  'on a label',
  'from',
  'chemistry',
  ...fattyAcidNames.map(acidColumn),
  'water %',
  'fat %',
  'sap of its fat',
  'sugar %',
  'lye g per g',
  'group',
  'moment',
  'way',
  'usual %',
  'at most %',
  'stirred into',
  'parts',
  'pace',
  'hotter',
  'colours',
  'does',
]

const paces = { slower: -1, same: 0, quicker: 1 } as const
const paceWords = ['same', 'slower', 'quicker'] as const
const yesNo = (value: boolean) => (value ? 'yes' : 'no')

/**
 * A material as a row under `materialColumns`.
 * @example rowOfMaterial({ kind: 'fat', ...castor }).name // 'Castor oil'
 */
export function rowOfMaterial(material: OwnMaterial): Row {
  const { id, name, certificate, colour } = material
  const common = { id, name, certificate, colour }
  if (material.kind === 'fat')
    return {
      kind: 'fat',
      ...common,
      sap: numberCell(material.sap.typical),
      'sap low': numberCell(material.sap.low),
      'sap high': numberCell(material.sap.high),
      'takes no lye %': percentCell(material.unsaponifiables),
      density: numberCell(material.density),
      'at 20 °C': material.stateAt20,
      'softens °C': numberCell(material.softens),
      'on a label': material.inci,
      from: material.origin.join(' '),
      chemistry: material.chemistry,
      ...Object.fromEntries(
        fattyAcidNames.map((acid) => [acidColumn(acid), percentCell(material.profile[acid])]),
      ),
    }
  if (material.kind === 'liquid')
    return {
      kind: 'liquid',
      ...common,
      'water %': percentCell(material.water),
      'fat %': percentCell(material.fat),
      'sap of its fat': numberCell(material.fatSap),
      'sugar %': percentCell(material.sugar),
      'lye g per g': numberCell(material.naohTaken),
      moment: material.moment,
      way: material.way,
      does: material.mind,
    }
  return {
    kind: 'extra',
    ...common,
    density: numberCell(material.density),
    group: material.group,
    moment: material.moment,
    'usual %': percentCell(material.usualRate),
    'at most %': percentCell(material.highRate),
    'stirred into': material.disperse?.in ?? '',
    parts: numberCell(material.disperse?.ratio),
    pace: paceWords.find((word) => paces[word] === material.pace)!,
    hotter: yesNo(material.heats),
    colours: yesNo(material.tints),
    does: material.does,
  }
}

/** Columns of the places in a record that are not called the same. */
const columnOf: Record<string, string> = {
  'sap.typical': 'sap',
  'sap.low': 'sap low',
  'sap.high': 'sap high',
  unsaponifiables: 'takes no lye %',
  stateAt20: 'at 20 °C',
  softens: 'softens °C',
  inci: 'on a label',
  origin: 'from',
  profile: 'fatty acids',
  water: 'water %',
  fat: 'fat %',
  fatSap: 'sap of its fat',
  sugar: 'sugar %',
  naohTaken: 'lye g per g',
  mind: 'does',
  usualRate: 'usual %',
  highRate: 'at most %',
  'disperse.in': 'stirred into',
  'disperse.ratio': 'parts',
  heats: 'hotter',
  tints: 'colours',
}

/**
 * The column that holds a place of a record: `highRate` is under "at most %".
 * @example columnOfPath('profile.oleic') // 'oleic %'
 */
export function columnOfPath(path: string): string {
  const acid = /^profile\.(\w+)$/.exec(path)
  return acid ? acidColumn(acid[1] as FattyAcid) : (columnOf[path.replace(/\[\d+\]/, '')] ?? path)
}

/** A material that a row tells of: not yet checked by the schema. */
export interface MaterialFromRow {
  row: number
  candidate: OwnMaterial
  /** The record of what is known of it now; null for one that would join. */
  before: OwnMaterial | null
  faults: RowFault[]
}

/** What a cell says, or what is known when it is empty. */
const or = <T>(said: T | null, known: T): T => said ?? known

function readOver(known: OwnMaterial, cells: Cells): OwnMaterial {
  const text = (column: string, before: string) => cells.text(column) || before
  const common = {
    name: text('name', known.name),
    certificate: text('certificate', known.certificate),
    colour: text('colour', known.colour),
  }
  /** Words are for the schema to judge. */
  const word = <T extends string>(column: string, before: T) => text(column, before) as T
  if (known.kind === 'fat') {
    const typical = or(cells.number('sap'), known.sap.typical)
    const said = { low: cells.number('sap low'), high: cells.number('sap high') }
    const profile = { ...known.profile }
    for (const acid of fattyAcidNames) {
      const share = cells.percent(acidColumn(acid))
      if (share !== null) profile[acid] = share
    }
    const from = cells.text('from')
    return {
      ...known,
      ...common,
      inci: text('on a label', known.inci),
      sap: {
        low: or(said.low, Math.min(known.sap.low, typical)),
        typical,
        high: or(said.high, Math.max(known.sap.high, typical)),
      },
      profile,
      unsaponifiables: or(cells.percent('takes no lye %'), known.unsaponifiables),
      density: or(cells.number('density'), known.density),
      stateAt20: word('at 20 °C', known.stateAt20),
      softens: or(cells.number('softens °C'), known.softens),
      origin: from ? (from.split(/[\s,;]+/) as typeof known.origin) : known.origin,
      chemistry: word('chemistry', known.chemistry),
    }
  }
  if (known.kind === 'liquid')
    return {
      ...known,
      ...common,
      water: or(cells.percent('water %'), known.water),
      fat: or(cells.percent('fat %'), known.fat),
      fatSap: or(cells.number('sap of its fat'), known.fatSap),
      naohTaken: or(cells.number('lye g per g'), known.naohTaken),
      sugar: or(cells.percent('sugar %'), known.sugar),
      moment: word('moment', known.moment),
      way: word('way', known.way),
      mind: text('does', known.mind),
    }
  const into = cells.text('stirred into')
  const said = (column: string, before: boolean) =>
    cells.text(column) === '' ? before : cells.yes(column)
  return {
    ...known,
    ...common,
    density: or(cells.number('density'), known.density),
    group: word('group', known.group),
    moment: word('moment', known.moment),
    usualRate: or(cells.percent('usual %'), known.usualRate),
    highRate: or(cells.percent('at most %'), known.highRate),
    disperse: into
      ? { in: cells.oneOf('stirred into', ['oil', 'water']), ratio: cells.number('parts') ?? 2 }
      : known.disperse,
    pace: cells.text('pace') === '' ? known.pace : paces[cells.oneOf('pace', paceWords)],
    heats: said('hotter', known.heats),
    tints: said('colours', known.tints),
    does: text('does', known.does),
  }
}

/**
 * The materials that rows tell of, over what the library knows of each.
 * @param lines of the file that the rows begin on; one after the other below the heading without them
 * @example materialsFromRows([{ id: 'castor', sap: '182' }], shipped)[0].candidate.sap // { low: 176, typical: 182, high: 187 }
 */
export function materialsFromRows(
  rows: Row[],
  library: Library,
  lines?: readonly number[],
): MaterialFromRow[] {
  const seen = new Set<string>()
  return rows.map((row, index) => {
    const faults: RowFault[] = []
    const at = lines?.[index] ?? index + 2
    const cells = new Cells(row, at, faults)
    const kind = cells.oneOf('kind', kinds)
    const name = cells.text('name')
    const id = cells.text('id') || (name ? `${ownPrefix}${idFrom(name)}` : '')
    const known =
      kind === 'fat'
        ? library.fats.get(id)
        : kind === 'liquid'
          ? library.liquids.get(id)
          : library.additives.get(id)
    if (cells.text('kind') === '') cells.fail('kind', 'This is fat, liquid or extra.')
    if (!id) cells.fail('name', 'A material needs an id or a name.')
    else if (!known && !id.startsWith(ownPrefix))
      cells.fail('id', `The library has no ${kind} "${id}"; ids of your own begin with "own-".`)
    else if (seen.has(id)) cells.fail('id', `"${id}" is in this file twice.`)
    else if (!known && !name) cells.fail('name', 'A material of your own needs a name.')
    else if (!known && kind !== 'liquid' && meansLyeOrWater(name))
      cells.fail(
        'name',
        `"${name}" means lye or water, which formulas have figures of their own for.`,
      )
    seen.add(id)
    const before = known ? recordOf(known) : null
    const start = before ?? blankMaterial(kind === 'extra' ? 'additive' : kind)
    return { row: at, candidate: { ...readOver(start, cells), id }, before, faults }
  })
}

/**
 * The columns in which two records of one material differ, with both values.
 * @example differingCells({ kind: 'fat', ...castor }, { kind: 'fat', ...castor, name: 'Castor' })
 *   // [{ column: 'name', was: 'Castor oil', is: 'Castor' }]
 */
export function differingCells(before: OwnMaterial, after: OwnMaterial) {
  const [was, is] = [rowOfMaterial(before), rowOfMaterial(after)]
  return materialColumns
    .filter((column) => (was[column] ?? '') !== (is[column] ?? ''))
    .map((column) => ({ column, was: was[column] ?? '', is: is[column] ?? '' }))
}
