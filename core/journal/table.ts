import type { Column, ColumnRole, When } from '#contracts/journal'
import type { RowFault } from '../exchange/rows'
import { findMaterials } from '../materials/find'
import { lyeKindOf } from '../materials/lyeWords'
import type { Library } from '../materials/library'
import { plainWord } from '../materials/tokens'
import type { Day } from '../units/days'
import { capital } from '../units/language'
import { readNumber } from '../units/readNumber'
import { knownDay } from './knownDay'

/** A table as it was read: its heads, and its rows with the line of the file on which each begins. */
export interface Grid {
  heads: string[]
  rows: { line: number; cells: string[] }[]
}

const headWords: readonly [ColumnRole, RegExp][] = [
  ['day', /^(date|day|when|made( on)?|poured( on)?)$/],
  ['title', /^(title|name|batch|soap|bar|what|recipe name)$/],
  ['recipe', /^(recipe|ingredients|oils|fats|formula|what went in)$/],
  ['superfat', /^(superfat|super fat|sf|discount|lye discount|superfat %|sf %)$/],
  ['water', /^(water|h2o|distilled water)$/],
  ['scent', /^(scent|fragrance|perfume|eo|fo|essential oils?|smell)$/],
  ['weather', /^(weather|sky)$/],
  ['who', /^(who|by|made by|maker|poured by)$/],
  ['source', /^(source|from|recipe from|where from)$/],
  ['note', /^(notes?|remarks?|comments?|result|how it went|outcome)$/],
]
/** A head without its unit: "Olive oil (g)" is olive oil. */
const bareHead = (head: string) =>
  plainWord(head)
    .replace(/[([](g|grams?|oz|ounces?|kg|lb|ml|%)[)\]]/g, '')
    .replace(/[,:]?\s+(g|grams?|oz|ounces?|kg|lb)$/g, '')
    .trim()

/**
 * What the columns of a table are likely to be, by their heads. What is not understood is kept as a note, so that nothing is dropped.
 * @example columnsFor(['Date', 'Olive oil (g)', 'Lye'], shipped).map(({ role }) => role) // ['day', 'ingredient', 'lye']
 */
export function columnsFor(heads: readonly string[], library: Library): Column[] {
  return heads.map((head): Column => {
    const bare = bareHead(head)
    if (!bare) return { role: 'ignore', name: '' }
    const known = headWords.find(([, words]) => words.test(bare))
    if (known) return { role: known[0], name: '' }
    if (lyeKindOf(bare.split(/\s+/))) return { role: 'lye', name: '' }
    const [material] = findMaterials(library, bare)
    // Called as the maker calls it: the reader knows that, and asks where it does not.
    return material && plainWord(material.name).includes(bare.split(/\s+/)[0]!)
      ? { role: 'ingredient', name: capital(bare) }
      : { role: 'note', name: '' }
  })
}

/** A row as a page, before it is read. */
export interface RowPage {
  line: number
  title: string
  when: When
  typed: string
  text: string
  who: string
  weather: string
  source: string
}

const unitOf = (head: string): string | null =>
  /\b(g|grams?|oz|ounces?|kg|lb|ml)\b[\s)\].]*$/.exec(plainWord(head))?.[1] ?? null
const measured = /^(-?[\d.,\s/]+)\s*(g|grams?|gr|oz|ounces?|kg|lb|lbs|ml|l|%)?$/i

/**
 * A row as a page: its lines of a recipe as somebody would type them, and what is wrong with its cells by the line of the file. Null for
 * a row of nothing.
 * @param unit what bare figures are
 * @example rowPage({ line: 7, cells: ['Quiet', '500'] }, { heads: ['Soap', 'Olive'] }, [{ role: 'title', name: '' }, { role: 'ingredient', name: 'Olive oil' }],
 *   { today: '2026-11-23', monthFirst: false, unit: 'g' }).page.typed // 'Olive oil 500 g'
 */
export function rowPage(
  { line, cells }: Grid['rows'][number],
  { heads }: Pick<Grid, 'heads'>,
  columns: readonly Column[],
  { today, monthFirst, unit }: { today: Day; monthFirst: boolean; unit: 'g' | 'oz' | null },
): { page: RowPage; faults: RowFault[] } | null {
  const faults: RowFault[] = []
  const typed: string[] = []
  const notes: string[] = []
  const page: RowPage = {
    line,
    title: '',
    when: { day: null, known: 'none', guessed: false },
    typed: '',
    text: '',
    who: '',
    weather: '',
    source: '',
  }
  let some = false
  columns.forEach(({ role, name }, at) => {
    const cell = (cells[at] ?? '').trim()
    const head = heads[at] ?? ''
    if (!cell || role === 'ignore') return
    some = true
    const fail = (says: string) => faults.push({ row: line, column: head, says })
    const amount = (what: string, also = '') => {
      const found = measured.exec(cell)
      const value = found ? readNumber(found[1]!) : Number.NaN
      if (Number.isNaN(value)) return void fail(`“${cell}” is not an amount.`)
      if (value < 0) return void fail(`“${cell}” is less than nothing.`)
      if (value === 0) return
      const said = found?.[2] ?? unitOf(head) ?? also
      typed.push(`${what} ${found![1]!.trim()}${said ? ` ${said}` : ''}`)
    }
    switch (role) {
      case 'title':
        page.title = cell.slice(0, 160)
        return
      case 'day': {
        const when = knownDay(cell, today, monthFirst)
        if (when) page.when = when
        else fail(`“${cell}” is no day up to today.`)
        return
      }
      case 'note':
        notes.push(/^notes?$/i.test(head.trim()) || !head ? cell : `${head}: ${cell}`)
        return
      case 'who':
        page.who = cell.slice(0, 60)
        return
      case 'weather':
        page.weather = cell.slice(0, 120)
        return
      case 'source':
        page.source = cell.slice(0, 120)
        return
      case 'lye':
        return amount(name || head || 'Lye', unit ?? '')
      case 'water':
        return amount('Water', unit ?? '')
      case 'superfat':
        return amount('Superfat', '%')
      case 'ingredient':
        return amount(name, unit ?? '')
      case 'scent':
        typed.push(measured.test(cell) && name ? `${name} ${cell}` : cell)
        return
      case 'recipe':
        typed.push(cell)
    }
  })
  if (!some) return null
  page.typed = typed.join('\n').slice(0, 20_000)
  page.text = notes.join('\n').slice(0, 10_000)
  return { page, faults }
}
