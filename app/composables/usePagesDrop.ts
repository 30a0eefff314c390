import type { Import, Note } from '#contracts/journal'

/** Pages that may come in at once. */
const most = 200

/** Photos of old pages, dropped: each becomes a page that nobody has read yet. Sending them can be stopped and gone on with. */
export function usePagesDrop() {
  const imports = useImports()
  const { today } = storeToRefs(useWorkshop())
  const progress = ref<{ done: number; of: number } | null>(null)
  const problem = ref('')
  let stopped = false

  /** Begins a notebook with some photos, or with one page that is only typed. Gives its id when all of it is there. */
  async function begin(name: string, files: readonly File[]): Promise<string | null> {
    const pictures = files
      .filter(({ type }) => type.startsWith('image/'))
      .sort((one, other) => one.name.localeCompare(other.name, undefined, { numeric: true }))
      .slice(0, most)
    if (files.length && !pictures.length) {
      problem.value = 'None of these is a picture.'
      return null
    }
    stopped = false
    problem.value = ''
    const id = newId()
    const document: Import = {
      kind: 'pages',
      name,
      day: today.value,
      heads: [],
      columns: [],
      unit: null,
      monthFirst: false,
      count: Math.max(1, pictures.length),
    }
    const pages = (pictures.length ? pictures : [null]).map((file, place) => ({
      file,
      photo: newId(),
      id: newId(),
      number: place + 1,
    }))
    progress.value = { done: 0, of: pages.length }
    try {
      const stored = await imports.save(id, 0, document)
      await api.post(`/api/imports/${id}/notes`, {
        notes: pages.map((page) => ({
          id: page.id,
          document: {
            ...blankNote(today.value),
            what: 'unread',
            when: { day: null, known: 'none', guessed: false },
            photos: page.file ? [page.photo] : [],
            page: { book: name, number: page.number },
            importId: id,
          } satisfies Note,
        })),
      })
      for (const page of pages) {
        if (stopped) {
          await imports.remove(stored, `${name} is out again.`)
          return null
        }
        if (page.file) await sendPhoto(`notes/${page.id}`, page.file, page.photo)
        progress.value = { done: page.number, of: pages.length }
      }
      return id
    } catch (error) {
      problem.value =
        error instanceof ApiError
          ? `${error.message} The pages so far are kept under “${name}” below.`
          : 'One of these is no picture that can be read. The pages so far are kept below.'
      return null
    } finally {
      progress.value = null
    }
  }
  return { progress, problem, begin, stop: () => (stopped = true) }
}
