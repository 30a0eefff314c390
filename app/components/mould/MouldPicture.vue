<script setup lang="ts">
import type { WorkshopMould } from '#contracts/mould'

/** A mould drawn to scale with the lines where it is cut: full, or as full as a batter makes it. */
const {
  record,
  pxPerMm,
  fill = null,
} = defineProps<{ record: WorkshopMould; pxPerMm: number; fill?: number | null }>()
const level = computed(() => Math.max(0, Math.min(1, fill ?? 1)))

interface Drawing {
  width: number
  height: number
  faces: { path: string; shade: number; part?: number; y?: number; side?: number }[]
  cuts: string[]
  /** The empty mould around what is in it. */
  walls?: string[]
}
const edge = 2
/** The width runs back at a slant, this much to the side and up for each mm. */
const slant = 0.42

function boxOf(length: number, width: number, depth: number): Drawing {
  const { along, across } = record.cuts
  const back = width * slant
  const at = (x: number, y: number, z: number) =>
    `${edge + x + z * slant} ${edge + back + depth - y - z * slant}`
  const topAt = (y: number) =>
    `M${at(0, y, 0)} L${at(length, y, 0)} L${at(length, y, width)} L${at(0, y, width)} Z`
  const frontTo = (y: number) =>
    `M${at(0, 0, 0)} L${at(length, 0, 0)} L${at(length, y, 0)} L${at(0, y, 0)} Z`
  const sideTo = (y: number) =>
    `M${at(length, 0, 0)} L${at(length, 0, width)} L${at(length, y, width)} L${at(length, y, 0)} Z`
  const high = depth * level.value
  const top = topAt(high)
  const front = frontTo(high)
  const side = sideTo(high)
  const cuts = [
    ...Array.from({ length: along - 1 }, (_, index) => {
      const x = (length * (index + 1)) / along
      return `M${at(x, 0, 0)} L${at(x, depth, 0)} L${at(x, depth, width)}`
    }),
    ...Array.from({ length: across - 1 }, (_, index) => {
      const z = (width * (index + 1)) / across
      return `M${at(0, depth, z)} L${at(length, depth, z)} L${at(length, 0, z)}`
    }),
  ]
  return {
    width: length + back + 2 * edge,
    height: depth + back + 2 * edge,
    faces: [
      { path: top, shade: 0 },
      { path: front, shade: 0.07 },
      { path: side, shade: 0.16 },
    ],
    cuts: fill === null ? cuts : [],
    walls: fill === null ? [] : [topAt(depth), frontTo(depth), sideTo(depth)],
  }
}
/** A tube lies on its side, its mouth to the right. */
function tubeOf(diameter: number, depth: number): Drawing {
  const ry = diameter / 2
  const rx = ry * 0.35
  const left = edge + rx
  const ring = (x: number) => `M${x} ${edge} A${rx} ${ry} 0 0 1 ${x} ${edge + diameter}`
  const mouth = left + depth * level.value
  const end = left + depth
  return {
    walls:
      fill === null
        ? []
        : [
            `M${left} ${edge} H${end} A${rx} ${ry} 0 0 1 ${end} ${edge + diameter} H${left} A${rx} ${ry} 0 0 1 ${left} ${edge} Z`,
            `${ring(end)} A${rx} ${ry} 0 0 1 ${end} ${edge} Z`,
          ],
    width: depth + 2 * rx + 2 * edge,
    height: diameter + 2 * edge,
    faces: [
      {
        path: `M${left} ${edge} H${mouth} A${rx} ${ry} 0 0 1 ${mouth} ${edge + diameter} H${left} A${rx} ${ry} 0 0 1 ${left} ${edge} Z`,
        shade: 0.09,
      },
      { path: `${ring(mouth)} A${rx} ${ry} 0 0 1 ${mouth} ${edge} Z`, shade: 0 },
    ],
    cuts: Array.from({ length: record.cuts.along - 1 }, (_, index) =>
      ring(left + (depth * (index + 1)) / record.cuts.along),
    ),
  }
}
/** Cavities are drawn as cubes of their volume, seen from above. */
function trayOf(count: number, millilitres: number): Drawing {
  const side = Math.cbrt(millilitres * 1000) * pxPerMm
  const gap = side * 0.22
  const shown = Math.min(count, 60)
  const columns = Math.ceil(Math.sqrt(shown * 1.8))
  const rows = Math.ceil(shown / columns)
  return {
    width: columns * (side + gap) + gap + 2 * edge,
    height: rows * (side + gap) + gap + 2 * edge,
    faces: Array.from({ length: shown }, (_, index) => {
      const x = edge + gap + (index % columns) * (side + gap)
      const y = edge + gap + Math.floor(index / columns) * (side + gap)
      const bevel = side * 0.12
      return {
        path: `M${x + bevel} ${y} h${side - 2 * bevel} l${bevel} ${bevel} v${side - 2 * bevel} l${-bevel} ${bevel} h${-(side - 2 * bevel)} l${-bevel} ${-bevel} v${-(side - 2 * bevel)} Z`,
        shade: 0,
        /** How much of this cavity is filled. */
        part: Math.max(0, Math.min(1, level.value * count - index)),
        y,
        side,
      }
    }),
    cuts: [],
  }
}
const drawing = computed((): Drawing => {
  const { mould } = record
  if (mould.shape === 'cavities') return trayOf(mould.count, mould.millilitres)
  if (mould.shape === 'cylinder') return tubeOf(mould.diameterMm * pxPerMm, mould.depthMm * pxPerMm)
  return boxOf(mould.lengthMm * pxPerMm, mould.widthMm * pxPerMm, mould.depthMm * pxPerMm)
})
</script>

<template>
  <svg
    :width="drawing.width"
    :height="drawing.height"
    :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
    class="max-w-full"
    aria-hidden="true"
  >
    <rect
      v-if="record.mould.shape === 'cavities'"
      x="1"
      y="1"
      :width="drawing.width - 2"
      :height="drawing.height - 2"
      rx="4"
      fill="#dfe3e0"
      stroke="var(--color-ink-2)"
    />
    <path
      v-for="face in drawing.faces"
      :key="face.path"
      :d="face.path"
      :fill="
        face.part !== undefined && face.part < 0.999
          ? face.part > 0.05
            ? '#f7f1e2'
            : '#ffffff'
          : `color-mix(in srgb, #f1e7cf, #6b5630 ${face.shade * 100}%)`
      "
      stroke="var(--color-ink-2)"
      stroke-width="1.4"
      stroke-linejoin="round"
    />
    <path
      v-for="wall in drawing.walls ?? []"
      :key="wall"
      :d="wall"
      fill="none"
      stroke="var(--color-ink-2)"
      stroke-width="1.4"
      stroke-linejoin="round"
    />
    <path
      v-for="cut in drawing.cuts"
      :key="cut"
      :d="cut"
      fill="none"
      stroke="#8a5a2b"
      stroke-width="1"
      stroke-dasharray="4 3"
    />
  </svg>
</template>
