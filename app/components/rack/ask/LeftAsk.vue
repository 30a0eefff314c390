<script setup lang="ts">
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** The whole batch goes off the rack. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const leaving = reactive({
  why: (batch.facts.cutOn ? 'gone' : 'spoiled') as 'gone' | 'spoiled',
  note: '',
})
watchEffect(() => (answer.value = { kind: 'left', ...leaving }))
</script>

<template>
  <fieldset class="flex gap-5">
    <legend class="sr-only">Why</legend>
    <label class="flex items-center gap-2"
      ><input v-model="leaving.why" type="radio" value="gone" /> all gone</label
    >
    <label class="flex items-center gap-2"
      ><input v-model="leaving.why" type="radio" value="spoiled" /> thrown away</label
    >
  </fieldset>
  <FieldRow says="What was learned">
    <input v-model="leaving.note" class="field font-normal" maxlength="500" />
  </FieldRow>
</template>
