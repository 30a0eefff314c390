<script setup lang="ts">
import { peekWords } from '#core/events/checked'
import { peekFinds, type PeekFind } from '#contracts/rackWords'
import { hasMilk } from '#core/troubles/case'
import { frozenLibrary } from '#core/formula/frozen'
import { peekAdvice } from '#core/rack/inMould'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** What is seen under the cover, and what to do about it. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const whole = useWholeBatch(() => batch)
const found = ref<PeekFind>('fine')
const milk = computed(
  () =>
    !!whole.value &&
    hasMilk({ document: whole.value.frozen.document, library: frozenLibrary(whole.value.frozen) }),
)
const advice = computed(() => peekAdvice(found.value, milk.value))
watchEffect(() => (answer.value = { kind: 'checked', check: 'peek', found: found.value }))
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="mb-1 font-semibold">What do you see?</legend>
    <label v-for="one in peekFinds" :key="one" class="flex items-center gap-2"
      ><input v-model="found" type="radio" :value="one" /> {{ peekWords[one] }}</label
    >
  </fieldset>
  <div
    :class="advice.bad ? 'bg-stop-ground text-stop' : 'bg-ground text-ink'"
    class="px-3 py-2"
    role="status"
  >
    <p class="font-semibold">{{ advice.says }}</p>
    <p>{{ advice.so }}</p>
  </div>
</template>
