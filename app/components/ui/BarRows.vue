<script setup lang="ts">
import type { Thumbnail } from '#contracts/thumbnail'

/**
 * The bars of a batch, counted truly: up to 24 of them, in one or two rows, as one repeated picture; what is more is written.
 * @prop left part of the fresh mass that is left: bars shrink as they dry
 */
const {
  thumbnail,
  bars,
  rows = 1,
  width = 12,
  height = 20,
  left = 1,
  gap = 2,
} = defineProps<{
  thumbnail: Thumbnail
  bars: number
  rows?: 1 | 2
  width?: number
  height?: number
  left?: number
  gap?: number
}>()
const most = 24
const size = computed(() => {
  const scale = Math.cbrt(left)
  return { w: Math.round(width * scale * 10) / 10, h: Math.round(height * left * 10) / 10 }
})
/** The lower row holds the odd one. */
const drawn = computed(() => {
  const all = Math.min(most, bars)
  return rows === 1 ? [all] : [Math.floor(all / 2), Math.ceil(all / 2)].filter(Boolean)
})
const url = computed(() => thumbnailUrl(thumbnail, size.value.w, size.value.h, gap))
</script>

<template>
  <span class="flex items-end gap-1.5" aria-hidden="true">
    <span class="flex flex-col gap-px">
      <span
        v-for="(count, row) in drawn"
        :key="row"
        class="block [print-color-adjust:exact]"
        :style="{
          width: `${count * (size.w + gap) - gap}px`,
          height: `${size.h}px`,
          background: `url(&quot;${url}&quot;) repeat-x 0 0 / ${size.w + gap}px ${size.h}px`,
        }"
      />
    </span>
    <span v-if="bars > most" class="figure text-xs text-ink-2">+ {{ bars - most }}</span>
  </span>
</template>
