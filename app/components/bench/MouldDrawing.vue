<script setup lang="ts">
import { sumOf } from '#core/statistics/sum'

/** The mould from the side with its layers in their order, propped up where they slant, or with what is poured together. */
const {
  layers,
  oneByOne = true,
  propped = false,
  note = '',
} = defineProps<{
  /** g of batter each; whether it is in the mould, on its way there, or to come. */
  layers: { colour: string; batter: number; stands: 'in' | 'on' | 'taken' | 'to come' }[]
  /** What it shows, in a sentence. */
  says: string
  oneByOne?: boolean
  propped?: boolean
  note?: string
  /** It lies on paper, not on the dark bench. */
  paper?: boolean
}>()
const whole = computed(() => sumOf(layers, ({ batter }) => batter) || 1)
const left = 40
const right = 260
const floor = 176
const full = 140
const drawn = computed(() => {
  let level = floor
  const width = (right - left) / layers.length
  return layers.map((layer, index) => {
    const height = oneByOne || layers.length === 1 ? (layer.batter / whole.value) * full : full
    if (oneByOne) level -= height
    return {
      ...layer,
      x: oneByOne ? left : left + width * index,
      width: oneByOne ? right - left : width,
      y: oneByOne ? level : floor - full,
      height,
    }
  })
})
/** Dark figures on light layers, light ones on dark. */
const figureOn = (colour: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16))
  return r! * 0.3 + g! * 0.59 + b! * 0.11 > 140 ? '#182022' : '#ffffff'
}
const opacity = computed(() =>
  oneByOne
    ? { in: 1, taken: 1, on: 0.6, 'to come': 0 }
    : { in: 1, taken: 1, on: 0.55, 'to come': 0.55 },
)
</script>

<template>
  <svg viewBox="0 0 300 206" class="figure h-auto w-full" role="img" :aria-label="says">
    <rect x="14" y="192" width="272" height="6" fill="#6f7d7b" />
    <rect
      v-if="propped"
      x="34"
      y="172"
      width="26"
      height="20"
      :fill="paper ? '#9aa8a6' : '#4c5a5c'"
    />
    <g :transform="propped ? 'rotate(7 260 190)' : ''">
      <g v-for="(layer, index) in drawn" :key="index">
        <rect
          :x="layer.x"
          :width="layer.width"
          :y="layer.y"
          :height="layer.height"
          :fill="layer.colour"
          :opacity="opacity[layer.stands]"
          :stroke="
            oneByOne && (layer.stands === 'on' || layer.stands === 'taken') ? '#f2ead6' : 'none'
          "
          stroke-width="2"
        />
        <path
          v-if="oneByOne && layer.stands === 'to come'"
          :d="`M${left} ${layer.y}H${right}`"
          stroke="#394547"
        />
        <text
          v-if="layers.length > 1"
          :x="layer.x + layer.width / 2"
          :y="oneByOne ? layer.y + layer.height / 2 + 5 : floor - 60"
          text-anchor="middle"
          :font-size="layer.stands === 'on' ? 17 : 14"
          :font-weight="layer.stands === 'on' ? 800 : 600"
          :fill="layer.stands === 'to come' ? '#9aa8a6' : figureOn(layer.colour)"
        >
          {{ index + 1 }}
        </text>
      </g>
      <path
        :d="`M${left - 4} 12 V${floor + 3} H${right + 4} V12`"
        fill="none"
        :stroke="paper ? '#182022' : '#b9c5c3'"
        stroke-width="4"
      />
    </g>
    <text
      v-if="note"
      x="150"
      y="10"
      text-anchor="middle"
      font-size="13"
      :fill="paper ? '#4c5a5c' : '#b9c5c3'"
    >
      {{ note }}
    </text>
  </svg>
</template>
