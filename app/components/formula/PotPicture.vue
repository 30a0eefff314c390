<script setup lang="ts">
import { batterMillilitres, potFor } from '#core/formula/volume'

/** The pot to scale, filled in the order of pouring. Thin layers of one kind share a label. */
const { library } = storeToRefs(useMaterials())
const { document, weighed } = useFormulaEditor()
/** What the scale can weigh: the same figures as on the sheet. */
const result = computed(() => weighed.value.result)
const { say } = storeToRefs(useWorkshop())

const layers = computed(() =>
  potLayers(result.value, library.value).map((layer) =>
    layer.key === 'lye' ? { ...layer, label: `${layer.label} into it` } : layer,
  ),
)

const pot = computed(() => potFor(batterMillilitres(result.value, library.value)))
const top = 6
const bottom = 428
const inside = bottom - top
const labelGap = 17

const bands = computed(() => {
  const whole = result.value.batter
  let level = bottom
  return layers.value.map((layer) => {
    const height = whole > 0 ? (layer.grams / whole) * pot.value.fill * inside : 0
    level -= height
    return { ...layer, y: level, height, middle: level + height / 2 }
  })
})

/** Labels at their bands, pushed apart from the bottom up, then back down from the top. */
const labels = computed(() => {
  const room = Math.floor(inside / labelGap)
  const shown = [...bands.value].sort((a, b) => b.height - a.height).slice(0, room)
  const list = bands.value
    .filter((band) => shown.includes(band))
    .map((band) => ({ ...band, at: band.middle }))
  for (let index = 1; index < list.length; index++)
    list[index]!.at = Math.min(list[index]!.at, list[index - 1]!.at - labelGap)
  if (list.length) list.at(-1)!.at = Math.max(list.at(-1)!.at, top + 8)
  for (let index = list.length - 2; index >= 0; index--)
    list[index]!.at = Math.max(list[index]!.at, list[index + 1]!.at + labelGap)
  return list
})
/** x of the pot's right wall at a height: it tapers. */
const wall = (y: number) => 184 - ((y - top) / inside) * 12
const spoken = computed(() =>
  say.value.list(layers.value.map(({ label, grams }) => `${label} ${say.value.mass(grams)}`)),
)
</script>

<template>
  <figure class="sheet flex flex-col px-3.5 py-2.5">
    <figcaption class="flex justify-between">
      <h2>The pot, to scale</h2>
      <span v-if="result.batter > 0" class="text-[12.5px] text-ink-3"
        >{{ say.number(pot.litres, pot.litres % 1 ? 1 : 0) }} litre pot,
        {{ say.percent(pot.fill, 0) }} full</span
      >
    </figcaption>
    <p v-if="!document.fats.length" class="m-auto max-w-52 py-16 text-center text-ink-2">
      The pot fills as you type: fats first, then water, then lye into it.
    </p>
    <svg
      v-else
      viewBox="0 0 338 440"
      class="mt-1 min-h-0 w-full flex-1"
      style="max-height: 446px"
      role="img"
      :aria-label="`The pot holds ${spoken}`"
      font-size="13"
    >
      <defs>
        <clipPath id="pot-inside">
          <path d="M24 0 H184 L172 418 Q171 428 160 428 H48 Q37 428 36 418 Z" />
        </clipPath>
      </defs>
      <g clip-path="url(#pot-inside)">
        <rect
          v-for="band in bands"
          :key="band.key"
          :y="band.y"
          width="200"
          :height="band.height + 0.6"
          :fill="band.colour"
        />
      </g>
      <path
        d="M24 0 L36 418 Q37 428 48 428 H160 Q171 428 172 418 L184 0"
        fill="none"
        stroke="var(--color-ink)"
        stroke-width="3"
      />
      <g v-for="label in labels" :key="label.key">
        <path
          :d="`M${wall(label.middle)} ${label.middle} L196 ${label.at} H204`"
          stroke="var(--color-line-3)"
          fill="none"
        />
        <text
          x="209"
          :y="label.at + 4"
          class="figure"
          :font-weight="label.strong ? 700 : 400"
          :fill="label.strong ? 'var(--color-stop)' : 'var(--color-ink)'"
        >
          {{ label.label.length > 13 ? `${label.label.slice(0, 12)}…` : label.label }}
          {{ label.strong ? say.massDown(label.grams) : say.mass(label.grams) }}
        </text>
      </g>
    </svg>
  </figure>
</template>
