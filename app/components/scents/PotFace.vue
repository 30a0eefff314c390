<script setup lang="ts">
import type { PotLook } from '~/utils/potDrawing'

/** A pot of batter from above, as it looks at a stage; to be drawn in a square of 100 with a radius of its own. */
const {
  look,
  colour = '#e7dcc0',
  radius = 36,
} = defineProps<{ look: PotLook; colour?: string; radius?: number }>()
/** What was drawn for a radius of 36. */
const scale = computed(() => `translate(50 50) scale(${radius / 36}) translate(-50 -50)`)
</script>

<template>
  <g :transform="scale">
    <circle cx="50" cy="50" r="36" :fill="look === 'seizes' ? '#5c5f5c' : colour" />
    <path
      v-if="look === 'emulsion' || look === 'smooth-again' || look === 'discolours'"
      d="M24 44 A27 27 0 0 1 44 24"
      fill="none"
      stroke="#fff"
      stroke-opacity=".75"
      stroke-width="4"
      stroke-linecap="round"
    />
    <g v-else-if="look === 'light'" fill="none" stroke="#a2926a" stroke-width="2.5">
      <path d="M26 46 q6 -8 12 0 t12 0 t12 0 t12 -1" />
      <path d="M28 60 q6 -7 11 0 t11 0 t11 0 t11 -1" />
    </g>
    <g v-else-if="look === 'medium'" fill="none" stroke-width="5" stroke-linecap="round">
      <g stroke="#8f7d55" stroke-opacity=".7" transform="translate(1.5 3)">
        <path d="M26 44 l8 -7 l8 8 l9 -8 l9 8 l8 -7" />
        <path d="M28 60 l8 -7 l8 8 l9 -8 l9 8 l8 -6" />
      </g>
      <g stroke="#fdf8ea">
        <path d="M26 44 l8 -7 l8 8 l9 -8 l9 8 l8 -7" />
        <path d="M28 60 l8 -7 l8 8 l9 -8 l9 8 l8 -6" />
      </g>
    </g>
    <g v-else-if="look === 'thick'" fill="none" stroke-linecap="round" stroke-width="5">
      <path
        d="M52 54 a5 5 0 1 1 4 -9 a12 12 0 1 1 -16 14 a20 20 0 1 1 31 6"
        stroke="#8f7d55"
        stroke-opacity=".75"
        transform="translate(1.5 2.5)"
      />
      <path d="M52 54 a5 5 0 1 1 4 -9 a12 12 0 1 1 -16 14 a20 20 0 1 1 31 6" stroke="#fdf8ea" />
    </g>
    <g v-else-if="look === 'too-far'">
      <path d="M32 62 L26 44 L40 32 L58 34 L66 50 L58 66 Z" fill="#fdf8ea" fill-opacity=".85" />
      <path
        d="M40 32 L50 48 L66 50 M50 48 L32 62"
        stroke="#a2926a"
        stroke-width="1.5"
        fill="none"
      />
      <path d="M78 22 L54 50" stroke="#a06b2d" stroke-width="6" stroke-linecap="round" />
      <path d="M54 50 l-5 5" stroke="#3b2c17" stroke-width="4" stroke-linecap="round" />
    </g>
    <g v-else-if="look === 'rices'" fill="#b8a67b">
      <path
        v-for="(grain, nth) in [
          [34, 34],
          [48, 28],
          [62, 36],
          [30, 50],
          [44, 44],
          [58, 50],
          [70, 52],
          [36, 64],
          [50, 60],
          [62, 66],
          [48, 74],
        ]"
        :key="nth"
        :d="`M${grain[0]} ${grain[1]} l4 2 l-1 3 l-4 -2 Z`"
        :fill="nth % 2 ? '#fdf8ea' : '#a2926a'"
      />
    </g>
    <path
      v-else-if="look === 'seizes'"
      d="M34 60 L32 42 L46 32 L62 38 L66 54 L54 68 Z"
      fill="#fdf8ea"
      stroke="#b3a98d"
      stroke-width="2"
    />
    <g v-else-if="look === 'loosens'" fill="none" stroke="#a2926a" stroke-width="2.5">
      <ellipse cx="50" cy="52" rx="22" ry="15" />
      <ellipse cx="50" cy="52" rx="13" ry="8" />
      <ellipse cx="50" cy="52" rx="5" ry="3" fill="#a2926a" />
    </g>
    <g v-else-if="look === 'separates'">
      <circle cx="40" cy="40" r="7" fill="#c9982c" />
      <circle cx="62" cy="46" r="9" fill="#c9982c" />
      <circle cx="46" cy="62" r="6" fill="#c9982c" />
      <circle cx="58" cy="68" r="3.5" fill="#c9982c" />
      <circle cx="34" cy="56" r="3.5" fill="#c9982c" />
    </g>
  </g>
</template>
