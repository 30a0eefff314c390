<script setup lang="ts">
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** The maker trusts the weights and does not test. */
defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
answer.value = { kind: 'trusted' }
</script>

<template>
  <p class="text-ink-2">
    Right weights leave no free lye after 48 hours, and many makers never test. It is the weaker
    basis: what was weighed wrong shows in no sum. The batch says so wherever it stands.
  </p>
</template>
