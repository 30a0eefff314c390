<script setup lang="ts">
import type { Foretold } from '#core/trials/plan'
import type { Stretch } from '#core/trials/stretches'
import { handAt, heights, onCircle, ringPiece, type PotLook } from '~/utils/potDrawing'

/**
 * A pot from above; its rim is an hour that begins at the top, and the line on it thickens as the batter does. A lid lies on one that
 * left the round.
 */
const {
  stretches = [],
  now = null,
  foretold = null,
  lid = null,
  riced = null,
} = defineProps<{
  look: PotLook
  /** Of its batter, and of its scent on the rim. */
  colour?: string
  rim?: string
  stretches?: readonly Stretch[]
  /** Minute at which its hand stands. */
  now?: number | null
  foretold?: Foretold | null
  /** Code on its lid; null while it is open. */
  lid?: string | null
  /** From when to when it was grainy. */
  riced?: { from: number; to: number | null } | null
}>()
const inner = 39
const widest = 9
const pieces = computed(() =>
  stretches.map(({ stage, from, to }) =>
    ringPiece(from, Math.min(to, 59.9), inner, inner + 1.5 + widest * heights[stage]),
  ),
)
/** Minutes between two grains on the rim of a pot that was grainy. */
const grain = 0.7
const grains = computed(() => {
  if (!riced) return []
  const last = Math.min(59.9, riced.to ?? stretches.at(-1)?.to ?? riced.from)
  const count = Math.max(2, Math.floor((last - riced.from) / grain) + 1)
  return Array.from({ length: count }, (_, nth) =>
    onCircle(inner + 10, Math.min(59.9, riced.from + nth * grain)),
  )
})
const range = computed(() =>
  foretold === null
    ? ''
    : ringPiece(
        Math.min(59, foretold.from),
        Math.min(59.9, Math.max(foretold.to, foretold.from + 0.8)),
        inner,
        inner + widest,
      ),
)
</script>

<template>
  <svg viewBox="0 0 100 100" aria-hidden="true">
    <g stroke="currentColor" stroke-opacity=".45" stroke-width="1.2">
      <path d="M50 0 V9 M50 91 v5 M4 50 h5 M91 50 h5" />
    </g>
    <path v-if="range" :d="range" :fill="rim ?? 'currentColor'" fill-opacity=".5" />
    <path v-for="(piece, nth) in pieces" :key="nth" :d="piece" :fill="rim ?? 'currentColor'" />
    <circle
      v-for="([x, y], nth) in grains"
      :key="`grain ${nth}`"
      :cx="x"
      :cy="y"
      r="1.1"
      fill="currentColor"
    />
    <template v-if="lid === null">
      <PotFace :look="look" :colour="colour" />
      <circle cx="50" cy="50" r="36" fill="none" stroke="#182022" stroke-width="2" />
      <circle cx="50" cy="50" r="38" fill="none" stroke="#fff" stroke-opacity=".5" />
    </template>
    <template v-else>
      <circle cx="50" cy="50" r="37" fill="#3a4446" stroke="#6d7b7c" stroke-width="2" />
      <circle cx="50" cy="50" r="30" fill="none" stroke="#6d7b7c" />
      <text
        x="50"
        y="56"
        text-anchor="middle"
        class="font-mono"
        font-size="17"
        font-weight="600"
        fill="#e8eeec"
        text-decoration="underline"
      >
        {{ lid }}
      </text>
    </template>
    <path
      v-if="foretold"
      :d="handAt(Math.min(59.9, foretold.at), inner - 1, inner + widest + 2)"
      stroke="#182022"
      stroke-width="2.5"
    />
    <path
      v-if="now !== null"
      :d="handAt(now % 60, inner, inner + 13)"
      stroke="currentColor"
      stroke-width="3"
    />
  </svg>
</template>
