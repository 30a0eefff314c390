import { computeFormula } from '#core/formula/compute'
import { needsOfResult } from '#core/stores/things'

/** What promised bars that are still to be poured take, on the last day they can be: by the bars that their formula gave last. */
export function usePromisedNeeds() {
  const { open, plans } = useGoalPlans()
  const formulas = useFormulas()
  const batches = useBatches()
  const { library } = storeToRefs(useMaterials())
  const { today } = storeToRefs(useWorkshop())
  onMounted(() => Promise.all([formulas.load(), batches.load()]))
  return computed(() =>
    open.value.flatMap(({ id, formulaId, what }) => {
      const plan = plans.value.get(id)
      const formula = formulas.list.find((one) => one.id === formulaId)
      if (!plan?.missing || !formula) return []
      const result = computeFormula(formula.document, library.value)
      const last = batches.list.find((batch) => batch.formulaId === formulaId)
      const perBar = last ? last.batterGrams / last.bars : 120
      const times = result.batter > 0 ? (plan.missing * perBar) / result.batter : 0
      const day = plan.pourBy ?? today.value
      return [
        {
          id,
          says: what,
          day: day < today.value ? today.value : day,
          needs: needsOfResult(result, library.value).map((need) => ({
            ...need,
            grams: need.grams * times,
          })),
        },
      ]
    }),
  )
}
