<script setup lang="ts">
import type { Judged } from '#contracts/scent'

/** Claims as a row of marks: full where they held, struck where they did not. */
defineProps<{ judged: readonly Judged[] }>()
</script>

<template>
  <span class="flex flex-wrap gap-[5px]" aria-hidden="true">
    <svg
      v-for="(one, at) in judged"
      :key="at"
      viewBox="0 0 10 14"
      class="h-[13px] w-[9px] overflow-visible"
    >
      <rect v-if="one.held" x="0" y="0" width="9" height="13" fill="var(--color-ok)" />
      <g v-else stroke="var(--color-warn)" stroke-width="1.6" fill="none">
        <rect x="0.8" y="0.8" width="7.4" height="11.4" />
        <path d="M-2 14 L11 -1" />
      </g>
    </svg>
  </span>
</template>
