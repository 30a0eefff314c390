<script setup lang="ts">
import { gelWords } from '#core/events/gelled'
import type { Gel } from '#contracts/rackWords'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** How far it turned translucent, when, and in which part. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const pots = usePots(() => batch)
const gel = reactive({
  gel: 'full' as Gel,
  hours: null as number | null,
  pot: null as number | null,
})
watchEffect(() => (answer.value = { kind: 'gelled', ...gel }))
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="mb-1 font-semibold">How far did it turn translucent?</legend>
    <label v-for="(says, one) in gelWords" :key="one" class="flex items-center gap-2"
      ><input v-model="gel.gel" type="radio" :value="one" /> {{ says }}</label
    >
  </fieldset>
  <div class="flex flex-wrap gap-x-5 gap-y-2">
    <LabelledNumber
      v-model="gel.hours"
      says="Seen after"
      label="Hours after the pour"
      unit="h"
      :min="0"
      :max="240"
      :decimals="1"
    />
    <label v-if="pots.length" class="grid content-start gap-1 font-semibold">
      Which part
      <select v-model="gel.pot" class="field font-normal">
        <option :value="null">all of it</option>
        <option v-for="(name, pot) in pots" :key="pot" :value="pot">{{ name }}</option>
      </select>
    </label>
  </div>
</template>
