<script setup lang="ts">
import type { Trouble } from '#contracts/rackWords'
import type { Thumbnail } from '#contracts/thumbnail'

/** The face of a batch with a trouble drawn over it. */
const {
  thumbnail,
  trouble,
  width = 56,
  height = 40,
} = defineProps<{
  thumbnail: Thumbnail
  trouble: Trouble | null
  width?: number
  height?: number
}>()
/** Places on the face, per cent, that look like chance and are the same each time. */
const places = [
  [22, 32],
  [56, 40],
  [38, 68],
  [72, 62],
  [78, 24],
  [26, 82],
  [46, 22],
  [62, 82],
]
const r = computed(() => Math.min(width, height) * 0.045)
/** Thin over the top, thicker in places. */
const veil = computed(() => {
  const [w, h] = [width, height]
  return `M${w * 0.14} ${h * 0.04}H${w * 0.86}V${h * 0.2}q${-w * 0.09} ${h * 0.14} ${-w * 0.18} ${h * 0.02}t${-w * 0.18} ${h * 0.04}t${-w * 0.18} ${-h * 0.06}t${-w * 0.18} ${h * 0.02}Z`
})
/** Jagged along the right edge, where corners broke off. */
const broken = computed(() => {
  const [w, h] = [width, height]
  const steps = [0.86, 0.94, 0.8, 0.9, 0.76, 0.88, 0.8, 0.92]
  const edge = steps.map((x, at) => `L${w * x} ${(h * (at + 1)) / steps.length}`).join('')
  return `M${w} 0L${w * 0.9} 0${edge}L${w} ${h}Z`
})
</script>

<template>
  <span
    class="relative inline-block shrink-0"
    :style="{ width: `${width}px`, height: `${height}px` }"
  >
    <BarThumbnail :thumbnail="thumbnail" :width="width" :height="height" />
    <svg class="absolute inset-0" :width="width" :height="height" aria-hidden="true" fill="none">
      <template v-if="trouble === 'orange-spots'">
        <template v-for="([x, y], at) in places.slice(0, 6)" :key="at">
          <circle
            :cx="`${x}%`"
            :cy="`${y}%`"
            :r="r * (at % 3 ? 2 : 2.9)"
            fill="#c8813a"
            opacity="0.5"
          />
          <circle :cx="`${x}%`" :cy="`${y}%`" :r="r * (at % 3 ? 1 : 1.6)" fill="#b0591a" />
        </template>
      </template>
      <path v-else-if="trouble === 'ash'" :d="veil" fill="#fdfdfb" opacity="0.88" />
      <g v-else-if="trouble === 'crystals'" stroke="#ffffff" :stroke-width="Math.max(1, r * 0.7)">
        <line
          v-for="([x, y], at) in places"
          :key="at"
          :x1="`${x! - 5}%`"
          :y1="`${y! + (at % 2 ? 6 : -6)}%`"
          :x2="`${x! + 5}%`"
          :y2="`${y! - (at % 2 ? 6 : -6)}%`"
        />
      </g>
      <g v-else-if="trouble === 'sweating'" fill="#dff0f6" stroke="#5d8ea3" :stroke-width="r * 0.4">
        <circle v-for="([x, y], at) in places" :key="at" :cx="`${x}%`" :cy="`${y}%`" :r="r * 1.3" />
      </g>
      <path
        v-else-if="trouble === 'cracks'"
        :d="`M${width * 0.14} ${height * 0.3}L${width * 0.34} ${height * 0.42}L${width * 0.5} ${height * 0.32}L${width * 0.66} ${height * 0.46}L${width * 0.86} ${height * 0.36}`"
        stroke="#3a2a1c"
        :stroke-width="r * 1.3"
      />
      <ellipse
        v-else-if="trouble === 'rings'"
        cx="50%"
        cy="52%"
        rx="30%"
        ry="28%"
        fill="#5a3d1c"
        opacity="0.32"
      />
      <ellipse
        v-else-if="trouble === 'soft'"
        cx="52%"
        cy="50%"
        rx="16%"
        ry="22%"
        fill="#000000"
        opacity="0.16"
        stroke="#3a2a1c"
        :stroke-width="r * 0.5"
      />
      <g v-else-if="trouble === 'air'" fill="#3a2a1c" opacity="0.6">
        <circle
          v-for="([x, y], at) in places"
          :key="at"
          :cx="`${x}%`"
          :cy="`${y}%`"
          :r="r * (0.9 + (at % 3) * 0.5)"
        />
      </g>
      <path v-else-if="trouble === 'crumbled'" :d="broken" fill="var(--color-sheet)" />
      <g v-else-if="trouble === 'specks'" fill="#3a2a1c">
        <circle v-for="([x, y], at) in places" :key="at" :cx="`${x}%`" :cy="`${y}%`" :r="r * 0.8" />
      </g>
      <g
        v-else-if="trouble === 'coloured-lather'"
        fill="#c9a6c0"
        stroke="#7d5a75"
        :stroke-width="r * 0.4"
      >
        <circle
          v-for="at in 5"
          :key="at"
          :cx="`${at * 17}%`"
          :cy="`${14 + (at % 2) * 8}%`"
          :r="r * 2.1"
          opacity="0.9"
        />
      </g>
      <g
        v-else-if="trouble === 'scent-gone'"
        stroke="#4c595b"
        :stroke-width="r * 0.8"
        stroke-dasharray="3 3"
      >
        <path
          v-for="at in 3"
          :key="at"
          :d="`M${width * (0.26 + at * 0.12)} ${height * 0.76}q${width * 0.06} ${-height * 0.14} 0 ${-height * 0.28}t0 ${-height * 0.28}`"
        />
      </g>
      <template v-else-if="trouble === 'oil-on-top'">
        <rect x="10%" y="8%" width="80%" height="22%" fill="#c9a23a" opacity="0.85" />
        <rect x="10%" y="30%" width="80%" height="5%" fill="#dff0f6" opacity="0.9" />
      </template>
    </svg>
  </span>
</template>
