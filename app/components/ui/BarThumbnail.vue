<script setup lang="ts">
import type { Thumbnail } from '#contracts/thumbnail'

/** A bar of soap by its face: the planed corners, the soap's colours, the way they were poured. */
const {
  thumbnail,
  width = 44,
  height = 30,
} = defineProps<{ thumbnail: Thumbnail; width?: number; height?: number }>()
</script>

<template>
  <img
    :src="thumbnailUrl(thumbnail, width, height)"
    :width="width"
    :height="height"
    alt=""
    class="shrink-0"
  />
</template>
