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
    Nobody needs this: the strip has said soap. Makers of many years note here whether a bar bit
    them. If you have not done it before, leave it: what bites is lye, and it burns. Rinse at once
    with much water.
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
