<script setup lang="ts">
/** A jar with its code; its lid beside it where it is open, a tick on it where it was smelt. */
const {
  code = '',
  batter = '#d8d8cc',
  state = 'shut',
} = defineProps<{ code?: string; batter?: string; state?: 'shut' | 'open' | 'done' }>()
</script>

<template>
  <svg viewBox="0 0 76 78" aria-hidden="true">
    <template v-if="state === 'open'">
      <path
        d="M3 4 H73 L65 75 H11 Z"
        fill="#fff"
        stroke="#182022"
        stroke-width="2.5"
        vector-effect="non-scaling-stroke"
      />
      <path
        d="M6 33 H70 L65 75 H11 Z"
        :fill="batter"
        stroke="#182022"
        stroke-width="2.5"
        vector-effect="non-scaling-stroke"
      />
      <text
        x="38"
        y="25"
        text-anchor="middle"
        class="font-mono"
        font-size="17"
        font-weight="700"
        fill="#182022"
        text-decoration="underline"
      >
        {{ code }}
      </text>
    </template>
    <template v-else>
      <path
        d="M8 12 H68 L61 75 H15 Z"
        :fill="state === 'done' ? '#dbe5df' : '#c6cfcc'"
        stroke="#8a9794"
      />
      <path d="M4 3 H72 V13 H4 Z" fill="#8a9794" />
      <path
        v-if="state === 'done'"
        d="M26 44 L35 53 L51 35"
        fill="none"
        stroke="#2a6d4e"
        stroke-width="6"
      />
    </template>
  </svg>
</template>
