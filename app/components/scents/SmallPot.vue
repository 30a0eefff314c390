<script setup lang="ts">
import type { PotLook } from '~/utils/potDrawing'

/** A pot's face in its dark rim: small, beside words. */
defineProps<{ look: PotLook; colour?: string }>()
</script>

<template>
  <svg viewBox="12 12 76 76" class="shrink-0" aria-hidden="true">
    <circle cx="50" cy="50" r="37" fill="#182022" />
    <PotFace :look="look" :colour="colour" :radius="34" />
  </svg>
</template>
