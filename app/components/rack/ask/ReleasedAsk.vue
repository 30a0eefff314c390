<script setup lang="ts">
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** The maker's own decision that bars may be sold, and on what it rests. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const basis = ref('')
watchEffect(() => (answer.value = { kind: 'released', basis: basis.value }))
</script>

<template>
  <p class="text-ink-2">
    It is your decision, and your local rules come first. {{ batch.name }} {{ batch.number }} is
    {{ usableText(batch) }}.
  </p>
  <FieldRow says="On what it rests">
    <input v-model="basis" class="field font-normal" maxlength="300" required />
  </FieldRow>
</template>
