<script setup lang="ts">
import { howBad } from '#core/events/trouble'
import { troubles, type Trouble } from '#contracts/rackWords'
import { troubleKinds } from '#core/troubles/kinds'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** Something wrong with the bars. Its causes are looked for on the page of the batch. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const trouble = ref<Trouble>('ash')
const how = ref(2)
const note = ref('')
const photos = ref<string[]>([])
const kind = computed(() => troubleKinds[trouble.value])
watchEffect(
  () =>
    (answer.value = {
      kind: 'trouble',
      trouble: trouble.value,
      how: how.value,
      note: note.value,
      photos: photos.value,
    }),
)
</script>

<template>
  <FieldRow says="What is it?">
    <select v-model="trouble" class="field font-normal">
      <option v-for="one in troubles" :key="one" :value="one">
        {{ troubleKinds[one].says }}: {{ troubleKinds[one].looks }}
      </option>
    </select>
  </FieldRow>
  <fieldset class="flex gap-5">
    <legend class="sr-only">How bad</legend>
    <label v-for="value in 3" :key="value" class="flex items-center gap-2"
      ><input v-model="how" type="radio" :value="value" /> {{ howBad[value] }}</label
    >
  </fieldset>
  <p class="px-3 py-2" :class="kind.bad ? 'bg-warn-ground text-warn' : 'bg-ground'">
    {{ kind.bars }}
  </p>
  <FieldRow says="Note">
    <input v-model="note" class="field font-normal" maxlength="500" />
  </FieldRow>
  <PhotoField v-model="photos" :of="`batches/${batch.id}`" />
</template>
