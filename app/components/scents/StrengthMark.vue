<script setup lang="ts">
/** How strong a jar smells: three bars, as many full; a line for gone, nothing where nobody sniffed. */
defineProps<{ strength: 0 | 1 | 2 | 3 | null }>()
</script>

<template>
  <svg viewBox="0 0 13 26" class="h-[26px] w-[13px]" aria-hidden="true">
    <template v-if="strength !== null">
      <rect
        v-for="bar in strength"
        :key="bar"
        x="0"
        :y="28 - bar * 9"
        width="12"
        height="6"
        fill="#8d6aa8"
      />
      <rect v-if="!strength" x="0" y="23" width="12" height="2" fill="#8a9794" />
    </template>
  </svg>
</template>
