<script setup lang="ts">
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** It is poured, and when: its windows go by the clock. */
const { day } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const { settings } = storeToRefs(useWorkshop())
const hour = ref('')
watchEffect(() => {
  const pouredAt =
    hour.value && day ? instantAt(day, hour.value, settings.value.timeZone) : undefined
  answer.value = { kind: 'poured', ...(pouredAt ? { pouredAt } : {}) }
})
</script>

<template>
  <label class="flex items-center gap-3 font-semibold">
    At
    <input v-model="hour" type="time" class="field font-normal" aria-label="Time of the pour" />
  </label>
  <p class="text-ink-2">
    With the time Mantle says from when to when it is best unmoulded and cut.
  </p>
</template>
