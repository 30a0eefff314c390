import type { FollowedLesson, LessonWhen } from '#contracts/journal'
import type { FormulaDocument } from '#contracts/formula'

/**
 * How a lesson stands: suspected until it was looked for in a batch besides the one that taught it, then held up so many times of so
 * many, or dropped. The batch that taught it counts as one in which it held.
 * @example lessonState({ batchId: 'a', seen: [{ batchId: 'b', held: false, note: '' }], dropped: null })
 *   // { state: 'held', held: 1, of: 2 }
 */
export function lessonState({
  batchId,
  seen,
  dropped,
}: Pick<FollowedLesson, 'batchId' | 'seen' | 'dropped'>): {
  state: 'suspected' | 'held' | 'dropped'
  held: number
  of: number
} {
  const others = seen.filter((one) => one.batchId !== batchId)
  const own = batchId ? 1 : 0
  const held = others.filter((one) => one.held).length + own
  const of = others.length + own
  return { state: dropped ? 'dropped' : others.length ? 'held' : 'suspected', held, of }
}

const shareIn = (document: FormulaDocument, id: string): number => {
  const fat = document.fats.find((line) => line.id === id)
  if (fat) return fat.share ?? 1
  const extra = document.additives.find((line) => line.id === id)
  if (extra) return extra.rate ?? 1
  const scent = document.scents.find((line) => line.id === id)
  if (scent) return scent.rate ?? 1
  return document.liquids.some((line) => line.id === id) ? 1 : 0
}

/**
 * Whether a lesson has something to say of a formula: all that it names holds there. One that names nothing stays silent.
 * @example lessonSpeaks({ anyOf: ['olive'], atLeast: 0, gel: null, pattern: null, formulaId: null }, example, null) // true
 */
export function lessonSpeaks(
  when: LessonWhen,
  document: FormulaDocument,
  formulaId: string | null,
): boolean {
  const { anyOf, atLeast, gel, pattern } = when
  if (!anyOf.length && !gel && !pattern && !when.formulaId) return false
  const { method } = document
  return (
    (!when.formulaId || when.formulaId === formulaId) &&
    (!anyOf.length ||
      anyOf.some((id) => shareIn(document, id) > 0 && shareIn(document, id) >= atLeast)) &&
    (!gel || method.gel === gel) &&
    (!pattern || method.patterns.some((one) => one === pattern))
  )
}
