<script setup lang="ts">
/** A field under its name. */
const { says } = defineProps<{ says: string }>()
</script>

<template>
  <label class="grid content-start gap-1 font-semibold">{{ says }}<slot /></label>
</template>
