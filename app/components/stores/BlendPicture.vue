<script setup lang="ts">
import type { BlendKind } from '#contracts/storeWords'
import type { BlendPart } from '~/composables/useBlending'
import { blendVessel } from '~/utils/blendSteps'
import { vesselShapes } from '~/utils/vesselShapes'

/** The vessel of a stock, filled with what it is made of and ruled in batches. */
const { kind, parts, batches, spare } = defineProps<{
  kind: BlendKind
  parts: BlendPart[]
  batches: number
  spare: number
}>()
const { say } = storeToRefs(useWorkshop())
const id = useId()
const [wide, high] = [170, 196]
const shape = computed(() => vesselShapes[blendVessel[kind]](wide, high))
/** What is in it, to four fifths of its height; a solution is one thing. */
const whole = (high - 30) * 0.86
const layers = computed(() => {
  let y = high
  return (kind === 'oils' ? parts : parts.slice(-1)).map((part) => {
    const tall = kind === 'oils' ? part.share * whole : whole
    y -= tall
    return { ...part, colour: kind === 'lye' ? '#e07a63' : part.colour, y, tall }
  })
})
const notches = computed(() => {
  const all = Math.max(1, batches)
  const step = all > 12 ? 6 : all > 6 ? 3 : 1
  return Array.from({ length: all + 1 }, (_, nth) => ({
    nth,
    y: high - (nth / all / (1 + spare) + spare / (1 + spare)) * whole,
    says:
      nth % step === 0
        ? nth === 0
          ? 'only the spare'
          : say.value.count(nth, 'pour', 'pours')
        : '',
  }))
})
</script>

<template>
  <svg viewBox="-24 -10 330 218" class="mt-1 w-full" aria-hidden="true">
    <defs>
      <clipPath :id="id"><path :d="shape.outline" /></clipPath>
    </defs>
    <rect x="-24" :y="high" width="310" height="8" fill="#7d8784" />
    <path :d="shape.outline" fill="#fff" />
    <g :clip-path="`url(#${id})`">
      <rect
        v-for="layer in layers"
        :key="layer.thing"
        x="-6"
        :y="layer.y"
        :width="wide + 12"
        :height="layer.tall"
        :fill="layer.colour"
      />
    </g>
    <VesselEdge :shape="shape" :stroke="3" />
    <g v-if="kind === 'lye'" :transform="`translate(${wide * 0.4} ${high * 0.66})`">
      <path d="M0 -34 L34 0 L0 34 L-34 0Z" fill="#fff" stroke="#b3261e" stroke-width="5" />
      <path d="M0 -15V4M0 12V15" stroke="#b3261e" stroke-width="6" stroke-linecap="round" />
    </g>
    <template v-if="kind === 'oils'">
      <text
        v-for="layer in layers.filter(({ share }) => share > 0.09)"
        :key="`t${layer.thing}`"
        x="74"
        :y="layer.y + layer.tall / 2 + 4"
        text-anchor="middle"
        font-size="12"
        font-weight="700"
        fill="#182022"
        stroke="#fff"
        stroke-width="2.5"
        paint-order="stroke"
      >
        {{ layer.name.split(',')[0] }} {{ say.amount(layer.grams) }}
      </text>
    </template>
    <g v-for="notch in parts.length ? notches : []" :key="notch.nth">
      <path :d="`M${notch.says ? 150 : 158} ${notch.y} H172`" stroke="#20292b" stroke-width="1.5" />
      <text
        v-if="notch.says"
        x="180"
        :y="notch.y + 4"
        font-size="12"
        fill="currentColor"
        font-weight="600"
      >
        {{ notch.says }}
      </text>
    </g>
  </svg>
  <ul v-if="kind !== 'oils'" class="mt-1">
    <li v-for="part in parts" :key="part.thing" class="flex items-center gap-2">
      <span class="size-3.5 border border-ink/30" :style="{ background: part.colour }" />
      <span :class="part.thing === 'naoh' ? 'text-stop' : ''">{{ part.name.split(',')[0] }}</span>
      <b class="figure ml-auto" :class="part.thing === 'naoh' ? 'text-stop' : ''">{{
        say.mass(part.grams)
      }}</b>
    </li>
  </ul>
</template>
