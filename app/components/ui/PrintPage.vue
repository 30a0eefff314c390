<script setup lang="ts">
import { Printer } from '@lucide/vue'

/** A page that goes on paper as it is: what is done with it stands above, and is not printed. */
const { title = '' } = defineProps<{ title?: string }>()
const print = () => window.print()
</script>

<template>
  <div class="mx-auto max-w-[900px] px-3 py-4 sm:px-6 print:p-0">
    <div class="mb-3 flex flex-wrap items-center justify-between gap-3 no-print">
      <h1 v-if="title" class="text-[20px]">{{ title }}</h1>
      <slot name="back" />
      <div class="flex flex-wrap gap-3">
        <slot name="actions" />
        <AppButton @click="print"><Printer :size="16" /> Print</AppButton>
      </div>
    </div>
    <slot />
  </div>
</template>
