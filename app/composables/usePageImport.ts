import type { Stored } from '#contracts/document'
import type { Import, Note, PageKind, ShortWord } from '#contracts/journal'
import { knownDay } from '#core/journal/knownDay'
import { importCounts, readPage, type PageLine } from '#core/journal/page'
import { guessesFor, learnable, type Learnable } from '#core/journal/shortWords'
import { median } from '#core/statistics/quantile'
import { useDebounceFn } from '@vueuse/core'

/** An answer to what a line asks: of the careful reader, a guess at a short word, or that it stays a gap. */
export interface PageAnswer {
  says: string
  also: string
  act: () => void
}

/** Old pages on their way into the journal: one after the other, each kept as it is typed. */
export function usePageImport(id: string) {
  const notes = useNotes()
  const imports = useImports()
  const materials = useMaterials()
  const formulas = useFormulas()
  const short = useShortWords()
  const toasts = useToasts()
  const { today, say } = storeToRefs(useWorkshop())
  const pages = ref<Stored<Note>[]>([])
  const kept = shallowRef<Stored<Import> | null>(null)
  const problem = ref('')
  const at = ref(0)
  const now = computed(() => pages.value[at.value] ?? null)
  /** Until a page is kept it is a draft, however much of it stands there. */
  const draft = reactive({
    what: 'batch' as PageKind,
    title: '',
    when: '',
    typed: '',
    source: '',
    answers: {} as Record<string, number[]>,
  })

  async function load(first = '') {
    try {
      const [list] = await Promise.all([
        api.get<Stored<Note>[]>(`/api/imports/${id}/notes`),
        imports.load(),
        materials.load(),
        formulas.load(),
        short.load(),
      ])
      kept.value = imports.list.find((one) => one.id === id) ?? null
      if (!kept.value) problem.value = 'There is no such import; it may be out again.'
      pages.value = list
      const asked = list.findIndex((one) => one.id === first)
      const next = list.findIndex(({ document }) => document.what === 'unread')
      turnTo(asked >= 0 ? asked : Math.max(0, next))
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  /** The day of the last page before this one that has any: pages of a notebook follow each other. */
  const before = computed(() => {
    const earlier = pages.value
      .slice(0, at.value)
      .findLast(({ document: { what, when } }) => what !== 'unread' && when.day)
    return earlier?.document ?? null
  })
  let since = 0
  function turnTo(place: number) {
    // What was typed a moment ago goes with the page it was typed on.
    if (since) keepDraft()
    at.value = place
    const page = pages.value[place]?.document
    if (!page) return
    const fresh = page.what === 'unread' && !page.title && !page.typed
    const guess = before.value?.when
    Object.assign(draft, {
      what: page.what === 'unread' ? 'batch' : page.what,
      title: page.title,
      when: fresh && guess?.day ? `${monthText(guess.day, '')} ?` : whenTyped(page.when),
      typed: page.typed,
      source: page.source?.who ?? '',
      answers: { ...page.answers },
    })
    since = Date.now()
  }

  const when = computed(() =>
    draft.when.trim()
      ? knownDay(draft.when, today.value)
      : { day: null, known: 'none' as const, guessed: false },
  )
  const unit = computed(() => kept.value?.document.unit ?? null)
  const context = useReadingContext()
  const words = computed(() => short.list.map(({ document }) => document))
  const read = computed(() =>
    readPage(
      draft.typed,
      { ...context.value, words: words.value, unit: unit.value, answers: draft.answers },
      say.value,
    ),
  )
  /** The line that is asked now. */
  const asked = computed(
    (): PageLine | null => read.value.lines.find(({ recipe }) => recipe?.doubtful) ?? null,
  )
  async function setUnit(to: 'g' | 'oz') {
    const stored = kept.value
    if (!stored || stored.document.unit === to) return
    try {
      kept.value = await imports.save(id, stored.revision, { ...stored.document, unit: to })
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }
  async function learn(word: Learnable, long: string) {
    const document: ShortWord = {
      short: word.short,
      place: word.place,
      long: long.trim(),
      times: 0,
    }
    if (!document.long) return
    try {
      await short.save(newId(), 0, document)
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }
  function answer(line: PageLine, choice: number) {
    draft.answers = {
      ...draft.answers,
      [line.piece]: [...(draft.answers[line.piece] ?? []), choice],
    }
  }
  const word = computed(() =>
    asked.value?.recipe?.kind === 'unknown' ? learnable(asked.value.piece) : null,
  )
  const answersNow = computed((): PageAnswer[] => {
    const line = asked.value
    const recipe = line?.recipe
    if (!line || !recipe) return []
    const guesses = word.value
      ? guessesFor(word.value.short, materials.library).map((long) => ({
          says: long,
          also: `“${word.value!.short}” always means that`,
          act: () => void learn(word.value!, long),
        }))
      : []
    const bare = recipe.amount?.kind === 'number' && !unit.value
    const options = recipe.options.map((option, choice) => {
      const amount = option.reading.amount
      const weighs = bare && amount?.kind === 'grams' ? amount.unit : null
      const always = weighs === 'g' || weighs === 'oz' ? weighs : null
      return {
        says: option.kind === 'title' ? 'a gap' : option.name,
        also: always ? `as all bare figures of this notebook` : option.says,
        act: () => (always ? void setUnit(always) : answer(line, choice)),
      }
    })
    return [...guesses, ...options].slice(0, 8)
  })

  function documentNow(what: PageKind): Note {
    const base = now.value!.document
    return {
      ...base,
      what,
      title: draft.title.trim(),
      when: when.value ?? base.when,
      typed: draft.typed,
      answers: Object.fromEntries(
        Object.entries(draft.answers).filter(([piece]) =>
          read.value.lines.some((line) => line.piece === piece),
        ),
      ),
      found: draft.typed.trim() ? read.value.found : null,
      unit: unit.value,
      source: draft.source.trim()
        ? { link: '', day: null, page: null, ...base.source, who: draft.source.trim() }
        : base.source,
    }
  }
  /** Saves go one after the other, each with the revision that the one before it got. */
  const inTurn = oneByOne()
  const save = (place: number, document: Note, isDraft = false): Promise<void> =>
    inTurn(async () => {
      const stored = pages.value[place]!
      // A page that was kept before, or while its draft waited to be sent, stays kept.
      const what = isDraft ? stored.document.what : document.what
      try {
        const saved = await notes.save(stored.id, stored.revision, { ...document, what })
        pages.value = pages.value.map((one, other) => (other === place ? saved : one))
        problem.value = ''
      } catch (error) {
        const theirs = newerOf<Note>(error)
        // Another window has the same page: what is typed here stays, and the next press puts it over that.
        if (theirs)
          pages.value = pages.value.map((one, other) =>
            other === place ? { ...one, revision: theirs.revision } : one,
          )
        problem.value = theirs
          ? `${sentenceOf(error)} What is typed here stays: keep it again to put it in its place.`
          : sentenceOf(error)
        throw error
      }
    })
  function keepDraft() {
    const document = now.value?.document
    if (!document || (draft.typed === document.typed && draft.title.trim() === document.title))
      return
    void save(at.value, documentNow(document.what), true).catch(() => undefined)
  }
  const keepDraftSoon = useDebounceFn(keepDraft, 700)
  watch([() => draft.typed, () => draft.title], () => void keepDraftSoon())

  const seconds = ref<number[]>([])
  async function keep(what: PageKind = draft.what) {
    const page = now.value
    if (!page || !when.value) return
    const used = what === 'gap' ? [] : read.value.lines.flatMap((line) => line.used)
    const place = at.value
    const wasNew = page.document.what === 'unread'
    try {
      await save(place, documentNow(what))
    } catch {
      return
    }
    if (wasNew) {
      seconds.value = [...seconds.value, (Date.now() - since) / 1000]
      for (const one of new Set(used)) {
        const stored = short.list.find(({ document }) => document === one)
        if (stored)
          void short
            .save(stored.id, stored.revision, { ...one, times: one.times + 1 })
            .catch(() => undefined)
      }
    }
    const next = pages.value.findIndex(
      ({ document }, other) => other !== place && document.what === 'unread',
    )
    if (next >= 0) turnTo(next)
  }

  const done = computed(() => pages.value.filter(({ document }) => document.what !== 'unread'))
  const left = computed(() => pages.value.length - done.value.length)
  const counts = computed(() => importCounts(done.value.map(({ document }) => document)))
  const perPage = computed(() => (seconds.value.length ? median(seconds.value) : null))

  /** What nobody has looked at goes out again; what is in stays. */
  async function stop() {
    try {
      for (const { id: page, document } of pages.value)
        if (document.what === 'unread') await api.remove(`/api/notes/${page}`)
      pages.value = done.value
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  async function takeOut() {
    if (!kept.value) return false
    try {
      await imports.remove(kept.value, `${kept.value.document.name} is out again.`)
      return true
    } catch (error) {
      problem.value = sentenceOf(error)
      return false
    }
  }
  const forget = (one: (typeof short.list)[number]) => short.remove(one)

  return {
    pages,
    kept,
    problem,
    at,
    now,
    draft,
    when,
    unit,
    setUnit,
    read,
    asked,
    word,
    learn,
    answersNow,
    before,
    keep,
    turnTo,
    done,
    left,
    counts,
    perPage,
    stop,
    takeOut,
    forget,
    load,
    short,
  }
}
