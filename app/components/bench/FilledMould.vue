<script setup lang="ts">
import { sumOf } from '#core/statistics/sum'
import { patternsOf } from '#core/formula/method'

/** The mould from the side, filling up: layers in their order, propped up where they are to slant, or what is poured together. */
const bench = useBench()
const { ctx, plan, done } = bench
const { rows, below } = useLayers(bench)
const say = computed(() => ctx.value.say)
const oneByOne = computed(() =>
  plan.value.steps.some(({ kind, pot }) => kind === 'pour' && pot !== undefined),
)
const slanted = computed(() => patternsOf(ctx.value.document).includes('slanted-layers'))
const whole = computed(() => sumOf(rows.value, ({ batter }) => batter) || 1)
/** Levelled again once all but the last are in. */
const propped = computed(
  () => slanted.value && rows.value.filter(({ poured }) => !poured).length > 1,
)
const left = 40
const right = 260
const floor = 176
const layers = computed(() => {
  let level = floor
  return rows.value.map((row) => {
    const height = (row.batter / whole.value) * 140
    level -= height
    return { ...row, y: level, height }
  })
})
/** Dark figures on light layers, light ones on dark. */
const figureOn = (colour: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16))
  return r! * 0.3 + g! * 0.59 + b! * 0.11 > 140 ? '#182022' : '#ffffff'
}
const says = computed(
  () =>
    `The mould${propped.value ? ', propped up on one side' : ''}: ${say.value.list(rows.value.map(({ name, poured }) => `${name || 'all of it'} ${poured || done.value ? 'is in' : 'to come'}`))}`,
)
</script>

<template>
  <svg viewBox="0 0 300 206" class="figure h-auto w-full" role="img" :aria-label="says">
    <rect x="14" y="192" width="272" height="6" fill="#6f7d7b" />
    <rect v-if="propped" x="34" y="172" width="26" height="20" fill="#4c5a5c" />
    <g :transform="propped ? 'rotate(7 260 190)' : ''">
      <g v-for="(layer, index) in layers" :key="layer.index">
        <rect
          v-if="oneByOne || rows.length === 1"
          :x="left"
          :width="right - left"
          :y="layer.y"
          :height="layer.height"
          :fill="layer.colour"
          :opacity="layer.poured || (done && layer.on) ? 1 : layer.on ? 0.6 : 0"
          :stroke="layer.on ? '#f2ead6' : 'none'"
          stroke-width="2"
        />
        <rect
          v-else
          :x="left + ((right - left) / rows.length) * index"
          :width="(right - left) / rows.length"
          :y="floor - 140"
          height="140"
          :fill="layer.colour"
          :opacity="layer.poured || done ? 1 : 0.55"
        />
        <path
          v-if="oneByOne && !layer.poured && !layer.on"
          :d="`M${left} ${layer.y}H${right}`"
          stroke="#394547"
        />
        <text
          v-if="rows.length > 1"
          :x="oneByOne ? 150 : left + ((right - left) / rows.length) * (index + 0.5)"
          :y="oneByOne ? layer.y + layer.height / 2 + 5 : floor - 60"
          text-anchor="middle"
          :font-size="layer.on ? 17 : 14"
          :font-weight="layer.on ? 800 : 600"
          :fill="layer.poured || layer.on ? figureOn(layer.colour) : '#9aa8a6'"
        >
          {{ index + 1 }}
        </text>
      </g>
      <path
        :d="`M${left - 4} 12 V${floor + 3} H${right + 4} V12`"
        fill="none"
        stroke="#b9c5c3"
        stroke-width="4"
      />
    </g>
    <text
      v-if="below !== null && slanted && !propped"
      x="150"
      y="10"
      text-anchor="middle"
      font-size="13"
      fill="#b9c5c3"
    >
      levelled for the last layer
    </text>
  </svg>
</template>
