<script setup lang="ts">
/** A page that cannot be shown: why, and where to go instead. */
defineProps<{ says: string; to: string; label: string }>()
</script>

<template>
  <div class="mx-auto max-w-xl px-4 py-10">
    <EmptyState :title="says">
      <slot />
      <template #actions
        ><AppButton kind="main" :to="to">{{ label }}</AppButton></template
      >
    </EmptyState>
  </div>
</template>
