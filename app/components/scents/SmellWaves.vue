<script setup lang="ts">
/** How much scent rises: no wave, or up to three. */
const { strength } = defineProps<{ strength: number }>()
const wave = (from: number, to: number, y: number) => {
  const step = (to - from) / 4
  const bends = [0, 1, 2, 3].map(
    (at) => `Q${from + step * (at + 0.5)} ${y + (at % 2 ? 5 : -5)} ${from + step * (at + 1)} ${y}`,
  )
  return `M${from} ${y}${bends.join('')}`
}
const waves = computed(() =>
  Array.from({ length: strength }, (_, nth) => {
    const half = 22 + nth * 6
    return wave(40 - half, 40 + half, 42 - nth * 15)
  }),
)
</script>

<template>
  <svg viewBox="0 0 80 50" aria-hidden="true">
    <path
      v-for="one in waves"
      :key="one"
      :d="one"
      fill="none"
      stroke="#8d6aa8"
      stroke-width="5"
      vector-effect="non-scaling-stroke"
      stroke-linecap="round"
    />
  </svg>
</template>
