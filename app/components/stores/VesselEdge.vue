<script setup lang="ts">
import type { VesselShape } from '~/utils/vesselShapes'

/** The edge of a vessel and what is on top of it, over whatever is in it. */
defineProps<{ shape: VesselShape; stroke: number }>()
</script>

<template>
  <g>
    <path
      :d="shape.outline"
      fill="none"
      stroke="currentColor"
      :stroke-width="stroke"
      stroke-linejoin="round"
    />
    <path
      v-for="(part, nth) in shape.lid"
      :key="nth"
      :d="part.d"
      :fill="part.fill"
      :stroke="part.stroke"
      :stroke-width="part.width"
    />
  </g>
</template>
