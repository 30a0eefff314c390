<script setup lang="ts">
import { batterMillilitres, potFor } from '#core/formula/volume'

/** The pot as a phone shows it beside its figures: what lies in it, to scale, without words. */
const { library } = storeToRefs(useMaterials())
const { weighed } = useFormulaEditor()
const result = computed(() => weighed.value.result)
const fill = computed(() => potFor(batterMillilitres(result.value, library.value)).fill)
const layers = computed(() => {
  const whole = result.value.batter
  let level = 100
  return potLayers(result.value, library.value).map(({ key, colour, grams }) => {
    const height = whole > 0 ? (grams / whole) * fill.value * 96 : 0
    level -= height
    return { key, colour, y: level, height }
  })
})
const id = useId()
</script>

<template>
  <svg
    viewBox="0 0 60 104"
    preserveAspectRatio="none"
    class="h-full min-h-40 w-full"
    aria-hidden="true"
  >
    <clipPath :id="id">
      <path d="M3 2 L8 97 Q8.4 100 12 100 H48 Q51.6 100 52 97 L57 2 Z" />
    </clipPath>
    <g :clip-path="`url(#${id})`">
      <rect
        v-for="layer in layers"
        :key="layer.key"
        x="0"
        width="60"
        :y="layer.y"
        :height="layer.height + 0.4"
        :fill="layer.colour"
      />
    </g>
    <path
      d="M3 2 L8 97 Q8.4 100 12 100 H48 Q51.6 100 52 97 L57 2"
      fill="none"
      stroke="var(--color-ink)"
      stroke-width="2"
      vector-effect="non-scaling-stroke"
    />
    <path
      d="M1 102 H59"
      stroke="var(--color-plank)"
      stroke-width="4"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
