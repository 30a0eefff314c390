import type { FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import { computeFormula } from '#core/formula/compute'
import { faultsInFormula } from '#core/formula/faults'
import { freeze } from '#core/batch/freeze'
import { mergeFormulas, mergePlaces, type Side } from '#core/versions/merge'
import { lyeHeavyOdds } from '#core/risk/odds'

/**
 * A formula that was changed here and elsewhere at once: both sides, what comes of them together, and keeping one of these. The
 * side that is left is kept as a version, whole.
 */
export function useTogether(id: string) {
  const workshop = useWorkshop()
  const formulas = useFormulas()
  const { library } = storeToRefs(useMaterials())
  const theirs = shallowRef<StoredFormula | null>(null)
  const draft = shallowRef<WindowDraft | null>(null)
  const choices = ref<Record<string, Side>>({})
  const loaded = ref(false)
  const problem = ref('')
  const busy = ref(false)

  async function load() {
    try {
      theirs.value = await api.get<StoredFormula>(`/api/formulas/${id}`)
      const all = await draftsOf(id)
      draft.value = all.find(({ window }) => window === windowId()) ?? null
      loaded.value = true
      problem.value = ''
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  const sides = computed(() =>
    theirs.value && draft.value
      ? { base: draft.value.base, mine: draft.value.document, theirs: theirs.value.document }
      : null,
  )
  const places = computed(() => {
    const { value } = sides
    return value
      ? mergePlaces(value.base, value.mine, value.theirs, library.value, workshop.say)
      : []
  })
  const open = computed(() =>
    places.value.filter(({ by, key }) => by === 'clash' && !choices.value[key]),
  )
  const merged = computed(() => {
    const { value } = sides
    return value ? mergeFormulas(value.base, value.mine, value.theirs, choices.value) : null
  })
  /** What would be wrong with the two together, as shares that do not add up. */
  const faults = computed(() => (merged.value ? faultsInFormula(merged.value, library.value) : []))

  /** The figures a maker looks at first. */
  function figuresOf(document: FormulaDocument) {
    const result = computeFormula(document, library.value)
    const sound = faultsInFormula(document, library.value).length === 0
    return {
      result,
      superfat: result.superfat.total,
      batter: result.batter,
      odds: sound ? lyeHeavyOdds(freeze(document, library.value), result.superfat.total) : null,
    }
  }
  const figures = computed(() => {
    const { value } = sides
    return value && merged.value
      ? {
          theirs: figuresOf(value.theirs),
          together: figuresOf(merged.value),
          mine: figuresOf(value.mine),
        }
      : null
  })

  /** Ids of the versions that the sides become: pressed twice, each is made once. */
  const versionIds = { mine: newId(), theirs: newId() }
  const keepSide = (side: Side, name: string, revision: number) =>
    api.post(`/api/formulas/${id}/versions`, {
      id: versionIds[side],
      revision,
      name: name.slice(0, 80),
      purpose: 'One of two sides of a formula that was changed in two places at once.',
      document: sides.value![side],
    })

  /**
   * Keeps a document as the formula, and the sides it is not as versions. Resolves to false when it has changed once more, or could not be
   * kept; both sides stay as they are then.
   * @param names of the two sides, as the versions are called
   */
  async function keep(document: FormulaDocument, names: Record<Side, string>): Promise<boolean> {
    if (busy.value || !sides.value || !theirs.value) return false
    busy.value = true
    try {
      const { revision } = theirs.value
      const isKept = (side: Side) => JSON.stringify(sides.value![side]) === JSON.stringify(document)
      // Before anything is overwritten.
      for (const side of ['theirs', 'mine'] as const)
        if (!isKept(side)) await keepSide(side, names[side], revision)
      if (!isKept('theirs')) await formulas.save(id, revision, document)
      forgetDraft(id)
      return true
    } catch (error) {
      if (error instanceof ApiError && error.status === 409) {
        theirs.value = error.body.theirs as StoredFormula
        problem.value =
          'It was changed once more just now. Look again: what you chose still stands.'
      } else problem.value = sentenceOf(error)
      return false
    } finally {
      busy.value = false
    }
  }

  /** Keeps this side as a formula of its own, and lets the other be the formula. Gives its id. */
  async function keepAsTwo(): Promise<string | null> {
    if (!sides.value) return null
    try {
      const { mine } = sides.value
      const copy = await formulas.create({ ...mine, name: formulas.freeName(`${mine.name}, mine`) })
      forgetDraft(id)
      return copy
    } catch (error) {
      problem.value = sentenceOf(error)
      return null
    }
  }

  return {
    load,
    loaded,
    problem,
    theirs,
    draft,
    sides,
    places,
    choices,
    open,
    merged,
    faults,
    figures,
    keep,
    keepAsTwo,
    busy,
  }
}
