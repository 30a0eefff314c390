<script setup lang="ts">
import type { Fixture } from '#contracts/workshop'

/** A door, a window and the like in the picture of the room. The hygrometer shows what the room is like. */
const { fixture, humidity } = defineProps<{ fixture: Fixture; humidity: number | null }>()
const { say } = storeToRefs(useWorkshop())
/** The hand of the hygrometer: 0 % at seven o'clock, 100 % at five. */
const angle = computed(() => -150 + (humidity ?? 0) * 300)
</script>

<template>
  <div class="pointer-events-none" aria-hidden="true">
    <svg
      v-if="fixture.kind === 'hygrometer'"
      viewBox="0 0 100 100"
      class="size-full"
      preserveAspectRatio="xMidYMid meet"
    >
      <circle
        cx="50"
        cy="50"
        r="46"
        fill="var(--color-field)"
        stroke="var(--color-ink)"
        stroke-width="4"
      />
      <path d="M50 16 A34 34 0 0 1 77 29" stroke="#b9d3c4" stroke-width="7" fill="none" />
      <path
        d="M77 29 A34 34 0 0 1 79 67"
        stroke="var(--color-water)"
        stroke-width="7"
        fill="none"
      />
      <path
        v-if="humidity !== null"
        d="M50 52 L50 22"
        stroke="var(--color-ink)"
        stroke-width="4"
        :transform="`rotate(${angle} 50 50)`"
      />
      <circle cx="50" cy="50" r="5" fill="var(--color-ink)" />
      <text
        x="50"
        y="82"
        text-anchor="middle"
        font-size="19"
        font-weight="700"
        fill="var(--color-ink)"
      >
        {{ humidity === null ? '?' : say.percent(humidity, 0) }}
      </text>
    </svg>
    <svg v-else viewBox="0 0 100 100" class="size-full overflow-visible" preserveAspectRatio="none">
      <g v-if="fixture.kind === 'door'" fill="none" stroke="var(--color-ink)" stroke-width="2.5">
        <rect x="1" y="0" width="80" height="100" fill="var(--color-line)" />
        <path d="M81 0 L99 7 V100 H81 Z" fill="var(--color-line-3)" />
      </g>
      <g
        v-else-if="fixture.kind === 'window'"
        fill="none"
        stroke="var(--color-ink)"
        stroke-width="2.5"
      >
        <rect x="4" y="0" width="92" height="94" fill="var(--color-act-ground)" />
        <path d="M50 0 V94 M4 47 H96 M0 97 H100" />
      </g>
      <g v-else-if="fixture.kind === 'posts'" fill="none" stroke="#5c6663" stroke-width="6">
        <path d="M0 0 V100 M100 0 V100" />
      </g>
      <g v-else fill="none" stroke="var(--color-line-3)" stroke-width="2">
        <rect x="0" y="0" width="100" height="100" fill="var(--color-sheet)" />
        <path d="M0 33 H100 M0 67 H100" />
      </g>
    </svg>
    <span
      v-if="fixture.kind === 'door' || fixture.kind === 'boxes'"
      class="absolute inset-x-0 text-center text-xs whitespace-nowrap text-ink-2"
      :class="fixture.kind === 'door' ? 'top-[45%] pr-[18%] font-semibold' : '-top-5'"
      >{{ fixture.name }}</span
    >
  </div>
</template>

<style scoped>
svg[preserveAspectRatio='none'] :deep(*) {
  vector-effect: non-scaling-stroke;
}
</style>
