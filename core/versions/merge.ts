import type { FormulaDocument } from '#contracts/formula'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'
import { wordings } from './changes'
import { computeFormula } from '../formula/compute'
import { nameOfExtra, nameOfFat, nameOfLiquid } from '../formula/names'
import { capital } from '../units/language'

/*
 * Two documents that both began at a third: what only one of them changed goes together, what both changed to different values is
 * for the maker to choose.
 */

export type Side = 'mine' | 'theirs'

/** One place of a formula that is not the same in all three. */
export interface MergePlace {
  /** Names the place: `fats olive`, `superfat`. */
  key: string
  says: string
  /** How it stands in each, in words; null where there is none of it. */
  base: string | null
  mine: string | null
  theirs: string | null
  /** Who changed it: one of the two, both in the same way, or each to something else. */
  by: Side | 'both' | 'clash'
  /** The list it is a line of, and the id of what is in it. */
  list: ListName | null
  id: string
}

const listNames = ['fats', 'liquids', 'additives', 'scents', 'parts'] as const
type ListName = (typeof listNames)[number]
type LineOf<Name extends ListName> = FormulaDocument[Name][number]
type Line = LineOf<ListName>

/** Settings that are chosen as a whole, by the keys of the document that hold them. */
const settings = {
  superfat: ['superfat'],
  water: ['water'],
  size: ['size'],
  alkali: ['alkali'],
  ice: ['iceShare', 'iceGrams'],
  use: ['use'],
  name: ['name'],
  notes: ['notes'],
  source: ['source'],
  picture: ['thumbnail'],
} as const satisfies Record<string, readonly (keyof FormulaDocument)[]>
type Setting = keyof typeof settings
type Method = keyof FormulaDocument['method']

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The lines of a list by what they are: the second of one id is another line. */
function byKey<Name extends ListName>(
  document: FormulaDocument,
  list: Name,
): Map<string, LineOf<Name>> {
  const seen = new Map<string, number>()
  const lines: readonly LineOf<Name>[] = document[list]
  return new Map(
    lines.map((line): [string, LineOf<Name>] => {
      const id = idOf(line)
      const nth = (seen.get(id) ?? 0) + 1
      seen.set(id, nth)
      return [nth === 1 ? id : `${id} ${nth}`, line]
    }),
  )
}
/** What a line is of: pots go by their name. */
const idOf = (line: Line): string => ('id' in line ? line.id : line.name)

/** Who changed something, or null when nobody did. */
function changedBy(base: unknown, mine: unknown, theirs: unknown): MergePlace['by'] | null {
  const [inMine, inTheirs] = [!same(base, mine), !same(base, theirs)]
  if (inMine && inTheirs) return same(mine, theirs) ? 'both' : 'clash'
  return inMine ? 'mine' : inTheirs ? 'theirs' : null
}

/**
 * Every place where the three are not the same, in the order in which a formula is read.
 * @example mergePlaces(example, { ...example, superfat: 0.06 }, example, shipped, say).length // 1
 */
