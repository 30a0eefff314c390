<script setup lang="ts">
import { touchWords } from '#core/events/tried'
import { touches, type Touch } from '#contracts/rackWords'
import { touchAdvice } from '#core/rack/inMould'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** How the loaf feels: cut it, wait, or into the freezer. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const workshop = useWorkshop()
const touch = ref<Touch>('soft')
const frozen = ref(false)
const hour = 3_600_000
const now = workshop.clock()
const window = computed(() => batch.facts.checks.find(({ kind }) => kind === 'unmould'))
const advice = computed(() => {
  const { pouredAt, pouredOn } = batch.facts
  // A day without an hour counts from its noon.
  const poured = pouredAt ?? (pouredOn ? `${pouredOn}T12:00:00Z` : null)
  if (!poured) return touchAdvice(touch.value, null, null)
  const hours = (instant: string) => (Date.parse(instant) - Date.parse(poured)) / hour
  const span = window.value && { from: hours(window.value.from), to: hours(window.value.to) }
  return touchAdvice(touch.value, (now - Date.parse(poured)) / hour, span ?? null)
})
const again = computed(() => {
  const hours = advice.value.again
  if (!hours) return null
  const waits = frozen.value && hours.frozen !== null ? hours.frozen : hours.waiting
  return new Date(now + waits * hour).toISOString()
})
watchEffect(
  () =>
    (answer.value = {
      kind: 'tried',
      touch: touch.value,
      frozen: frozen.value && advice.value.again?.frozen != null,
      again: again.value,
    }),
)
const { say } = storeToRefs(useWorkshop())
</script>

<template>
  <p v-if="window" class="text-ink-2">
    Its window: {{ whenText(window, workshop.settings.timeZone) }}. Earlier it is too soft and keeps
    every mark; later it is too hard and crumbles under the wire.
  </p>
  <fieldset class="grid gap-2">
    <legend class="mb-1 font-semibold">With a gloved finger, it is</legend>
    <label v-for="one in touches" :key="one" class="flex items-center gap-2"
      ><input v-model="touch" type="radio" :value="one" /> {{ touchWords[one] }}</label
    >
  </fieldset>
  <div class="bg-ground px-3 py-2" role="status">
    <p class="font-semibold">{{ advice.says }}</p>
    <p>{{ say.inUnits(advice.so) }}</p>
  </div>
  <fieldset v-if="advice.again" class="flex flex-wrap gap-5">
    <legend class="sr-only">What is done</legend>
    <label class="flex items-center gap-2"
      ><input v-model="frozen" type="radio" :value="false" /> it waits
      {{ advice.again.waiting }} hours</label
    >
    <label v-if="advice.again.frozen !== null" class="flex items-center gap-2"
      ><input v-model="frozen" type="radio" :value="true" /> {{ advice.again.frozen }} hours in the
      freezer</label
    >
  </fieldset>
</template>
