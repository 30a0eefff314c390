import type { BatchSummary } from '#contracts/batch'
import { lookOn, type Due } from '#core/rack/due'

/** What is due, answered in place: at once, in a dialog, or in a round through several batches. */
export function useDueAnswers() {
  const batches = useBatches()
  const { today } = storeToRefs(useWorkshop())
  const weighing = useWeighRound()
  const asked = useBatchDialog()

  async function answer(kind: Due['kind'], all: BatchSummary[]) {
    if (kind === 'weigh') weighing.value = all
    else if (kind === 'cut' || kind === 'strip') asked.value = { batch: all[0]!, asks: kind }
    else if (kind === 'peek') asked.value = { batch: all[0]!, asks: 'checked' }
    else if (kind === 'thaw') asked.value = { batch: all[0]!, asks: 'tried' }
    else if (kind === 'look')
      await navigateTo(`/batches/${all[0]!.id}/troubles/${lookOn(all[0]!)?.trouble}`)
    else if (kind === 'unwrap')
      await batches.tell(
        all[0]!.id,
        { kind: 'checked', day: today.value, check: kind },
        'Unwrapped.',
      )
    else if (kind === 'turn')
      await batches.tellAll(all, { kind: 'turned', day: today.value }, (of) =>
        of.length > 1
          ? `${of.length} batches turned.`
          : `${of[0]!.name} ${of[0]!.number} is turned.`,
      )
  }
  return answer
}

/** The word on the button; what has none is done elsewhere. */
export const dueAnswers: Partial<Record<Due['kind'], string>> = {
  peek: 'Look',
  unwrap: 'Done',
  thaw: 'It is out',
  cut: 'Cut',
  strip: 'Test',
  look: 'Look',
  weigh: 'Weigh',
  turn: 'Turned',
}
