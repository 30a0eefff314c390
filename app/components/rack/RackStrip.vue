<script setup lang="ts">
import { useElementBounding, useWindowSize } from '@vueuse/core'
import type { OnRack } from '~/composables/useRack'

/**
 * The whole list as one strip: every batch a line in its own colour, the window on the list, and the ticks that are out of sight. A
 * component of its own, so that scrolling draws only this anew.
 */
const { items, ticks, table } = defineProps<{
  items: OnRack[]
  ticks: ReadonlySet<string>
  /** The list beside it. */
  table: HTMLElement | null
}>()

const box = useElementBounding(() => table)
const { height: screen } = useWindowSize()
const part = computed(() => 100 / Math.max(1, items.length))
const colours = computed(() =>
  items
    .map(({ batch }, at) => {
      const colour = batch.thumbnail.colours.at(-1)!
      return `${colour} ${at * part.value}% ${(at + 1) * part.value}%`
    })
    .join(),
)
const marks = computed(() =>
  items.flatMap(({ batch }, at) => (ticks.has(batch.id) ? [(at + 0.5) * part.value] : [])),
)
/** What of the list is on the screen, from 0 to 1. */
const seen = computed(() => {
  const whole = Math.max(1, box.height.value)
  const within = (at: number) => Math.max(0, Math.min(1, at / whole))
  return { from: within(-box.top.value), to: within(screen.value - box.top.value) }
})
function look({ offsetY, currentTarget }: MouseEvent) {
  const { height } = (currentTarget as HTMLElement).getBoundingClientRect()
  const whole = box.height.value
  window.scrollBy({ top: box.top.value + (offsetY / height) * whole - screen.value / 2 })
}
</script>

<template>
  <button
    type="button"
    class="sticky top-4 h-[calc(100dvh-120px)] w-11 shrink-0 border border-line-3 max-md:hidden"
    aria-hidden="true"
    tabindex="-1"
    :style="{ background: `linear-gradient(to bottom, ${colours})` }"
    @click="look"
  >
    <span
      class="pointer-events-none absolute inset-x-[-4px] border-2 border-ink"
      :style="{ top: `${seen.from * 100}%`, height: `${(seen.to - seen.from) * 100}%` }"
    />
    <span
      v-for="mark in marks"
      :key="mark"
      class="pointer-events-none absolute -left-3 text-[10px] leading-none text-act"
      :style="{ top: `calc(${mark}% - 5px)` }"
      >▶</span
    >
  </button>
</template>
