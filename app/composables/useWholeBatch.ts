import type { Batch, BatchSummary } from '#contracts/batch'

/** The batch of a summary with its formula and its events; null until it has come. It follows what is written down. */
export function useWholeBatch(of: () => Pick<BatchSummary, 'id' | 'facts'>) {
  const batches = useBatches()
  const whole = shallowRef<Batch | null>(null)
  async function load() {
    const { id } = of()
    const latest = batches.latest?.id === id ? batches.latest : null
    const batch = latest ?? (await api.get<Batch>(`/api/batches/${id}`).catch(() => null))
    if (of().id === id) whole.value = batch
  }
  watch(() => [of().id, of().facts], load, { immediate: true })
  return whole
}

/** The names of the pots of a batch; none where its batter was not divided. */
export function usePots(of: () => Pick<BatchSummary, 'id' | 'facts'>) {
  const whole = useWholeBatch(of)
  return computed(() => whole.value?.frozen.document.parts.map(({ name }) => name) ?? [])
}
