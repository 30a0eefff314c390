<script setup lang="ts">
import type { Batch, FormulaLesson } from '#contracts/batch'
import type { RunEvent } from '#contracts/run'
import type { Step } from '#core/bench/plan/step'
import type { RunKeeper } from '~/composables/useRunKeeper'

/** One step of one batch of the day, as the bench of a single batch shows it. */
const { batch, keeper, stepId, times, beside, earlier, lessons } = defineProps<{
  batch: Batch
  keeper: RunKeeper
  /** The step that is wanted; null for the end of the batch. */
  stepId: string | null
  times: (batchId: string, step: Step) => number
  beside: (batchId: string, event: RunEvent) => void
  earlier: readonly (readonly RunEvent[])[]
  lessons: readonly FormulaLesson[]
}>()
const emit = defineEmits<{ finish: [] }>()
const emergency = defineModel<boolean>('emergency', { required: true })
const note = defineModel<boolean>('note', { required: true })
const bench = provideBench({
  frozen: batch.frozen,
  name: batch.name,
  number: batch.number,
  thumbnail: batch.thumbnail,
  keeper,
  practising: false,
  guided: false,
  earlier,
  lessons,
  times: (step) => times(batch.id, step),
  beside: (event) => beside(batch.id, event),
})
/** The day says which step it is, whatever the batch's own plan would show next; looking back by hand stays possible until then. */
watch(
  () => [stepId, bench.next.value?.id, bench.state.value.order.length] as const,
  ([wanted]) => {
    if (wanted) bench.open(wanted)
  },
  { immediate: true, flush: 'post' },
)
const wide = useWideBench()
const unless = (act: () => void) => () => {
  if (!emergency.value) act()
}
useBenchKeys({ z: unless(bench.takeBack) })
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <EmergencyPanel v-if="emergency" @back="emergency = false" />
    <BenchView v-else @finish="emit('finish')" />
    <NoteBox v-if="note" @close="note = false" />
    <Teleport v-if="wide" defer to="#day-devices"><BenchSide /></Teleport>
  </div>
</template>