export function mergePlaces(
  base: FormulaDocument,
  mine: FormulaDocument,
  theirs: FormulaDocument,
  library: Library,
  say: Formatter,
): MergePlace[] {
  const words = wordings(library, say)
  const inLists = <Name extends ListName>(
    list: Name,
    name: (line: LineOf<Name>) => string,
    text: (line: LineOf<Name>) => string,
  ): MergePlace[] => {
    const [was, own, other] = [byKey(base, list), byKey(mine, list), byKey(theirs, list)]
    const told = (line: LineOf<Name> | undefined) => (line ? text(line) : null)
    return [...new Set([...was.keys(), ...own.keys(), ...other.keys()])].flatMap(
      (key): MergePlace[] => {
        const lines = [was.get(key), own.get(key), other.get(key)] as const
        const by = changedBy(...lines)
        const any = lines[1] ?? lines[2] ?? lines[0]
        if (!by || !any) return []
        const [inBase, inMine, inTheirs] = lines
        return [
          {
            key: `${list} ${key}`,
            says: name(any),
            base: told(inBase),
            mine: told(inMine),
            theirs: told(inTheirs),
            by,
            list,
            id: idOf(any),
          },
        ]
      },
    )
  }
  const one = (
    key: string,
    says: string,
    value: (of: FormulaDocument) => unknown,
    text: (of: FormulaDocument) => string,
  ): MergePlace[] => {
    const by = changedBy(value(base), value(mine), value(theirs))
    return by
      ? [
          {
            key,
            says,
            base: text(base),
            mine: text(mine),
            theirs: text(theirs),
            by,
            list: null,
            id: '',
          },
        ]
      : []
  }
  const method = (key: Method, says: string, text: (of: FormulaDocument) => string) =>
    one(`method ${key}`, says, (of) => of.method[key], text)
  const setting = (key: Setting, says: string, text: (of: FormulaDocument) => string) =>
    one(key, says, (of) => settings[key].map((part) => of[part]), text)
  return [
    ...inLists('fats', (line) => nameOfFat(line, library), words.fat),
    ...setting('superfat', 'Superfat', (of) => words.superfat(of.superfat)),
    ...setting('water', 'Water', (of) => words.water(of.water)),
    ...inLists('liquids', ({ id }) => nameOfLiquid(id, library), words.liquid),
    ...setting('ice', 'Ice', words.ice),
    ...setting('alkali', 'Lye', (of) => words.alkali(of.alkali)),
    ...inLists('additives', ({ id }) => nameOfExtra(id, library), words.extra),
    ...inLists('scents', (line) => line.name ?? line.id, words.scent),
    ...inLists('parts', ({ name }) => `Pot ${name}`, words.part),
    ...setting('size', 'Size', (of) => `${say.amount(computeFormula(of, library).oils)} of oils`),
    ...method('lyeC', 'Lye at', (of) => words.temperature(of.method.lyeC)),
    ...method('oilsC', 'Oils at', (of) => words.temperature(of.method.oilsC)),
    ...method('gel', 'Gel', (of) => of.method.gel),
    ...method('patterns', 'Pour', words.pattern),
    ...method('tool', 'Brought together by', (of) => of.method.tool),
    ...method('frozen', 'Frozen', (of) => of.method.frozen ?? 'not said'),
    ...setting('use', 'For', (of) => of.use),
    ...setting('name', 'Name', (of) => of.name),
    ...setting('notes', 'Notes', (of) => of.notes || 'none'),
    ...setting('source', 'Where it is from', (of) => of.source?.who || 'your own'),
    ...setting('picture', 'Its picture', words.picture),
  ].map((place) => ({ ...place, says: capital(place.says) }))
}

/**
 * The document that comes of both: mine, with what only the other changed, and with what was chosen.
 * @param choices for single places, over what would be taken; a clash that nobody has chosen stays as it was before both
 * @example mergeFormulas(example, { ...example, superfat: 0.06 }, { ...example, name: 'Salt Flat II' }, {}).superfat // 0.06
 */
export function mergeFormulas(
  base: FormulaDocument,
  mine: FormulaDocument,
  theirs: FormulaDocument,
  choices: Readonly<Record<string, Side>>,
): FormulaDocument {
  const of = { base, mine, theirs }
  /** Which of the three a place is taken from. */
  const from = (key: string, values: readonly [unknown, unknown, unknown]): keyof typeof of => {
    const by = changedBy(...values)
    return choices[key] ?? (by === 'clash' ? 'base' : by === 'theirs' ? 'theirs' : 'mine')
  }
  const listed = (name: ListName): Line[] => {
    const maps = {
      base: byKey(base, name),
      mine: byKey(mine, name),
      theirs: byKey(theirs, name),
    }
    // My order; what only the others have comes after it.
    const keys = [...new Set([...maps.mine.keys(), ...maps.theirs.keys(), ...maps.base.keys()])]
    return keys.flatMap((key) => {
      const values = [maps.base.get(key), maps.mine.get(key), maps.theirs.get(key)] as const
      const line = maps[from(`${name} ${key}`, values)].get(key)
      return line ? [line] : []
    })
  }
  const wholes = Object.entries(settings).flatMap(([key, parts]) => {
    const values = (document: FormulaDocument) => parts.map((part) => document[part])
    const side = from(key, [values(base), values(mine), values(theirs)])
    return parts.map((part): [string, unknown] => [part, of[side][part]])
  })
  const method = (Object.keys(mine.method) as Method[]).map((key): [string, unknown] => {
    const side = from(`method ${key}`, [base.method[key], mine.method[key], theirs.method[key]])
    return [key, of[side].method[key]]
  })
  const merged = {
    ...mine,
    ...Object.fromEntries(listNames.map((name) => [name, listed(name)])),
    ...Object.fromEntries(wholes),
    method: Object.fromEntries(method),
  }
  // A key that a side does not have is not there either in what it gives.
  return Object.fromEntries(
    Object.entries(merged).filter(([, value]) => value !== undefined),
  ) as FormulaDocument
}
