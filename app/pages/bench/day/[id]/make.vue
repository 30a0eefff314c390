<script setup lang="ts">
import type { FormulaLesson } from '#contracts/batch'
import type { RunEvent } from '#contracts/run'

/** A making day at the bench, full screen. */
definePageMeta({ bare: true })
const route = useRoute()
const here = useMakingDay(String(route.params.id))
const ready = ref(false)
const earlier = shallowRef(new Map<string, RunEvent[][]>())
const lessons = shallowRef(new Map<string, FormulaLesson[]>())
onMounted(async () => {
  await here.load()
  if (!here.day.value) return
  if (!here.day.value.startedAt || !here.day.value.plan) {
    await navigateTo(`/bench/day/${here.id}`)
    return
  }
  const batches = [...here.batches.value.values()]
  // What earlier batches did is worth having, and nothing to wait for without a server.
  const known = await Promise.all(
    batches.map(async ({ id, formulaId }) => {
      const [marks, taught] = await Promise.all([
        earlierMarks(formulaId).catch(() => []),
        lessonsOfFormula(formulaId).catch(() => []),
      ])
      return [
        id,
        marks.filter(({ batchId }) => batchId !== id).map(({ events }) => events),
        taught.filter(({ batchId }) => batchId !== id),
      ] as const
    }),
  )
  earlier.value = new Map(known.map(([id, marks]) => [id, marks]))
  lessons.value = new Map(known.map(([id, , taught]) => [id, taught]))
  ready.value = true
})
useHead({ title: 'A making day at the bench · Mantle' })
</script>

<template>
  <ProblemPage
    v-if="here.problem.value"
    :says="here.problem.value"
    to="/bench"
    label="To the bench"
  />
  <DayAtBench v-else-if="ready" :here="here" :earlier="earlier" :lessons="lessons" />
</template>
