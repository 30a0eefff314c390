<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'

/** A batch that was made on paper, written up in one pass. */
const route = useRoute()
const router = useRouter()
const workshop = useWorkshop()
const id = String(route.params.id)
const batch = ref<Batch | null>(null)
const run = shallowRef<Run | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    batch.value = await api.get<Batch>(`/api/batches/${id}`)
    if (batch.value.events.some(({ kind }) => kind === 'poured')) {
      await router.replace(`/bench/${id}`)
      return
    }
    run.value = await api.post<Run>(`/api/batches/${id}/run`, {
      id: newId(),
      device: deviceId(),
      setup: usualRunSetup(workshop.settings),
      paper: true,
      at: new Date(workshop.clock()).toISOString(),
    })
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
useHead({ title: 'From paper · Mantle' })
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <PaperBatch v-else-if="batch && run" :batch="batch" :run="run" />
</template>
