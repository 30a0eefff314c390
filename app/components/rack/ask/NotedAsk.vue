<script setup lang="ts">
import type { LessonAbout } from '#contracts/rackWords'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** A note, what somebody who uses the bars says, a lesson for the next time, photos. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const note = ref('')
const from = ref('')
const lesson = ref(false)
const about = ref<LessonAbout | null>(null)
const photos = ref<string[]>([])
watchEffect(() => {
  if (note.value.trim())
    answer.value = {
      kind: 'noted',
      note: note.value.trim(),
      from: from.value.trim(),
      lesson: lesson.value,
      ...(lesson.value ? { about: about.value } : {}),
      photos: photos.value,
    }
  else answer.value = photos.value.length ? { kind: 'pictured', photos: photos.value } : null
})
</script>

<template>
  <FieldRow says="Note">
    <textarea v-model="note" class="field min-h-24 font-normal" maxlength="2000" />
  </FieldRow>
  <label class="flex items-center gap-2"
    ><input v-model="lesson" type="checkbox" /> a lesson for the next batch</label
  >
  <SayAgainAt v-if="lesson" v-model="about" />
  <FieldRow says="Said by somebody who uses the bars">
    <input
      v-model="from"
      class="field font-normal"
      maxlength="80"
      placeholder="nobody: it is ours"
    />
  </FieldRow>
  <PhotoField v-model="photos" :of="`batches/${batch.id}`" />
</template>
