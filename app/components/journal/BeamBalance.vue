<script setup lang="ts">
/** What else differed, as a beam balance: the heavier side hangs lower. `tilt`: how far, above 0 where the left side has more. */
const { tilt } = defineProps<{ tilt: number }>()
/** Degrees; two spreads apart hang as far as it goes. */
const turn = computed(() => Math.max(-18, Math.min(18, tilt * 9)))
const pans = computed(() => {
  const angle = (-turn.value * Math.PI) / 180
  return [-28, 28].map((arm) => ({
    x: 38 + arm * Math.cos(angle),
    y: 12 + arm * Math.sin(angle),
  }))
})
</script>

<template>
  <svg width="76" height="50" class="shrink-0" aria-hidden="true">
    <path d="M38 12V44M26 45H50" class="stroke-ink-2" stroke-width="2" />
    <path
      :d="`M${pans[0]!.x} ${pans[0]!.y}L${pans[1]!.x} ${pans[1]!.y}`"
      class="stroke-ink"
      stroke-width="3"
    />
    <g v-for="(pan, side) in pans" :key="side">
      <path :d="`M${pan.x} ${pan.y}l-8 14h16z`" fill="none" class="stroke-line-3" />
      <path
        :d="`M${pan.x - 10} ${pan.y + 14}h20q-2 7 -10 7t-10 -7z`"
        :fill="side ? '#cdd5d2' : '#6f8f86'"
        class="stroke-ink"
        stroke-width=".8"
      />
    </g>
  </svg>
</template>
