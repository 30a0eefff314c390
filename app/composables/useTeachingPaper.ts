import type { StoredFormula } from '#contracts/workshop'
import type { Substance } from '#core/formula/makingOrder'
import { formatter, type UnitSystem } from '#core/units/formatter'
import { gramsPer } from '#core/units/measures'

/** A formula on a paper for others: in one unit, in steps that kitchen scales show. */
export function useTeachingPaper(opened: (formula: StoredFormula) => void = () => undefined) {
  const id = String(useRoute().params.id)
  const formula = shallowRef<StoredFormula | null>(null)
  const problem = ref('')
  const materials = useMaterials()
  const { say: own, settings } = storeToRefs(useWorkshop())
  const unit = ref<UnitSystem>('metric')
  onMounted(async () => {
    unit.value = own.value.system
    await materials.load()
    try {
      const stored = await api.get<StoredFormula>(`/api/formulas/${id}`)
      opened(stored)
      formula.value = stored
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  })
  const document = computed(() => formula.value?.document)
  /** g. */
  const scale = computed(() =>
    unit.value === 'metric' ? Math.max(1, settings.value.scale) : 0.05 * gramsPer.oz,
  )
  const say = computed(() =>
    formatter({ system: unit.value, degrees: settings.value.degrees, scale: scale.value }),
  )
  /** A weight on the paper: of lye never more than it is, and none where two ways to work it out do not agree. */
  const weightOf = (substance: Substance, grams: number, agrees: boolean): string =>
    substance === 'lye' ? (agrees ? say.value.massDown(grams) : '–') : say.value.mass(grams)
  return { id, formula, document, problem, unit, scale, say, weightOf }
}
