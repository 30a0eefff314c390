<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Stretch } from '#core/trials/stretches'
import { hour, ribbonPath } from '~/utils/potDrawing'

/** A pot's hour as a ribbon, slow to fast, with plain batter's medium as a dotted line. */
const {
  stretches,
  minutes = hour,
  height = 26,
  plain = null,
  riced = null,
  ticks = true,
} = defineProps<{
  stretches: readonly Stretch[]
  colour: string
  /** Minutes that it is long. */
  minutes?: number
  height?: number
  /** Minute at which plain batter was medium. */
  plain?: number | null
  riced?: { from: number; to: number | null } | null
  ticks?: boolean
}>()
const host = ref<HTMLElement | null>(null)
const { width: measured } = useElementSize(host)
const width = computed(() => measured.value || 240)
const path = computed(() =>
  ribbonPath(stretches, { width: width.value, height: height - 2, minutes }),
)
const x = (minute: number) => (Math.min(minute, minutes) / minutes) * width.value
</script>

<template>
  <div ref="host" class="relative" :style="{ height: `${height + 3}px` }">
    <svg
      class="absolute inset-0 overflow-visible"
      :width="width"
      :height="height + 3"
      aria-hidden="true"
    >
      <path :d="`M0 ${height - 2} H${width}`" stroke="var(--color-line-3)" stroke-opacity=".6" />
      <template v-if="ticks">
        <path
          v-for="at in Math.floor(minutes / 15) + 1"
          :key="at"
          :d="`M${x((at - 1) * 15)} ${height - 2} v4`"
          stroke="var(--color-line-3)"
        />
      </template>
      <path :d="path" :fill="colour" />
      <path
        v-if="riced"
        :d="`M${x(riced.from)} 4 q3 -4 5 0 m2 -1 q3 -4 5 0 m2 2 q3 -4 5 0`"
        fill="none"
        stroke="var(--color-ink-2)"
        stroke-width="1.6"
      />
      <path
        v-if="plain !== null"
        :d="`M${x(plain)} -2 V${height}`"
        stroke="var(--color-ink)"
        stroke-width="1.5"
        stroke-dasharray="2 3"
      />
    </svg>
  </div>
</template>
