import type { Stored } from '#contracts/document'
import type { Trial, TrialSummary } from '#contracts/trial'
import { triedPotsOf } from '#core/trials/found'
import { defineStore } from 'pinia'

/** Trial days with what their pots showed, the last day first. */
export const useTrials = defineStore('trials', () => {
  const list = shallowRef<TrialSummary[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()
  const scents = useScents()

  async function load() {
    try {
      list.value = await api.get<TrialSummary[]>('/api/trials')
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  /** Every pot of every day. */
  const pots = computed(() => triedPotsOf(list.value))

  /** Keeps a plan: revision 0 for a new one. Throws an ApiError. */
  async function save(id: string, revision: number, document: Trial) {
    const kept = await api.put<Stored<Trial>>(`/api/trials/${id}`, { revision, document })
    await load()
    return kept
  }
  /** Deletes a day, says so, and offers the way back. Throws an ApiError. */
  async function remove({ id, document }: Pick<TrialSummary, 'id' | 'document'>) {
    await api.remove(`/api/trials/${id}`)
    list.value = list.value.filter((one) => one.id !== id)
    toasts.show(`Trial day ${document.number} is deleted.`, {
      undo: async () => {
        await api.post(`/api/trials/${id}/restore`)
        await load()
      },
    })
  }
  /** What was found has become another thing: for whoever shows it. */
  const again = () => Promise.all([load(), scents.loadKnown()])
  return { list, loaded, problem, load, pots, save, remove, again }
})
