<script setup lang="ts">
import type { LabelDesign, LabelWords } from '#contracts/label'

/** Small labels as large as they will be, and a band as it lies round the bar, seen from the front. */
const { band } = defineProps<{
  shown: readonly { design: LabelDesign; words: LabelWords }[]
  band: LabelDesign | null
  words: LabelWords
  /** Of the screen for a millimetre. */
  pixels: number
}>()
const emit = defineEmits<{ ruler: [] }>()
const front = computed(() => (band ? (band.folds[0] ?? band.width) : 0))
</script>

<template>
  <div class="flex flex-wrap items-end gap-6">
    <figure v-for="one in shown" :key="one.design.name">
      <figcaption class="mb-1 text-[13px]">
        <button type="button" class="link" @click="emit('ruler')">true size</button>
      </figcaption>
      <LabelDrawing
        :design="one.design"
        :words="one.words"
        :width="one.design.width * pixels"
        :height="one.design.height * pixels"
        role="img"
        :aria-label="`${one.design.name} in its true size`"
      />
      <figcaption class="figure mt-1 text-center text-[13px]">{{ one.design.width }} mm</figcaption>
    </figure>
    <figure v-if="band && front">
      <figcaption class="mb-1 text-[13px]">the bar in its band</figcaption>
      <svg width="180" height="150" viewBox="0 0 180 150" aria-hidden="true">
        <path
          d="M10 2H170L178 10V140L170 148H10L2 140V10Z"
          :fill="words.colours[1]"
          stroke="#5c6a69"
          stroke-width="1.5"
        />
        <svg
          x="2"
          :y="75 - (band.height / front) * 88"
          width="176"
          :height="(band.height / front) * 176"
          :viewBox="`0 0 ${front} ${band.height}`"
        >
          <LabelDrawing :design="band" :words="words" :width="band.width" :height="band.height" />
        </svg>
      </svg>
    </figure>
  </div>
</template>
