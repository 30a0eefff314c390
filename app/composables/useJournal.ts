import type {
  Entry,
  JournalEdge,
  JournalFilter,
  JournalPage,
  NearlyFound,
} from '#contracts/journal'
import { watchDebounced } from '@vueuse/core'

const noFilter: JournalFilter = { kind: null, who: '', mould: '', weather: '', outcome: null }
type Query = Record<string, string>

/** The time line, or what is found in it: what is asked stands in the address, so that it can be kept and come back to. */
export function useJournal() {
  const route = useRoute()
  const router = useRouter()
  const asked = (key: string) => {
    const value = route.query[key]
    return typeof value === 'string' ? value : ''
  }
  const search = ref(asked('find'))
  const filter = ref<JournalFilter>({
    kind: (asked('kind') || null) as JournalFilter['kind'],
    who: asked('who'),
    mould: asked('mould'),
    weather: asked('weather'),
    outcome: (asked('outcome') || null) as JournalFilter['outcome'],
  })
  const entries = shallowRef<Entry[]>([])
  const between = shallowRef<number[]>([])
  const page = shallowRef<JournalPage | null>(null)
  const nearly = shallowRef<NearlyFound | null>(null)
  const edge = shallowRef<JournalEdge | null>(null)
  const problem = ref('')
  const busy = ref(false)
  /** Where the line begins, when a year was chosen on the edge. */
  const from = ref<number | null>(null)

  const isAsked = computed(
    () => search.value.trim() !== '' || JSON.stringify(filter.value) !== JSON.stringify(noFilter),
  )
  const query = (): Query =>
    Object.fromEntries(
      Object.entries({ ...filter.value, search: search.value.trim() }).filter(([, value]) => value),
    ) as Query

  /** Only the answer to what was asked last counts. */
  let turn = 0
  async function ask(before: number | null): Promise<JournalPage | null> {
    const mine = ++turn
    busy.value = true
    try {
      const told = new URLSearchParams({
        ...query(),
        ...(before ? { before: String(before) } : {}),
      })
      const answer = await api.get<JournalPage>(`/api/journal?${told}`)
      if (mine !== turn) return null
      problem.value = ''
      return answer
    } catch (error) {
      if (mine === turn) problem.value = sentenceOf(error)
      return null
    } finally {
      if (mine === turn) busy.value = false
    }
  }
  async function load() {
    const answer = await ask(from.value)
    if (!answer) return
    page.value = answer
    entries.value = answer.entries
    between.value = answer.between
    nearly.value = null
    if (answer.terms.length > 1) await askNearly()
  }
  async function more() {
    const next = page.value?.next
    if (!next || busy.value) return
    const answer = await ask(next)
    if (!answer) return
    page.value = { ...answer, years: page.value!.years, found: page.value!.found }
    entries.value = [...entries.value, ...answer.entries]
    between.value = [...between.value, ...answer.between]
  }
  async function askNearly() {
    const mine = turn
    const told = await api
      .get<{ nearly: NearlyFound | null }>(`/api/journal/nearly?${new URLSearchParams(query())}`)
      .catch(() => null)
    if (mine === turn) nearly.value = told?.nearly ?? null
  }
  async function loadEdge() {
    edge.value = await api.get<JournalEdge>('/api/journal/edge').catch(() => edge.value)
  }
  /** What was told since. */
  const again = () => Promise.all([load(), loadEdge()])

  function remember() {
    const { open } = route.query
    const { search: find = '', ...chosen } = query()
    void router.replace({
      query: { ...(find ? { find } : {}), ...chosen, ...(open ? { open } : {}) },
    })
  }
  watchDebounced(
    [search, filter],
    () => {
      from.value = null
      remember()
      void load()
    },
    { debounce: 140, deep: true },
  )
  function clear() {
    search.value = ''
    filter.value = { ...noFilter }
  }
  function showFrom(before: number | null) {
    from.value = before
    void load()
  }
  onMounted(again)
  return {
    search,
    filter,
    entries,
    between,
    page,
    nearly,
    edge,
    problem,
    busy,
    from,
    isAsked,
    more,
    again,
    clear,
    showFrom,
  }
}
