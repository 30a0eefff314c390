<script setup lang="ts">
import type { FormulaResult } from '#contracts/result'
import { batterMillilitres, potFor } from '#core/formula/volume'
import { inSentence } from '#core/units/language'

/** One of several pots that are compared: filled in the order of pouring, what is thick enough named inside. */
const { result, missing = '' } = defineProps<{
  result: FormulaResult
  /** What is not decided yet, and so not in it. */
  missing?: string
}>()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const inside = 186
const bands = computed(() => {
  const { fill } = potFor(batterMillilitres(result, library.value))
  let level = 196
  return potLayers(result, library.value).map((layer) => {
    const height = result.batter > 0 ? (layer.grams / result.batter) * fill * inside : 0
    level -= height
    const amount = layer.strong ? say.value.massDown(layer.grams) : say.value.mass(layer.grams)
    const named =
      layer.strong || layer.key === 'water'
        ? `${inSentence(layer.label)} ${amount}`
        : layer.key.startsWith('fat-')
          ? `${layer.label} ${say.value.percent(layer.grams / result.oils, 0)}`
          : layer.label
    return {
      ...layer,
      y: level,
      height,
      text: height > 13 ? named : '',
      ink: layer.strong ? '#fff' : '#182022',
    }
  })
})
const top = computed(() => Math.min(...bands.value.map(({ y }) => y), 196))
</script>

<template>
  <svg viewBox="0 0 164 204" class="w-full max-w-[164px]" aria-hidden="true" font-size="12.5">
    <g clip-path="url(#side-pot)">
      <rect
        v-for="band in bands"
        :key="band.key"
        x="8"
        :y="band.y"
        width="148"
        :height="band.height + 0.5"
        :fill="band.colour"
      />
    </g>
    <clipPath id="side-pot">
      <path d="M10 0 H154 L145 190 Q144 196 138 196 H26 Q20 196 19 190 Z" />
    </clipPath>
    <path
      d="M10 0 L19 190 Q20 196 26 196 H138 Q144 196 145 190 L154 0"
      fill="none"
      stroke="var(--color-ink)"
      stroke-width="3"
    />
    <path d="M0 200 H164" stroke="var(--color-ink-3)" stroke-width="4" />
    <text
      v-for="band in bands"
      :key="band.key"
      x="82"
      :y="band.y + band.height / 2 + 4"
      text-anchor="middle"
      font-weight="650"
      :fill="band.ink"
    >
      {{ band.text }}
    </text>
    <g v-if="missing">
      <rect
        x="14"
        :y="top - 16"
        width="136"
        height="14"
        fill="none"
        stroke="#8f5208"
        stroke-width="1.5"
        stroke-dasharray="4 2"
      />
      <text x="82" :y="top - 21" text-anchor="middle" font-weight="700" fill="#6b3d06">
        {{ missing }}
      </text>
    </g>
  </svg>
</template>
