<script setup lang="ts">
import type { Trait } from '#contracts/words'
import { traitRules } from '#core/character/coefficients'
import { standing, type Regions } from '#core/character/regions'
import { shownTrait, type Traits } from '#core/character/traits'
import { sayTrait } from '#core/character/words'

/** Two traits as a map: the region of the use, where the bar is, and where it was in the last version. */
const {
  x,
  y,
  traits,
  regions,
  before = null,
} = defineProps<{
  x: Trait
  y: Trait
  traits: Traits
  regions: Regions
  before?: Traits | null
}>()
const width = 132
const height = 114
const px = (value: number) => (shownTrait(value) / 100) * width
const py = (value: number) => height - (shownTrait(value) / 100) * height
const region = computed(() => {
  const [left, right] = regions[x].map(px) as [number, number]
  const [bottom, top] = regions[y].map(py) as [number, number]
  return { x: left, y: top, width: right - left, height: bottom - top }
})
const inside = computed(
  () =>
    standing(traits[x], regions[x]) === 'inside' && standing(traits[y], regions[y]) === 'inside',
)
const spoken = computed(
  () => `${sayTrait(x, traits[x], regions[x])}; ${sayTrait(y, traits[y], regions[y])}.`,
)
</script>

<template>
  <svg
    :viewBox="`-16 0 ${width + 18} ${height + 16}`"
    :width="width + 18"
    :height="height + 16"
    role="img"
    :aria-label="spoken"
    class="shrink-0"
  >
    <rect :width="width" :height="height" fill="var(--color-line-2)" />
    <rect
      v-bind="region"
      :rx="Math.min(region.width, region.height) / 2.6"
      fill="var(--color-ok-ground)"
      stroke="#7fae95"
      stroke-width="1"
    />
    <template v-if="before">
      <line
        :x1="px(before[x])"
        :y1="py(before[y])"
        :x2="px(traits[x])"
        :y2="py(traits[y])"
        stroke="var(--color-ink-2)"
      />
      <circle
        :cx="px(before[x])"
        :cy="py(before[y])"
        r="4"
        fill="var(--color-sheet)"
        stroke="var(--color-ink-2)"
      />
    </template>
    <circle v-if="inside" :cx="px(traits[x])" :cy="py(traits[y])" r="6" fill="var(--color-ink)" />
    <path
      v-else
      :d="`M${px(traits[x])} ${py(traits[y]) - 7} l7 7 -7 7 -7 -7 z`"
      fill="#8a4b00"
      stroke="var(--color-sheet)"
    />
    <g font-size="11" fill="var(--color-ink-2)">
      <text x="0" :y="height + 12">{{ traitRules[x].ends[0] }}</text>
      <text :x="width" :y="height + 12" text-anchor="end">{{ traitRules[x].ends[1] }}</text>
      <text :transform="`translate(-5 ${height}) rotate(-90)`">{{ traitRules[y].ends[0] }}</text>
      <text transform="translate(-5 0) rotate(-90)" text-anchor="end">
        {{ traitRules[y].ends[1] }}
      </text>
    </g>
  </svg>
</template>
