<script setup lang="ts">
import type { BatterStage } from '#contracts/benchWords'

/** What a stage looks like: the bowl from the side, the lifted spoon and what it leaves behind. */
const { stage, colour = '#e7d9b0' } = defineProps<{ stage: BatterStage; colour?: string }>()
</script>

<template>
  <svg viewBox="0 0 120 70" class="h-[52px] w-[90px] shrink-0" aria-hidden="true">
    <path d="M6 22 Q8 66 34 66 H86 Q112 66 114 22 Z" :fill="colour" stroke="#6d7b7c" />
    <template v-if="stage === 'cloudy'">
      <ellipse cx="38" cy="24" rx="16" ry="4" fill="#c9a64d" />
      <ellipse cx="78" cy="28" rx="13" ry="3.5" fill="#c9a64d" />
      <circle cx="60" cy="44" r="5" fill="#fff8" />
      <circle cx="84" cy="48" r="4" fill="#fff8" />
    </template>
    <path
      v-else-if="stage === 'emulsion'"
      d="M6 22 H114"
      stroke="#fff"
      stroke-width="2"
      opacity=".7"
    />
    <path
      v-else-if="stage === 'light'"
      d="M30 24 Q44 18 58 24 T90 24"
      fill="none"
      stroke="#8d7b45"
      stroke-width="2.5"
    />
    <g v-else-if="stage === 'medium'" fill="none" stroke="#8d7b45" stroke-width="4">
      <path d="M22 22 Q34 10 46 20 T72 18 T98 21" />
    </g>
    <path
      v-else-if="stage === 'thick'"
      d="M18 22 L32 8 L42 20 L58 4 L70 20 L86 9 L102 22 Z"
      :fill="colour"
      stroke="#8d7b45"
      stroke-width="2"
    />
    <path
      v-else
      d="M20 24 V6 Q60 -4 100 6 V24 Z"
      :fill="colour"
      stroke="#8d7b45"
      stroke-width="2"
    />
    <path
      v-if="stage !== 'too-far' && stage !== 'thick'"
      d="M96 2 L88 18"
      stroke="#b9c5c3"
      stroke-width="4"
      stroke-linecap="round"
    />
  </svg>
</template>
