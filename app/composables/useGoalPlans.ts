import { computeFormula } from '#core/formula/compute'
import { cureRuleFor, cureRulesOf } from '#core/rack/cure'
import { plansFor } from '#core/rack/outlook'

/** The bars that are promised, what each goal still wants, and how long the kind of a formula cures. */
export function useGoalPlans() {
  const goals = useGoals()
  const batches = useBatches()
  const formulas = useFormulas()
  const { library } = storeToRefs(useMaterials())
  const { today, settings } = storeToRefs(useWorkshop())
  onMounted(() => void goals.load())

  const open = computed(() =>
    goals.list
      .filter(({ document }) => document.on >= today.value)
      .map(({ id, document }) => ({ id, ...document })),
  )
  /** Days that the kind of a formula cures. */
  function usualDays(formulaId: string): number {
    const formula = formulas.list.find(({ id }) => id === formulaId)
    const rules = cureRulesOf(settings.value.rack.cures)
    const id = formula ? cureRuleFor(computeFormula(formula.document, library.value)).id : 'most'
    return rules.find((rule) => rule.id === id)?.days ?? 42
  }
  const plans = computed(() => plansFor(open.value, batches.list, today.value, usualDays))
  return { open, plans, usualDays }
}
