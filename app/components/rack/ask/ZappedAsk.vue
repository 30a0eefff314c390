<script setup lang="ts">
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** The tip of the tongue, after a strip that says soap: on the same bar. */
const { before } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const zap = ref(false)
const strip = before?.kind === 'strip' ? before : null
watchEffect(
  () =>
    (answer.value = {
      kind: 'zapped',
      zap: zap.value,
      bar: strip?.bar ?? null,
      pot: strip?.pot ?? null,
    }),
)
</script>

<template>
  <p class="text-ink-2">
    The strip says soap. Some touch the wetted bar with the tip of the tongue besides: lye bites
    like a battery. Nobody has to; rinse at once if it does.
  </p>
  <fieldset class="flex gap-5">
    <legend class="sr-only">Did it zap?</legend>
    <label class="flex items-center gap-2"
      ><input v-model="zap" type="radio" :value="false" /> no zap</label
    >
    <label class="flex items-center gap-2"
      ><input v-model="zap" type="radio" :value="true" /> it zapped</label
    >
  </fieldset>
</template>
