<script setup lang="ts">
import type { ScentRow } from '~/composables/useScentRows'

/** The drawer from above: each sample in its place, its rim as long as it takes to medium; grey where it may not go in. */
const {
  rows,
  chosen = null,
  marks = new Map(),
} = defineProps<{
  rows: readonly ScentRow[]
  chosen?: string | null
  /** What is written on a place instead of its sample. */
  marks?: ReadonlyMap<string, string>
}>()
const emit = defineEmits<{ choose: [id: string] }>()

/** Rows and columns that something lies in, five and six at least. */
const lines = computed(() => {
  const lying = rows.flatMap((row) => (row.scent.drawer ? [[row.scent.drawer, row] as const] : []))
  const byPlace = new Map(lying)
  const letters = Math.max(5, ...lying.map(([place]) => place.charCodeAt(0) - 64))
  const columns = Math.max(6, ...lying.map(([place]) => Number(place.slice(1))))
  return Array.from({ length: letters }, (_, at) => String.fromCharCode(65 + at)).map((letter) => ({
    letter,
    cells: Array.from({ length: columns }, (_, at) => {
      const place = `${letter}${at + 1}`
      return { place, row: byPlace.get(place) ?? null }
    }),
  }))
})
const grid = computed(() => ({
  gridTemplateColumns: `20px repeat(${lines.value[0]!.cells.length}, minmax(0, 1fr))`,
}))
const rimOf = ({ finding, known }: ScentRow) =>
  known?.tried.length
    ? [{ stage: 'medium' as const, from: 0, to: Math.min(59, finding.minutes ?? 59) }]
    : []
const place =
  'relative flex aspect-[6/5] min-h-6 items-center justify-center bg-[#f2eee2] -outline-offset-1 dark:bg-[#2a302f]'
</script>

<template>
  <div class="grid" :style="grid">
    <span />
    <span
      v-for="(cell, at) in lines[0]!.cells"
      :key="cell.place"
      class="pb-0.5 text-center text-xs font-semibold text-ink-2"
      aria-hidden="true"
      >{{ at + 1 }}</span
    >
    <template v-for="{ letter, cells } in lines" :key="letter">
      <span class="self-center text-xs font-semibold text-ink-2" aria-hidden="true">{{
        letter
      }}</span>
      <template v-for="cell in cells" :key="cell.place">
        <button
          v-if="cell.row"
          type="button"
          class="hover:bg-white"
          :class="[
            place,
            cell.row.id === chosen
              ? 'z-10 outline-2 outline-act'
              : 'outline outline-[#c9c0a8] dark:outline-line',
          ]"
          :aria-label="`${cell.place}: ${cell.row.scent.name}, ${cell.row.finding.says}`"
          :aria-pressed="cell.row.id === chosen"
          @click="emit('choose', cell.row.id)"
        >
          <span
            v-if="marks.has(cell.row.id)"
            class="figure flex size-full items-center justify-center bg-slate font-semibold text-white"
            >{{ marks.get(cell.row.id) }}</span
          >
          <svg
            v-else-if="!cell.row.known?.tried.length"
            viewBox="0 0 40 40"
            class="h-[86%]"
            aria-hidden="true"
          >
            <g :stroke="cell.row.scent.colour" stroke-width="1.5">
              <circle cx="20" cy="20" r="13" :fill="cell.row.scent.colour" fill-opacity=".35" />
              <circle cx="20" cy="20" r="6" fill="#fff" />
            </g>
          </svg>
          <PotTop
            v-else
            class="h-[94%] text-[#6d7b7c]"
            look="emulsion"
            :colour="cell.row.allowed === false ? '#aebbb8' : cell.row.batter"
            :rim="cell.row.allowed === false ? '#8a9794' : cell.row.scent.colour"
            :stretches="rimOf(cell.row)"
          />
        </button>
        <span
          v-else
          class="outline outline-[#c9c0a8] dark:outline-line"
          :class="place"
          aria-hidden="true"
        />
      </template>
    </template>
  </div>
</template>
