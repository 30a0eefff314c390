<script setup lang="ts">
/** The sheet of a batch as it was frozen, once it is poured. */
const { batch, problem } = useBatchPage()
useHead({
  title: () => (batch.value ? `Sheet, batch ${batch.value.number} · Mantle` : 'Sheet · Mantle'),
})
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <PrintPage v-else-if="batch" :title="`${batch.name} ${batch.number}, its sheet`">
    <template #actions><AppButton :to="`/batches/${batch.id}`">To the batch</AppButton></template>
    <BatchSheet :batch="batch" />
  </PrintPage>
</template>
