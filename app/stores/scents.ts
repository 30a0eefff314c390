import type { KnownScent, Scent } from '#contracts/scent'
import type { Supplier } from '#contracts/supplier'
import { defineStore } from 'pinia'

/** The scents of the workshop as they are written down. */
export const useScents = defineStore('scents', () => {
  const documents = useDocuments<Scent>('/api/scents', ({ name }) => name)
  /** What is known of each, by id: formulas use it. */
  const known = shallowRef<ReadonlyMap<string, KnownScent>>(new Map())
  /** Asks for what is known; without an answer formulas go on with what they knew. */
  async function loadKnown() {
    const list = await api.get<KnownScent[]>('/api/scents/known').catch(() => null)
    if (list) known.value = new Map(list.map((one) => [one.id, one]))
  }
  const save: typeof documents.save = async (...what) => {
    const kept = await documents.save(...what)
    await loadKnown()
    return kept
  }
  const remove: typeof documents.remove = async (...what) => {
    await documents.remove(...what)
    await loadKnown()
  }
  return { ...documents, save, remove, known, loadKnown }
})

/** Who scents and colours are bought from. */
export const useSuppliers = defineStore('suppliers', () =>
  useDocuments<Supplier>('/api/suppliers', ({ name }) => name),
)
