<script setup lang="ts">
/** What is normal here and what is not, in two short lines. */
defineProps<{ lines: { normal: string; not: string } }>()
</script>

<template>
  <div class="grid gap-1">
    <p><b class="text-[#9fd1b8]">Normal:</b> {{ lines.normal }}</p>
    <p><b class="text-[#ff8d75]">Not:</b> {{ lines.not }}</p>
  </div>
</template>
