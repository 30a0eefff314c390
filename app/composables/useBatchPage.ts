import type { Batch } from '#contracts/batch'

/** The batch that a page is about, by the id in its address, and why it cannot be shown. It follows what is written down. */
export function useBatchPage() {
  const id = String(useRoute().params.id)
  const batches = useBatches()
  const batch = ref<Batch | null>(null)
  const problem = ref('')
  onMounted(async () => {
    try {
      batch.value = await api.get<Batch>(`/api/batches/${id}`)
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  })
  watch(
    () => batches.latest,
    (latest) => {
      if (latest?.id === id) batch.value = latest
    },
  )
  return { batch, problem }
}
