<script setup lang="ts">
import { lessonAbouts, type LessonAbout } from '#contracts/rackWords'

/** Where in the work of the next batch a lesson is said again. */
const about = defineModel<LessonAbout | null>({ required: true })
</script>

<template>
  <FieldRow says="Say it again at">
    <select v-model="about" class="field font-normal">
      <option :value="null">the beginning</option>
      <option v-for="one in lessonAbouts" :key="one" :value="one">{{ lessonWords[one] }}</option>
    </select>
  </FieldRow>
</template>
