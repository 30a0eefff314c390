<script setup lang="ts">
import type { VesselForm } from '#contracts/storeWords'
import { vesselShapes, vesselSizes } from '~/utils/vesselShapes'

/** A vessel of the stores: filled to its level, striped where it is reserved, in layers where it is blended. */
const {
  form,
  fill,
  colour,
  reserved = 0,
  strata = [],
  scale = 1,
} = defineProps<{
  form: VesselForm
  /** Share of what came that is still there. */
  fill: number
  colour: string
  /** Share of what came that is reserved: the top of what is there. */
  reserved?: number
  /** Of a blend: its parts from the bottom. */
  strata?: { colour: string; share: number }[]
  hazard?: boolean
  /** Held: it is not to be used. */
  crossed?: boolean
  /** Ordered and not here: an outline. */
  missing?: boolean
  scale?: number
}>()
const [w, h] = vesselSizes[form]
const id = useId()
const shape = computed(() => vesselShapes[form](w, h))
const inside = computed(() => h - shape.value.top)
const level = computed(() => h - inside.value * Math.min(1, Math.max(0, fill)))
const layers = computed(() => {
  let y = h
  return strata.map((one) => {
    const height = (h - level.value) * one.share
    y -= height
    return { colour: one.colour, y, height: height + 0.4 }
  })
})
const stripes = computed(() => Math.min(h - level.value, inside.value * reserved))
</script>

<template>
  <svg
    :width="(w + 8) * scale"
    :height="(h + 8) * scale"
    :viewBox="`-4 -6 ${w + 8} ${h + 8}`"
    class="overflow-visible text-ink"
    aria-hidden="true"
  >
    <defs>
      <clipPath :id="`${id}c`"><path :d="shape.outline" /></clipPath>
      <pattern
        :id="`${id}s`"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="2.4" height="6" fill="#fbfcfa" />
      </pattern>
    </defs>
    <path
      v-if="missing"
      :d="shape.outline"
      fill="none"
      stroke="#8f5208"
      stroke-width="2"
      stroke-dasharray="5 4"
    />
    <template v-else>
      <path :d="shape.outline" fill="#fff" />
      <g :clip-path="`url(#${id}c)`">
        <rect
          v-for="(layer, nth) in layers"
          :key="nth"
          x="-6"
          :y="layer.y"
          :width="w + 12"
          :height="layer.height"
          :fill="layer.colour"
        />
        <rect
          v-if="!layers.length"
          x="-6"
          :y="level"
          :width="w + 12"
          :height="Math.max(0, h - level)"
          :fill="colour"
        />
        <template v-if="stripes > 0.5">
          <rect x="-6" :y="level" :width="w + 12" :height="stripes" :fill="`url(#${id}s)`" />
          <path
            :d="`M-6 ${level + stripes}H${w + 6}`"
            stroke="#20292b"
            stroke-width="1.2"
            stroke-dasharray="3 2"
          />
        </template>
        <path :d="`M-6 ${level}H${w + 6}`" stroke="#20292b" opacity="0.55" />
      </g>
      <VesselEdge :shape="shape" :stroke="2" />
      <g v-if="hazard" :transform="`translate(${w / 2} ${h * 0.66})`">
        <path d="M0 -13 L13 0 L0 13 L-13 0Z" fill="#fff" stroke="#b3261e" stroke-width="2.5" />
        <path d="M0 -6V2M0 5V6.5" stroke="#b3261e" stroke-width="2.6" stroke-linecap="round" />
      </g>
      <path
        v-if="crossed"
        :d="`M${w * 0.2} ${h * 0.52} L${w * 0.8} ${h * 0.88} M${w * 0.8} ${h * 0.52} L${w * 0.2} ${h * 0.88}`"
        stroke="#b3261e"
        stroke-width="3"
      />
    </template>
  </svg>
</template>
