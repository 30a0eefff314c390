<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'

/** A batch that was made on paper, written up in one pass. Its run begins with what is written down. */
const route = useRoute()
const router = useRouter()
const workshop = useWorkshop()
const id = String(route.params.id)
const batch = ref<Batch | null>(null)
const run = shallowRef<Run | null>(null)
const begun = ref(false)
const problem = ref('')
/** As it would be: the plan as somebody arranged it here before printing, or the usual one. */
const toCome = (): Run => ({
  id: newId(),
  batchId: id,
  setup: arrangedSetup(id, workshop.settings),
  scale: workshop.settings.scale,
  paper: true,
  startedAt: new Date(workshop.clock()).toISOString(),
  driver: deviceId(),
  events: [],
})
onMounted(async () => {
  try {
    batch.value = await api.get<Batch>(`/api/batches/${id}`)
    if (batch.value.events.some(({ kind }) => kind === 'poured')) {
      await router.replace(`/bench/${id}`)
      return
    }
    const there = await api.get<Run>(`/api/batches/${id}/run`).catch((error: unknown) => {
      if (error instanceof ApiError && error.status === 404) return null
      throw error
    })
    begun.value = there !== null
    run.value = there ?? toCome()
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
useHead({ title: 'From paper · Mantle' })
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <PaperBatch v-else-if="batch && run" :batch="batch" :run="run" :begun="begun" />
</template>
