<script setup lang="ts">
import type { Batch, FormulaLesson } from '#contracts/batch'
import type { Run, RunEvent } from '#contracts/run'

/** A batch at the bench, full screen. */
definePageMeta({ bare: true })
const route = useRoute()
const id = String(route.params.id)
interface Remembered {
  batch: Batch
  run: Run
  /** Not in what an older Mantle remembered. */
  earlier?: RunEvent[][]
  lessons?: FormulaLesson[]
}
const loaded = shallowRef<Remembered | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    const [batch, run] = await Promise.all([
      api.get<Batch>(`/api/batches/${id}`),
      api.get<Run>(`/api/batches/${id}/run`),
    ])
    const [marks, taught] = await Promise.all([
      earlierMarks(batch.formulaId),
      lessonsOfFormula(batch.formulaId),
    ])
    const earlier = marks.filter(({ batchId }) => batchId !== id).map(({ events }) => events)
    const lessons = taught.filter(({ batchId }) => batchId !== id)
    loaded.value = { batch, run, earlier, lessons }
    rememberBench(id, loaded.value)
  } catch (error) {
    // Without the server this device's own copy goes on.
    // So it does for a batch that the workshop lacks since it was put back to an older state.
    const away =
      error instanceof ApiError &&
      (error.status === 0 || error.status === 404 || error.status >= 500)
    loaded.value = away ? rememberedBench<Remembered>(id) : null
    if (!loaded.value) problem.value = sentenceOf(error)
  }
})
useHead({
  title: () =>
    loaded.value ? `${loaded.value.batch.name} at the bench · Mantle` : 'Bench · Mantle',
})
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <BatchAtBench
    v-else-if="loaded"
    :batch="loaded.batch"
    :run="loaded.run"
    :earlier="loaded.earlier ?? []"
    :lessons="loaded.lessons ?? []"
  />
</template>
