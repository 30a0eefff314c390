import type { AlongBatch, Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { FormulaDocument } from '#contracts/formula'
import type { Trouble } from '#contracts/rackWords'
import type { FormulaVersion } from '#contracts/version'
import { applyPatch } from '#core/formula/patch'
import { alongSays, comparable, sightings } from '#core/troubles/along'
import { caseOf, causesOf, type Cause } from '#core/troubles/causes'
import { figureKinds } from '#core/troubles/figures'
import { troubleKinds } from '#core/troubles/kinds'
import { daysBetween } from '#core/units/days'
import { inSentence } from '#core/units/language'
import { freeze } from '#core/batch/freeze'

/** Why a batch has a trouble: causes by its record, the workshop's batches along the cause that is looked at, the version that changes it. */
export function useTroubleCauses(batch: Ref<Batch | null>, trouble: Trouble) {
  const { today, say, humidity } = storeToRefs(useWorkshop())
  const { library } = storeToRefs(useMaterials())
  const toasts = useToasts()
  const router = useRouter()

  const about = computed(() =>
    batch.value ? caseOf(batch.value, today.value, humidity.value, say.value) : null,
  )
  const causes = computed(() => (about.value ? causesOf(trouble, about.value) : []))
  /** When it was seen on this batch, and the days of it, the first first. */
  const seen = computed(() => sightings(batch.value?.events ?? [], trouble))
  const seenOn = computed(() => seen.value.map(({ day }) => day).sort())

  /** Which cause is looked at: the first with a figure, until somebody picks another. */
  const picked = ref<string | null>(null)
  const looked = computed(
    () =>
      causes.value.find(({ says }) => says === picked.value) ??
      causes.value.find(({ along }) => along) ??
      causes.value[0],
  )
  const all = shallowRef<{ figure: string; batches: AlongBatch[] } | null>(null)
  watch(
    () => looked.value?.along?.figure,
    async (figure) => {
      if (!figure) return
      const batches = await api
        .get<AlongBatch[]>(`/api/batches/along?figure=${figure}&trouble=${trouble}`)
        .catch(() => [])
      all.value = { figure, batches }
    },
    { immediate: true },
  )
  const along = computed(() => {
    const cause = looked.value
    if (!cause?.along || !batch.value || !about.value) return null
    const { figure, worse } = cause.along
    const { id, facts } = batch.value
    if (all.value?.figure !== figure || !facts.pouredOn) return null
    const seenAfter = seenOn.value[0]
      ? daysBetween(facts.pouredOn, seenOn.value[0])
      : about.value.age
    const { batches: poured } = all.value
    const batches = [
      ...comparable(
        poured.filter((one) => one.id !== id),
        seenAfter,
        today.value,
      ),
      ...poured.filter((one) => one.id === id),
    ]
    const value = figureKinds[figure].of(about.value)
    return value === null || !batches.some((one) => one.id === id)
      ? null
      : {
          figure,
          worse,
          batches,
          value: figureKinds[figure].text(value, say.value),
          says: alongSays(batches, id, figure, worse, say.value),
          young: all.value.batches.length - batches.length,
          rests: figureKinds[figure].rests(about.value),
        }
  })

  /** The formula as it is now: what changes it is meant for that one. Null when it is deleted. */
  const formula = shallowRef<Stored<FormulaDocument> | null>(null)
  watch(
    () => batch.value?.formulaId,
    async (id) => {
      if (id)
        formula.value = await api
          .get<Stored<FormulaDocument>>(`/api/formulas/${id}`)
          .catch(() => null)
    },
    { immediate: true },
  )
  const patched = (document: FormulaDocument, changes: readonly Cause[]) =>
    // A whole list first: a line of it may be changed afterwards.
    [...changes.flatMap(({ next }) => next?.patch ?? [])]
      .sort((a, b) => a.path.length - b.path.length)
      .reduce((changed, step) => applyPatch(changed, [step]), document)
  const isDone = (cause: Cause) =>
    formula.value !== null &&
    JSON.stringify(patched(formula.value.document, [cause])) ===
      JSON.stringify(formula.value.document)
  const changes = computed(() => causes.value.filter((cause) => cause.next && !isDone(cause)))
  /** What the figure of a cause comes to by the changed plan, beside what it is by the plan of today. */
  function brings(cause: Cause): string {
    if (!formula.value || !cause.along) return ''
    const { figure } = cause.along
    const of = (document: FormulaDocument) => {
      const frozen = freeze(document, library.value)
      const value = figureKinds[figure].of(
        caseOf({ frozen, events: [] }, today.value, humidity.value, say.value),
      )
      return value === null ? '' : figureKinds[figure].text(value, say.value)
    }
    const [before, after] = [
      of(formula.value.document),
      of(patched(formula.value.document, [cause])),
    ]
    return before && after && before !== after ? `By the plan it brings ${before} to ${after}.` : ''
  }

  const busy = ref(false)
  /** Of the version that is made next: pressed twice, it is made once. */
  let versionId = newId()
  async function makeNext(by: readonly Cause[]) {
    if (!batch.value || !formula.value || busy.value || !by.length) return
    busy.value = true
    const label = say.value.list(by.map(({ next }) => next!.label))
    const { formulaId, number } = batch.value
    try {
      const versions = await api.get<FormulaVersion[]>(`/api/formulas/${formulaId}/versions`)
      const next = (versions[0]?.number ?? 0) + 1
      const saved = await api.put<Stored<FormulaDocument>>(`/api/formulas/${formulaId}`, {
        revision: formula.value.revision,
        document: patched(formula.value.document, by),
      })
      formula.value = saved
      await api.post(`/api/formulas/${formulaId}/versions`, {
        id: versionId,
        revision: saved.revision,
        name: `Version ${next}`,
        purpose: `${label}, against ${inSentence(troubleKinds[trouble].says)} as on batch ${number}.`,
      })
      versionId = newId()
      toasts.show(`${label}: that is version ${next}.`)
      await router.push(`/formulas/${formulaId}`)
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    } finally {
      busy.value = false
    }
  }
  return {
    causes,
    seen,
    seenOn,
    picked,
    looked,
    along,
    formula,
    changes,
    isDone,
    brings,
    busy,
    makeNext,
  }
}
