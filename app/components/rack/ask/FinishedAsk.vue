<script setup lang="ts">
import { finishWords } from '#core/events/finished'
import { finishes, type Finish } from '#contracts/rackWords'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'
import { inSentence } from '#core/units/language'

/** Trimmed, bevelled, stamped, planed: what was done to the bars and what it took off them. */
defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const step = ref<Finish>('bevelled')
const grams = ref<number | null>(null)
watchEffect(
  () =>
    (answer.value = {
      kind: 'finished',
      step: step.value,
      grams: step.value === 'stamped' ? null : grams.value,
    }),
)
</script>

<template>
  <fieldset class="flex flex-wrap gap-5">
    <legend class="sr-only">What was done</legend>
    <label v-for="one in finishes" :key="one" class="flex items-center gap-2"
      ><input v-model="step" type="radio" :value="one" /> {{ inSentence(finishWords[one]) }}</label
    >
  </fieldset>
  <template v-if="step !== 'stamped'">
    <LabelledNumber
      v-model="grams"
      says="Taken off a bar, on the mean"
      label="Taken off a bar"
      kind="mass"
      :min="0"
      :max="500"
    />
    <p class="text-sm text-ink-2">
      Best the day after the cut. Weigh a marked bar before and after: with the difference its
      weigh-ins go on, without it they begin anew. Shavings keep for a rework.
    </p>
  </template>
  <p v-else class="text-sm text-ink-2">
    Firm and dry to the touch, not before: a stamp sticks in a fresh bar.
  </p>
</template>
