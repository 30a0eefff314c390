<script setup lang="ts">
/** The sign for what eats skin and metal: a diamond with a hand and a bar under drops. */
const { size = 96 } = defineProps<{ size?: number }>()
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 100 100" role="img" aria-label="Corrosive">
    <path d="M50 4 L96 50 L50 96 L4 50 Z" fill="#fff" stroke="#b3261e" stroke-width="6" />
    <g fill="#111">
      <path d="M26 40 l16 -7 3 6 -16 7 z M56 33 l16 7 -3 6 -16 -7 z" />
      <path
        d="M40 48 q-3 5 0 7 3 -2 0 -7 M46 55 q-3 5 0 7 3 -2 0 -7 M58 48 q-3 5 0 7 3 -2 0 -7 M64 55 q-3 5 0 7 3 -2 0 -7"
      />
      <path d="M26 66 h22 v5 q-4 -3 -8 0 -6 2 -8 -2 l-6 0 z" />
      <path d="M52 66 h24 v6 h-8 q-3 -5 -7 0 h-9 z" />
    </g>
  </svg>
</template>
