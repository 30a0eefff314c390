import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { FormulaDocument } from '#contracts/formula'
import type { Asked, BatchRecord, Within } from '#contracts/learning'
import type { FormulaVersion } from '#contracts/version'
import { computeFormula } from '#core/formula/compute'
import type { Answer } from '#core/learning/answer'
import { figureNames, figureOf, figuresIn } from '#core/learning/figures'
import type { PairAnswer } from '#core/learning/pair'
import { askedIn, readQuestion } from '#core/learning/reading'
import { settlingPair } from '#core/learning/settle'
import { sinceVersion } from '#core/learning/sinceVersion'
import { barsOf } from '#core/mould/bars'
import { cureRuleFor } from '#core/rack/cure'
import type { Remote } from 'comlink'
import type { AnswersWorker, SentAnswer } from '~/workers/answers.worker'

const anywhere: Within = { formulaId: null, gel: 'any', since: null }
/** What is asked most, to begin with. */
const examples: readonly [says: string, cause: string, outcome: string][] = [
  ['Does citric acid keep a loaf longer in the mould?', 'citric', 'unmould'],
  ['Does more water make it longer to dry?', 'water', 'dry'],
  ['What does scent do to the minutes?', 'scented', 'minutes'],
  ['By hand or with the blender?', 'hand', 'minutes'],
  ['Does the freezer keep it from tearing?', 'froze', 'torn'],
  ['Does superfat bring orange spots?', 'superfat', 'trouble:orange-spots'],
  ['Does damp air dry slower?', 'humidity', 'dry'],
  ['Which lye gels?', 'strength', 'gelled'],
]

