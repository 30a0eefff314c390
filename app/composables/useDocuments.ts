import type { Stored } from '#contracts/document'

/**
 * One kind of document of the workshop: the list, newest change first, and what can be done with one. Made once for each
 * kind, in a store.
 * @param path of its routes, as /api/formulas
 * @param nameOf what one is called in a message
 */
export function useDocuments<T>(path: string, nameOf: (document: T) => string) {
  const list = shallowRef<Stored<T>[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()

  async function load() {
    try {
      list.value = await api.get<Stored<T>[]>(path)
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  const without = (id: string) => list.value.filter((stored) => stored.id !== id)
  function keep(stored: Stored<T>) {
    list.value = [stored, ...without(stored.id)]
    return stored
  }

  /** Keeps a document on the server: revision 0 for a new one. Throws an ApiError. */
  const save = async (id: string, revision: number, document: T) =>
    keep(await api.put<Stored<T>>(`${path}/${id}`, { revision, document }))

  /** Deletes one, says so, and offers the way back. Throws an ApiError. */
  async function remove(
    { id, document }: Pick<Stored<T>, 'id' | 'document'>,
    says = `${nameOf(document)} is deleted.`,
  ) {
    await api.remove(`${path}/${id}`)
    list.value = without(id)
    toasts.show(says, {
      undo: async () => void keep(await api.post<Stored<T>>(`${path}/${id}/restore`)),
    })
  }

  return { list, loaded, problem, load, save, remove }
}
