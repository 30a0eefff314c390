<script setup lang="ts">
import type { Thumbnail } from '#core/formula/thumbnail'

/** A bar of soap by its face: the planed corners, the soap's colour, the wave of its pour. */
const {
  thumbnail,
  width = 44,
  height = 30,
} = defineProps<{ thumbnail: Thumbnail; width?: number; height?: number }>()
const shape = computed(() => {
  const [w, h] = [width, height]
  const c = Math.max(2, Math.min(w, h) / 6)
  const y = h * (0.5 + thumbnail.lift * 0.18)
  const swing = h * 0.13 * (thumbnail.lift > 0.5 ? 1 : -1)
  return {
    outline: `${c},0 ${w - c},0 ${w},${c} ${w},${h - c} ${w - c},${h} ${c},${h} 0,${h - c} 0,${c}`,
    wave: `M0 ${y + swing} Q${w * 0.25} ${y - swing} ${w * 0.5} ${y} T${w} ${y - swing} V${h - c} L${w - c} ${h} H${c} L0 ${h - c}Z`,
  }
})
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    aria-hidden="true"
    class="shrink-0"
  >
    <polygon :points="shape.outline" :fill="thumbnail.base" stroke="#6b7775" stroke-width="0.8" />
    <path :d="shape.wave" :fill="thumbnail.wave" />
  </svg>
</template>
