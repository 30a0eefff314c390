<script setup lang="ts">
/** What an empty screen says: the next step, with one real example. */
defineProps<{ title: string }>()
</script>

<template>
  <div class="sheet px-6 py-10 text-center">
    <p class="text-[17px] font-bold">{{ title }}</p>
    <div class="mx-auto mt-2 max-w-md text-ink-2"><slot /></div>
    <div v-if="$slots.actions" class="mt-5 flex flex-wrap justify-center gap-3">
      <slot name="actions" />
    </div>
  </div>
</template>
