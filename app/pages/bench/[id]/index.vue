<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { standingOf } from '#core/rack/standing'

/** Before a batch is made its plan, afterwards what was made. */
const route = useRoute()
const id = String(route.params.id)
const { today } = storeToRefs(useWorkshop())
const batch = ref<Batch | null>(null)
const run = shallowRef<Run | null>(null)
const problem = ref('')
async function load() {
  try {
    batch.value = await api.get<Batch>(`/api/batches/${id}`)
    run.value = await api.get<Run>(`/api/batches/${id}/run`).catch((error: unknown) => {
      if (error instanceof ApiError && error.status === 404) return null
      throw error
    })
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)
const stage = computed(() => (batch.value ? standingOf(batch.value, today.value).stage : null))
useHead({
  title: () =>
    batch.value ? `${batch.value.name} ${batch.value.number} · Bench · Mantle` : 'Bench · Mantle',
})
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <template v-else-if="batch && stage">
    <MadeBatch v-if="run && stage !== 'planned'" :batch="batch" :run="run" />
    <div v-else-if="stage !== 'planned'" class="mx-auto max-w-xl px-4 py-10">
      <EmptyState :title="`${batch.name} ${batch.number} was not made at the bench.`">
        It has no run: it was marked as poured by hand.
        <template #actions
          ><AppButton kind="main" :to="`/batches/${batch.id}`">To the batch</AppButton></template
        >
      </EmptyState>
    </div>
    <PrepareBatch v-else :batch="batch" :run="run" />
  </template>
</template>
