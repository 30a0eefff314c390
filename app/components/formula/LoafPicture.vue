<script setup lang="ts">
import { patternOf } from '#core/formula/method'
import type { FormulaDocument } from '#contracts/formula'
import { barColour, partColour } from '#core/batter/colours'
import { sumOf } from '#core/statistics/sum'

/** The cut bar's face and the loaf, from the parts and the way they are poured. */
const { say } = storeToRefs(useWorkshop())
const { library } = storeToRefs(useMaterials())
const { document } = defineProps<{ document: FormulaDocument }>()
const bands = computed(() => {
  const { parts } = document
  if (!parts.length)
    return [{ name: 'all of it', share: 1, colour: barColour(document, library.value) }]
  const whole = sumOf(parts, (part) => part.share ?? 0) || 1
  return parts.map((part) => ({
    name: part.name,
    share: (part.share ?? 0) / whole,
    colour: partColour(document, part, library.value),
  }))
})
const pattern = computed(() => patternOf(document))
const mixed = computed(() =>
  ['in-pot-swirl', 'drop-pour', 'hanger-swirl', 'spun-swirl', 'drizzle'].includes(pattern.value),
)

/** Horizontal bands from the bottom up, their edges straight, slanted or wavy by the pattern. */
function layersIn(width: number, height: number) {
  const slant = pattern.value === 'slanted-layers' ? height * 0.22 : 0
  let level = height
  return bands.value
    .map((band, index) => {
      const top = level - band.share * height
      const last = index === bands.value.length - 1
      const rough = last && pattern.value === 'textured-top' ? height * 0.09 : 0
      const y = last && !rough ? 0 : top
      const edge = rough
        ? `M0 ${y + rough} ${Array.from({ length: 7 }, (_, step) => `Q${(width * (step + 0.5)) / 7} ${y - rough * (step % 2 ? 0.4 : 1)} ${(width * (step + 1)) / 7} ${y + rough}`).join(' ')}`
        : `M0 ${y + (last ? 0 : slant)} L${width} ${y - (last ? 0 : slant)}`
      level = top
      return { ...band, path: `${edge} V${height + 40} H0 Z` }
    })
    .reverse()
}
/** Swirls: every colour after the first runs through the first in ribbons of its share. */
function ribbonsIn(width: number, height: number) {
  const rest = bands.value.slice(1)
  return rest.flatMap((band, index) => {
    const count = pattern.value === 'drizzle' ? 7 : 3
    const thick = Math.max(2, (band.share * height) / count)
    return Array.from({ length: count }, (_, ribbon) => {
      const x = ((ribbon + (index + 0.5) / rest.length) / count) * width
      const y = ((ribbon + (index + 0.6) / rest.length) / count) * height
      const bend = (ribbon % 2 ? 1 : -1) * height * 0.22
      const path =
        pattern.value === 'hanger-swirl'
          ? `M${x} ${height} C${x - bend} ${height * 0.6} ${x + bend} ${height * 0.4} ${x} ${height * 0.08}`
          : pattern.value === 'spun-swirl'
            ? `M${width / 2 - x / 2.2} ${height / 2} A${x / 2.2} ${y / 2.4} 0 1 1 ${width / 2 + x / 2.2} ${height / 2}`
            : pattern.value === 'drop-pour'
              ? `M${width * 0.2} ${y} Q${width / 2} ${y + height * 0.25} ${width * 0.8} ${y}`
              : `M0 ${y} C${width * 0.3} ${y - bend} ${width * 0.6} ${y + bend} ${width} ${y - bend / 2}`
      return { key: `${index}-${ribbon}`, path, thick, colour: band.colour }
    })
  })
}
const pictures = computed(() =>
  [
    { key: 'loaf', says: 'loaf', width: 210, height: 74 },
    { key: 'face', says: 'cut face', width: 92, height: 74 },
  ].map((picture) => ({
    ...picture,
    layers: layersIn(picture.width, picture.height),
    ribbons: mixed.value ? ribbonsIn(picture.width, picture.height) : [],
  })),
)
const id = useId()
</script>

<template>
  <div
    class="flex flex-wrap gap-4"
    role="img"
    :aria-label="`The loaf and a cut bar: ${say.list(bands.map(({ name }) => name))}`"
  >
    <figure v-for="picture in pictures" :key="picture.key">
      <svg
        :width="picture.width"
        :height="picture.height"
        :viewBox="`0 0 ${picture.width} ${picture.height}`"
      >
        <clipPath :id="`${id}-${picture.key}`">
          <polygon
            :points="`6,0 ${picture.width - 6},0 ${picture.width},6 ${picture.width},${picture.height - 6} ${picture.width - 6},${picture.height} 6,${picture.height} 0,${picture.height - 6} 0,6`"
          />
        </clipPath>
        <g :clip-path="`url(#${id}-${picture.key})`">
          <rect :width="picture.width" :height="picture.height" :fill="bands[0]?.colour" />
          <template v-if="mixed">
            <path
              v-for="ribbon in picture.ribbons"
              :key="ribbon.key"
              :d="ribbon.path"
              :stroke="ribbon.colour"
              :stroke-width="ribbon.thick"
              fill="none"
              stroke-linecap="round"
            />
          </template>
          <template v-else>
            <g v-for="layer in picture.layers" :key="layer.name">
              <path
                :d="layer.path"
                :fill="layer.colour"
                :stroke="pattern === 'pencil-line' ? '#3a3020' : 'none'"
                stroke-width="1.5"
              />
            </g>
          </template>
        </g>
      </svg>
      <figcaption class="text-xs text-ink-3">{{ picture.says }}</figcaption>
    </figure>
  </div>
</template>
