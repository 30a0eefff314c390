<script setup lang="ts">
import { lessonAbouts, type LessonAbout } from '#contracts/rackWords'

/** One line, and never in the way: what the maker would do otherwise next time, and where in the work it is to be said again. */
const says = defineModel<string>({ required: true })
const about = defineModel<LessonAbout | null>('about', { required: true })
</script>

<template>
  <div class="grid gap-2 sm:grid-cols-[1fr_auto]">
    <FieldRow says="What would you do differently? (one line, or nothing)">
      <input v-model="says" class="field font-normal" maxlength="500" />
    </FieldRow>
    <FieldRow v-if="says.trim()" says="Say it again at">
      <select v-model="about" class="field font-normal">
        <option :value="null">the beginning</option>
        <option v-for="one in lessonAbouts" :key="one" :value="one">{{ lessonWords[one] }}</option>
      </select>
    </FieldRow>
  </div>
</template>