/** Questions to the workshop's own records, in a sentence or picked: what is asked, and what the batches answer. */
export function useAsk() {
  const materials = useMaterials()
  const { library } = storeToRefs(materials)
  const formulas = useFormulas()
  const batches = useBatches()
  const moulds = useMoulds()
  const toasts = useToasts()
  const route = useRoute()
  const router = useRouter()
  const { say, today, settings } = storeToRefs(useWorkshop())

  const records = shallowRef<BatchRecord[]>([])
  const ready = ref(false)
  const problem = ref('')
  async function load() {
    try {
      const [list] = await Promise.all([
        api.get<BatchRecord[]>('/api/learning'),
        materials.load(),
        formulas.load(),
        moulds.load(),
      ])
      records.value = list
      ready.value = true
      begin()
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  const names = computed(() => figureNames(library.value))
  const figures = computed(() => figuresIn(records.value, names.value))
  const causes = computed(() =>
    figures.value.filter(({ role, id }) => role !== 'outcome' && id !== 'version'),
  )
  const outcomes = computed(() => figures.value.filter(({ role }) => role !== 'cause'))
  const formulaNames = computed(() => {
    const poured = new Map(records.value.map(({ formulaId, name }) => [formulaId, name]))
    return [...poured].map(([id, name]) => ({ id, name }))
  })
  const reading = computed(() => ({
    figures: figures.value,
    formulas: formulaNames.value,
    today: today.value,
  }))

  const typed = ref('')
  const read = computed(() => readQuestion(typed.value, reading.value))
  /** What was asked last: what goes with what, two batches, or a version. */
  const asked = shallowRef<Asked | null>(null)
  const pair = shallowRef<{ numbers: [number, number]; outcome: string | null } | null>(null)
  const version = shallowRef<{
    formulaId: string
    number: number | null
    outcome: string | null
  } | null>(null)
  /** What a sentence still lacks. */
  const lacks = ref('')

  function show(query: Record<string, string | undefined>) {
    void router.replace({ query })
  }
  function pick(changes: Partial<Asked>) {
    const before = asked.value ?? {
      cause: read.value.cause ?? 'citric',
      outcome: read.value.outcome ?? 'unmould',
      within: anywhere,
    }
    asked.value = { ...before, ...changes }
    pair.value = null
    version.value = null
    lacks.value = ''
    const { cause, outcome, within } = asked.value
    show({
      cause,
      outcome,
      formula: within.formulaId ?? undefined,
      gel: within.gel === 'any' ? undefined : within.gel,
      since: within.since ?? undefined,
    })
  }
  function choosePair(numbers: [number, number], outcome: string | null) {
    asked.value = null
    version.value = null
    lacks.value = ''
    pair.value = { numbers, outcome }
  }
  /** Reads what is typed and asks it; says what it lacks. */
  function ask() {
    const question = read.value
    lacks.value = ''
    if (!typed.value.trim()) return clear()
    const outcome = question.outcome
    if (question.kind === 'pair' && question.pair) {
      choosePair(question.pair, outcome)
      show({ q: typed.value.trim() })
      return
    }
    if (question.kind === 'version' && question.formulaId) {
      asked.value = null
      pair.value = null
      version.value = { formulaId: question.formulaId, number: question.version, outcome }
      show({ q: typed.value.trim() })
      return
    }
    const whole = askedIn(question)
    if (whole) {
      asked.value = whole
      pair.value = null
      version.value = null
      show({ q: typed.value.trim() })
      return
    }
    asked.value = null
    pair.value = null
    version.value = null
    lacks.value = question.cause
      ? 'Against what? Say what came of it, as days in the mould, minutes, drying or a trouble; or pick it.'
      : question.outcome
        ? 'What may it come from? Name a material, the water, a temperature, the room; or pick it.'
        : question.left.length
          ? `None of your records know “${question.left.join(' ')}”. Name something that went in, and what came of it; or pick both.`
          : 'Name something that went in, and what came of it; or pick both.'
  }
  function clear() {
    typed.value = ''
    asked.value = null
    pair.value = null
    version.value = null
    lacks.value = ''
    show({})
  }
  function begin() {
    const { q, cause, outcome, formula, gel, since, one, other } = route.query as Record<
      string,
      string | undefined
    >
    if (q) {
      typed.value = q
      ask()
    } else if (cause && outcome)
      asked.value = {
        cause,
        outcome,
        within: {
          formulaId: formula ?? null,
          gel: gel === 'gelled' || gel === 'not' ? gel : 'any',
          since: since ?? null,
        },
      }
    else if (Number(one) && Number(other)) choosePair([Number(one), Number(other)], outcome ?? null)
  }

  /* A version of a formula: its batches beside those of the version before. */
  const versions = shallowRef<FormulaVersion[]>([])
  watch(version, async (now) => {
    versions.value = []
    if (!now) return
    try {
      versions.value = await api.get<FormulaVersion[]>(`/api/formulas/${now.formulaId}/versions`)
      problem.value = ''
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  })
  const since = computed(() =>
    version.value ? sinceVersion(records.value, versions.value, version.value.number) : null,
  )
  /** What a version was for: as asked, or as its purpose says. */
  const purpose = computed(() => {
    if (!since.value || !version.value) return null
    return version.value.outcome ?? readQuestion(since.value.version.purpose, reading.value).outcome
  })

  /* What the batches answer is counted in a worker: the page stays free, however many there are. */
  let worker: Worker | null = null
  let remote: Remote<AnswersWorker> | null = null
  /** The names it was told last, with the records they came with. */
  let told: unknown = null
  onBeforeUnmount(() => worker?.terminate())
  async function start() {
    const { wrap } = await import('comlink')
    worker = new Worker(new URL('../workers/answers.worker.ts', import.meta.url), {
      type: 'module',
    })
    remote = wrap<AnswersWorker>(worker)
  }
  async function asks(): Promise<Remote<AnswersWorker>> {
    if (!remote) await start()
    if (told !== names.value) {
      const { system, degrees } = say.value
      const { scale } = settings.value
      await remote!.know(records.value, [...names.value], today.value, { system, degrees, scale })
      told = names.value
    }
    return remote!
  }
  const whole = ({ axisId, ...sent }: SentAnswer): Answer => ({
    ...sent,
    cause: figureOf(sent.asked.cause, names.value)!,
    outcome: figureOf(sent.asked.outcome, names.value)!,
    axis: figureOf(axisId, names.value)!,
  })
  const answer = shallowRef<Answer | null>(null)
  const next = shallowRef<Answer[]>([])
  const begun = shallowRef<{ says: string; answer: Answer }[]>([])
  /** It was asked, and what is asked is nothing that the records know. */
  const unknown = ref(false)
  const counting = ref(false)
  /** The question that is being counted; an older one is not shown any more. */
  let question = 0
  watch(
    [ready, asked, since, purpose],
    async () => {
      const own = ++question
      answer.value = null
      next.value = []
      unknown.value = false
      if (!ready.value) return
      const wanted =
        since.value && purpose.value
          ? { cause: 'version', outcome: purpose.value, within: anywhere }
          : asked.value
      counting.value = true
      try {
        const counter = await asks()
        if (wanted) {
          const sent = await counter.answer(wanted, since.value?.records ?? null)
          if (own !== question) return
          answer.value = sent && whole(sent)
          unknown.value = sent === null
          const others = asked.value ? await counter.next() : []
          if (own === question) next.value = others.slice(0, 3).map(whole)
        } else if (!pair.value && !version.value) {
          const list: typeof begun.value = []
          for (const [says, cause, outcome] of examples) {
            const sent = await counter.answer({ cause, outcome, within: anywhere }, null)
            if (sent) list.push({ says, answer: whole(sent) })
          }
          if (own === question) begun.value = list
        }
      } catch (error) {
        if (own === question) problem.value = sentenceOf(error)
      } finally {
        if (own === question) counting.value = false
      }
    },
    { immediate: true },
  )
  /** They come the oldest first. */
  const first = computed(() => records.value[0]?.pouredOn ?? null)

  /* Two batches. */
  const both = shallowRef<[Batch, Batch] | null>(null)
  const lots = shallowRef<[string[], string[]]>([[], []])
  watch(
    () => pair.value?.numbers,
    async (numbers) => {
      both.value = null
      if (!numbers) return
      const ids = numbers.map((number) => records.value.find((one) => one.number === number)?.id)
      const missing = numbers.filter((_, place) => !ids[place])
      if (missing.length) {
        lacks.value = `${say.value.list(
          missing.map((number) => `Batch ${number}`),
          'and',
        )} ${say.value.plural(missing.length, 'was', 'were')} never poured here.`
        return
      }
      try {
        const [one, other, lotsOne, lotsOther] = await Promise.all([
          api.get<Batch>(`/api/batches/${ids[0]}`),
          api.get<Batch>(`/api/batches/${ids[1]}`),
          api.get<{ lots: { document: { code: string } }[] }>(`/api/batches/${ids[0]}/lots`),
          api.get<{ lots: { document: { code: string } }[] }>(`/api/batches/${ids[1]}/lots`),
        ])
        const codes = (from: typeof lotsOne) =>
          from.lots.map(({ document: { code } }) => code).filter(Boolean)
        lots.value = [codes(lotsOne), codes(lotsOther)]
        both.value = [one, other]
        problem.value = ''
      } catch (error) {
        problem.value = sentenceOf(error)
      }
    },
  )
  const held = shallowRef<PairAnswer | null>(null)
  watch([both, () => pair.value?.outcome], async () => {
    held.value = null
    if (!both.value || !pair.value) return
    const asking = both.value
    try {
      const { outcomeId, ...sent } = await (
        await asks()
      ).pair(plain(both.value), pair.value.outcome, lots.value)
      if (asking === both.value)
        held.value = { ...sent, outcome: outcomeId ? figureOf(outcomeId, names.value) : null }
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  })

  /* What settles it. */
  const settling = computed(() =>
    answer.value && asked.value && answer.value.trust !== 'settled'
      ? settlingPair(answer.value.cause.id, formulas.list, records.value, library.value, say.value)
      : null,
  )
  const busy = ref(false)
  /** Ids of a pair that is planned: pressed again after a lost answer, it is planned once. */
  const pairIds = computed(() => (settling.value ? [newId(), newId(), newId()] : []))
  /** Plans both batches of the pair: the formula as it is, and one that differs in the one thing. */
  async function planPair() {
    const plan = settling.value
    const own = formulas.list.find(({ id }) => id === plan?.formulaId)
    if (!plan || !own || busy.value) return
    busy.value = true
    try {
      const [id, ...batchIds] = pairIds.value
      const other = await api
        .put<Stored<FormulaDocument>>(`/api/formulas/${id}`, { revision: 0, document: plan.other })
        .catch((error: unknown) => {
          if (error instanceof ApiError && error.status === 409)
            return api.get<Stored<FormulaDocument>>(`/api/formulas/${id}`)
          throw error
        })
      const made: Batch[] = []
      for (const [place, { id: formulaId, revision, document }] of [own, other].entries()) {
        const result = computeFormula(document, library.value)
        const rule = cureRuleFor(result)
        made.push(
          await batches.make({
            id: batchIds[place]!,
            formulaId,
            revision,
            bars: barsOf(document, result.batter, moulds.documents),
            cure: { rule: rule.id, days: rule.days },
            overruled: {},
          }),
        )
      }
      await formulas.load()
      const [one, two] = made as [Batch, Batch]
      const note = (with_: number) =>
        `One of a pair with batch ${with_}: they differ in one thing, ${plan.says}. Pour both on one day.`
      for (const [batch, beside] of [
        [one, two],
        [two, one],
      ] as const)
        await useOutbox().deliver({
          batchId: batch.id,
          event: {
            kind: 'noted',
            id: newId(),
            day: today.value,
            note: note(beside.number),
            from: '',
            lesson: false,
            photos: [],
          },
          says: 'Noted.',
          at: Date.now(),
        })
      toasts.show(`Planned: batches ${one.number} and ${two.number}. Pour them on one day.`)
      await router.push('/bench')
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    } finally {
      busy.value = false
    }
  }
  /** Keeps a version that takes one thing from the other batch. */
  async function makeVersion(document: FormulaDocument, says: string) {
    const batch = both.value?.[1]
    if (!batch || busy.value) return
    busy.value = true
    try {
      const stored = await api.get<Stored<FormulaDocument>>(`/api/formulas/${batch.formulaId}`)
      const known = await api.get<FormulaVersion[]>(`/api/formulas/${batch.formulaId}/versions`)
      let number = Math.max(0, ...known.map((one) => one.number)) + 1
      // What the formula is now stays among its versions: it may have moved on since that batch.
      if (JSON.stringify(known[0]?.document) !== JSON.stringify(stored.document))
        await api.post(`/api/formulas/${batch.formulaId}/versions`, {
          id: newId(),
          revision: stored.revision,
          name: `Version ${number++}`,
          purpose: '',
        })
      const saved = await api.put<Stored<FormulaDocument>>(`/api/formulas/${batch.formulaId}`, {
        revision: stored.revision,
        document: { ...document, name: stored.document.name },
      })
      await api.post(`/api/formulas/${batch.formulaId}/versions`, {
        id: newId(),
        revision: saved.revision,
        name: `Version ${number}`,
        purpose: `${says} as in batch ${both.value![0].number}, all else as in batch ${batch.number}: to see which of them it was.`,
      })
      toasts.show(`That is version ${number} of ${stored.document.name}.`)
      await router.push(`/formulas/${batch.formulaId}`)
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    } finally {
      busy.value = false
    }
  }

  return {
    records,
    ready,
    problem,
    load,
    typed,
    read,
    lacks,
    asked,
    pair,
    version,
    since,
    purpose,
    causes,
    outcomes,
    formulaNames,
    pick,
    ask,
    clear,
    answer,
    unknown,
    counting,
    next,
    begun,
    first,
    both,
    held,
    choosePair,
    settling,
    planPair,
    makeVersion,
    busy,
  }
}
