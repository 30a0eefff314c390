<script setup lang="ts">
import type { FormulaLesson } from '#contracts/batch'

defineProps<{ lessons: readonly FormulaLesson[] }>()
const emit = defineEmits<{ drop: [lesson: FormulaLesson] }>()
</script>

<template>
  <section v-if="lessons.length" class="sheet px-5 py-4" aria-label="Learned">
    <h2 class="mb-2">What earlier batches taught</h2>
    <LessonList :lessons="lessons" @drop="emit('drop', $event)" />
  </section>
</template>
