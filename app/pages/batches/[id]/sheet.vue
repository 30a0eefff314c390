<script setup lang="ts">
import { Printer } from '@lucide/vue'

/** The sheet of a batch as it was frozen, once it is poured. */
const { batch, problem } = useBatchPage()
useHead({
  title: () => (batch.value ? `Sheet, batch ${batch.value.number} · Mantle` : 'Sheet · Mantle'),
})
const print = () => window.print()
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <div v-else-if="batch" class="mx-auto max-w-[900px] px-3 py-4 sm:px-6 print:p-0">
    <div class="mb-3 flex flex-wrap items-center justify-between gap-3 no-print">
      <h1 class="text-[20px]">{{ batch.name }} {{ batch.number }}, its sheet</h1>
      <div class="flex gap-3">
        <AppButton :to="`/batches/${batch.id}`">To the batch</AppButton>
        <AppButton @click="print"><Printer :size="16" /> Print</AppButton>
      </div>
    </div>
    <BatchSheet :batch="batch" />
  </div>
</template>
