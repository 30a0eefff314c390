<script setup lang="ts">
import type { FormulaLesson } from '#contracts/batch'

/** What earlier batches taught, each until it is dropped. */
const { lessons } = defineProps<{ lessons: readonly FormulaLesson[] }>()
const emit = defineEmits<{ drop: [lesson: FormulaLesson] }>()
const { today } = storeToRefs(useWorkshop())
</script>

<template>
  <ul class="grid gap-2">
    <li
      v-for="lesson in lessons"
      :key="lesson.id"
      class="flex items-start justify-between gap-3 border-l-4 border-ok pl-3"
    >
      <span
        ><em>{{ lesson.says }}</em>
        <small class="block text-sm text-ink-2"
          >Lesson of
          <NuxtLink class="link" :to="`/batches/${lesson.batchId}`"
            >batch {{ lesson.number }}</NuxtLink
          >, {{ dayText(lesson.day, { today })
          }}<template v-if="lesson.about">; about {{ lessonWords[lesson.about] }}</template></small
        ></span
      >
      <button type="button" class="link shrink-0 print:hidden" @click="emit('drop', lesson)">
        Drop it
      </button>
    </li>
  </ul>
</template>
