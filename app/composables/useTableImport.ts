import type { Column, Import, Note } from '#contracts/journal'
import { columnsFor, rowPage, type Grid, type RowPage } from '#core/journal/table'
import { importCounts, thinSuperfat } from '#core/journal/page'
import { richText } from '#core/journal/plainText'
import type { RowFault } from '#core/exchange/rows'
import type { PagesWorker, SentContext } from '~/workers/pages.worker'

/** Rows that are read and sent at a time. */
const helping = 100

/** A table of old batches on its way into the journal: what its columns are, what is wrong with its rows, and bringing it in. */
export function useTableImport() {
  const imports = useImports()
  const materials = useMaterials()
  const short = useShortWords()
  const { today, settings } = storeToRefs(useWorkshop())
  const grid = shallowRef<Grid | null>(null)
  const name = ref('')
  const columns = ref<Column[]>([])
  const monthFirst = ref(false)
  const unit = ref<'g' | 'oz' | null>(settings.value.units === 'imperial' ? 'oz' : 'g')
  const problem = ref('')
  const remembered = ref(false)
  const fileFaults = shallowRef<RowFault[]>([])

  async function take(found: Grid & { faults?: RowFault[] }, called: string) {
    await Promise.all([imports.load(), materials.load(), short.load()])
    problem.value = ''
    if (found.heads.length < 1 || !found.rows.length) {
      problem.value = 'There is no table in it: a first row of heads, and a row for each batch.'
      return
    }
    grid.value = { heads: found.heads, rows: found.rows }
    fileFaults.value = found.faults ?? []
    name.value = called.slice(0, 120)
    // The same heads were told apart before: so they are again.
    const before = imports.list.find(
      ({ document }) =>
        document.kind === 'table' &&
        JSON.stringify(document.heads) === JSON.stringify(found.heads.slice(0, 80)),
    )?.document
    remembered.value = before !== undefined
    columns.value = before
      ? before.columns.map((column) => ({ ...column }))
      : columnsFor(found.heads.slice(0, 80), materials.library)
    if (before) {
      monthFirst.value = before.monthFirst
      unit.value = before.unit
    }
  }
  async function file(chosen: File) {
    if (/\.xlsx?$/i.test(chosen.name)) {
      const read = await readSpreadsheet(chosen).catch(() => null)
      if (read) await take(read, chosen.name)
      else problem.value = 'This is not a spreadsheet in .xlsx. Save it as one, or as .csv.'
    } else await take(await readGrid(await chosen.text()), chosen.name)
  }
  async function paste(text: string) {
    await take(await readGrid(text), `Pasted ${dayText(today.value)}`)
  }

  const read = computed(() => {
    const table = grid.value
    if (!table) return []
    const how = { today: today.value, monthFirst: monthFirst.value, unit: unit.value }
    return table.rows.flatMap((row) => {
      const found = rowPage(row, table, columns.value, how)
      return found ? [{ row, ...found }] : []
    })
  })
  const faulty = computed(() => read.value.filter(({ faults }) => faults.length))
  const sound = computed(() => read.value.filter(({ faults }) => !faults.length))
  /** A cell is put right in place. */
  function mend(line: number, head: string, text: string) {
    const table = grid.value
    if (!table) return
    const at = table.heads.indexOf(head)
    grid.value = {
      ...table,
      rows: table.rows.map((row) =>
        row.line === line
          ? { ...row, cells: row.cells.map((cell, place) => (place === at ? text : cell)) }
          : row,
      ),
    }
  }

  const progress = ref<{ done: number; of: number } | null>(null)
  let stopped = false
  const stop = () => (stopped = true)
  const brought = shallowRef<{
    id: string
    count: number
    counts: ReturnType<typeof importCounts>
    pages: { id: string; title: string; says: string }[]
  } | null>(null)

  function noteOf(page: RowPage, importId: string): Note {
    return {
      ...blankNote(today.value),
      what: page.typed ? 'batch' : 'note',
      title: page.title || `Line ${page.line}`,
      when: page.when,
      typed: page.typed,
      text: richText(page.text),
      who: page.who,
      weather: page.weather,
      page: { book: name.value.slice(0, 80), number: null },
      source: page.source ? { who: page.source, link: '', day: null, page: null } : null,
      unit: unit.value,
      importId,
      line: page.line,
    }
  }
  async function bringIn(): Promise<void> {
    const rows = sound.value
    if (!rows.length || progress.value) return
    stopped = false
    problem.value = ''
    progress.value = { done: 0, of: rows.length }
    const { wrap } = await import('comlink')
    const worker = new Worker(new URL('../workers/pages.worker.ts', import.meta.url), {
      type: 'module',
    })
    const remote = wrap<PagesWorker>(worker)
    const id = newId()
    const document: Import = {
      kind: 'table',
      name: name.value,
      day: today.value,
      heads: grid.value!.heads.slice(0, 80),
      columns: columns.value,
      unit: unit.value,
      monthFirst: monthFirst.value,
      count: rows.length,
    }
    const kept: Note[] = []
    const ids: string[] = []
    try {
      await imports.save(id, 0, document)
      const { fats, liquids, additives, spoons } = materials.library
      const context: SentContext = plain({
        fats: [...fats.values()],
        liquids: [...liquids.values()],
        additives: [...additives.values()],
        spoons,
        citricAcid: settings.value.citricAcid,
        words: short.list.map((one) => one.document),
        unit: unit.value,
        answers: {},
      })
      for (let from = 0; from < rows.length && !stopped; from += helping) {
        const some = rows.slice(from, from + helping)
        const found = await remote.read(
          some.map(({ page }) => page.typed),
          context,
        )
        const notes = some.map(({ page }, at) => ({
          id: newId(),
          document: { ...noteOf(page, id), found: page.typed ? found[at]! : null },
        }))
        await api.post(`/api/imports/${id}/notes`, { notes })
        kept.push(...notes.map((one) => one.document))
        ids.push(...notes.map((one) => one.id))
        progress.value = { done: kept.length, of: rows.length }
      }
      const says = (note: Note): string => {
        const { found } = note
        if (!found) return ''
        if (found.superfat !== null && found.superfat < 0)
          return 'more lye than these fats can take: never make it so'
        if (found.superfat !== null && found.superfat < thinSuperfat) return 'under 2 % superfat'
        if (found.lye && !found.water) return 'never says its water'
        return found.open ? 'a word in it is open' : ''
      }
      brought.value = {
        id,
        count: kept.length,
        counts: importCounts(kept),
        pages: kept.flatMap((note, at) => {
          const what = says(note)
          return what ? [{ id: ids[at]!, title: note.title, says: what }] : []
        }),
      }
      if (stopped) await takeOut()
    } catch (error) {
      problem.value = `${sentenceOf(error)} ${kept.length} rows are in; take them out, or bring the table in again.`
      brought.value = { id, count: kept.length, counts: importCounts(kept), pages: [] }
    } finally {
      worker.terminate()
      progress.value = null
    }
  }
  /** All that came in goes out again, at once; the table stays here. */
  async function takeOut() {
    const now = brought.value
    if (!now) return
    const stored = imports.list.find(({ id }) => id === now.id)
    try {
      if (stored) await imports.remove(stored, `${stored.document.name} is out again.`)
      brought.value = null
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  return {
    grid,
    name,
    columns,
    monthFirst,
    unit,
    problem,
    remembered,
    fileFaults,
    file,
    paste,
    read,
    faulty,
    sound,
    mend,
    progress,
    stop,
    brought,
    bringIn,
    takeOut,
  }
}
