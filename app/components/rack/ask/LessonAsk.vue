<script setup lang="ts">
import type { LessonAbout } from '#contracts/rackWords'

/** One line, and never in the way: what the maker would do otherwise next time, and where in the work it is to be said again. */
const says = defineModel<string>({ required: true })
const about = defineModel<LessonAbout | null>('about', { required: true })
</script>

<template>
  <div class="grid gap-2 sm:grid-cols-[1fr_auto]">
    <FieldRow says="What would you do differently? (one line, or nothing)">
      <input v-model="says" class="field font-normal" maxlength="500" />
    </FieldRow>
    <SayAgainAt v-if="says.trim()" v-model="about" />
  </div>
</template>
