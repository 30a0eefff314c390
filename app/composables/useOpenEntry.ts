import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { Entry, Note } from '#contracts/journal'

/** What lies open on the right page: an entry with the batch or the note it is of. */
export function useOpenEntry(entry: () => Entry | null) {
  const batch = shallowRef<Batch | null>(null)
  const note = shallowRef<Stored<Note> | null>(null)
  const problem = ref('')
  const busy = ref(false)
  const mayBeNote = new Set<Entry['kind']>(['page', 'note', 'photo'])

  let turn = 0
  async function load() {
    const now = entry()
    const mine = ++turn
    problem.value = ''
    if (!now) {
      batch.value = note.value = null
      return
    }
    busy.value = true
    try {
      const known = batch.value?.id === now.batchId ? batch.value : null
      const nothing = Promise.resolve(null)
      const [ofBatch, ofNote] = await Promise.all([
        now.batchId ? (known ?? api.get<Batch>(`/api/batches/${now.batchId}`)) : nothing,
        mayBeNote.has(now.kind)
          ? api.get<Stored<Note>>(`/api/notes/${now.ref}`).catch(() => null)
          : nothing,
      ])
      if (mine !== turn) return
      batch.value = ofBatch
      note.value = ofNote
    } catch (error) {
      if (mine === turn) problem.value = sentenceOf(error)
    } finally {
      if (mine === turn) busy.value = false
    }
  }
  watch(() => entry()?.ref, load, { immediate: true })
  return { batch, note, problem, busy, load }
}
