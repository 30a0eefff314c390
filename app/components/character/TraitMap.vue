<script setup lang="ts">
import { uses, type Trait, type Use } from '#contracts/words'
import { traitRules } from '#core/character/coefficients'
import { regionsFor, standing, type Regions } from '#core/character/regions'
import { shownTrait, type Traits } from '#core/character/traits'
import { sayTrait } from '#core/character/words'

/** Two traits as a map: the region of the use, where the bar is, and where it was in the last version. */
const {
  x,
  y,
  traits,
  regions,
  before = null,
  use = undefined,
} = defineProps<{
  x: Trait
  y: Trait
  traits: Traits
  regions: Regions
  before?: Traits | null
  /** What it is for: the map is larger then, its region named, and a few of other uses beside it. */
  use?: Use
}>()
const { settings } = storeToRefs(useWorkshop())
const [width, height] = use ? [176, 150] : [132, 114]
const px = (value: number) => (shownTrait(value) / 100) * width
const py = (value: number) => height - (shownTrait(value) / 100) * height
/** The rectangle of a region; what lies in it is inside. */
function boxOf(of: Regions) {
  const [left, right] = of[x].map(px) as [number, number]
  const [bottom, top] = of[y].map(py) as [number, number]
  const [width, height] = [right - left, bottom - top]
  return { x: left, y: top, width, height, rx: Math.min(width, height) / 2.6 }
}
const middle = ({ x: left, y: top, width, height }: ReturnType<typeof boxOf>) => ({
  cx: left + width / 2,
  cy: top + height / 2,
})
const region = computed(() => boxOf(regions))
/** Regions of other uses that lie apart from this one and from each other: names that say what lies where. */
const others = computed(() => {
  const drawn = [region.value]
  return uses.flatMap((other) => {
    if (!use || other === use || drawn.length > 3) return []
    const one = boxOf(regionsFor(other, settings.value.regions))
    const at = middle(one)
    const apart = drawn.every((box) => {
      const { cx, cy } = middle(box)
      return Math.hypot(at.cx - cx, (at.cy - cy) * 1.6) > 52
    })
    if (!apart) return []
    drawn.push(one)
    return [{ use: other, box: one, ...at }]
  })
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
    <g v-for="other in others" :key="other.use">
      <rect v-bind="other.box" fill="none" stroke="var(--color-ink-3)" stroke-dasharray="2 3" />
      <text
        :x="other.cx"
        :y="other.cy + 4"
        text-anchor="middle"
        font-size="11"
        fill="var(--color-ink-2)"
      >
        {{ other.use }}
      </text>
    </g>
    <rect v-bind="region" fill="var(--color-ok-ground)" stroke="var(--color-ok)" />
    <text
      v-if="use"
      :x="middle(region).cx"
      :y="region.y + region.height + 12"
      text-anchor="middle"
      font-size="11"
      font-weight="650"
      fill="var(--color-ok)"
    >
      {{ use }}
    </text>
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
