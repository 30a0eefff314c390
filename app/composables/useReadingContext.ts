import type { ReadingContext } from '#core/words/reading'

/** What recipes are read with here: the workshop's materials, the crystal in its jar, the scents of its formulas. */
export function useReadingContext() {
  const { library } = storeToRefs(useMaterials())
  const workshop = useWorkshop()
  const formulas = useFormulas()
  return computed<ReadingContext>(() => ({
    library: library.value,
    citricAcid: workshop.settings.citricAcid,
    scents: scentNames(
      formulas.list.flatMap(({ document }) => document.scents),
      library.value,
    ).map(({ id, name }) => ({ id, name: name ?? id })),
  }))
}
