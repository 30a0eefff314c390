import type { FormulaLesson } from '#contracts/batch'

/** What the batches of a formula taught; nothing while it cannot be asked. */
export const lessonsOfFormula = (formulaId: string): Promise<FormulaLesson[]> =>
  api.get<FormulaLesson[]>(`/api/formulas/${formulaId}/lessons`).catch(() => [])

/** The lessons of a formula, and dropping one of them. */
export function useLessons(formulaId: () => string | null) {
  const lessons = ref<FormulaLesson[]>([])
  const batches = useBatches()
  const { today } = storeToRefs(useWorkshop())
  watch(formulaId, async (id) => (lessons.value = id ? await lessonsOfFormula(id) : []), {
    immediate: true,
  })
  async function drop({ id, batchId }: FormulaLesson) {
    const told = await batches.tell(
      batchId,
      { kind: 'dropped', day: today.value, lesson: id },
      'The lesson is dropped.',
    )
    if (told) lessons.value = lessons.value.filter((one) => one.id !== id)
  }
  return { lessons, drop }
}
