import { noteLine } from '#core/journal/noteLine'
import { richText } from '#core/journal/plainText'
import type { BatchSummary } from '#contracts/batch'

/** A note in one line, kept at once: `18: @Jo cut it late #tired`. */
export function useQuickNote() {
  const notes = useNotes()
  const batches = useBatches()
  const toasts = useToasts()
  const { today } = storeToRefs(useWorkshop())

  /** The batch of a number, off the rack or on it. */
  async function batchOf(number: number): Promise<BatchSummary | null> {
    await batches.load()
    const here = batches.list.find((batch) => batch.number === number)
    return here ?? (await batches.gone(String(number))).find((one) => one.number === number) ?? null
  }
  /** Keeps it; null when it could not be, which is said. */
  async function write(typed: string, id = newId()) {
    const { text, people, words, batch: number } = noteLine(typed)
    const batch = number === null ? null : await batchOf(number)
    // A number that is no batch was part of what was said.
    const said = number !== null && !batch ? typed.trim() : text
    try {
      const stored = await notes.save(id, 0, {
        ...blankNote(today.value),
        text: richText(said),
        who: lastWriter.value,
        people,
        words,
        batchId: batch?.id ?? null,
      })
      toasts.show(
        batch ? `Noted in the journal, of ${batch.name} ${batch.number}.` : 'Noted in the journal.',
        { undo: () => notes.remove(stored, 'The note is taken back.') },
      )
      return stored
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
      return null
    }
  }
  return { write }
}
