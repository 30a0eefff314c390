<script setup lang="ts">
import type { NewBatchEvent } from '#contracts/batch'
import type { Component } from 'vue'
import { eventKinds, happened } from '#core/events/index'
import type { Kind } from '#core/events/kind'
import { capital } from '#core/units/language'
import type { BatchAnswer } from '~/composables/useBatchDialog'

/** Writes down one thing that happened to a batch, each with its own few fields. All of it can be taken back. */
const asked = useBatchDialog()
const batches = useBatches()
const { today, say, settings } = storeToRefs(useWorkshop())
const batch = computed(
  () => batches.list.find(({ id }) => id === asked.value?.batch.id) ?? asked.value!.batch,
)
const kind = ref<Kind>(asked.value!.asks)
const open = computed({
  get: () => true,
  set: () => (asked.value = null),
})
const day = ref(today.value)
/** Of what this dialog tells: pressed twice, it is told once. */
let id = newId()

/** The fields of each kind, and what they come to; what was written down just before leads on. */
const asks = import.meta.glob<Component>('./ask/*Ask.vue', { eager: true, import: 'default' })
const fields = computed(() => asks[`./ask/${capital(kind.value)}Ask.vue`])
const looks = computed(() => eventKinds[kind.value].dialog!)
const said = ref<BatchAnswer>(null)
const before = ref<BatchAnswer>(null)
const event = computed((): NewBatchEvent | null =>
  said.value && day.value ? { ...said.value, day: day.value } : null,
)
const busy = ref(false)
async function done() {
  if (!event.value || busy.value) return
  busy.value = true
  const name = `${batch.value.name} ${batch.value.number}`
  const kept = await batches.tell(
    batch.value.id,
    event.value,
    `${name}: ${happened(event.value, { say: say.value, places: settings.value.rack.places })}.`,
    id,
  )
  busy.value = false
  if (!kept) return
  id = newId()
  if (kept === 'waiting') return void (asked.value = null)
  before.value = said.value
  said.value = null
  // A loaf that is firm is cut at once.
  if (before.value?.kind === 'tried' && !before.value.again) kind.value = 'cut'
  // Lye-heavy by a weight that was wrong: what becomes of it is asked at once.
  else if (kind.value === 'corrected' && kept.facts.usable.state === 'locked')
    kind.value = 'salvaged'
  else asked.value = null
}
</script>

<template>
  <AppDialog
    v-model="open"
    :title="`${looks.title}: ${batch.name} ${batch.number}`"
    :wide="looks.wide"
  >
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <label class="flex items-center gap-3 font-semibold">
        On
        <input v-model="day" type="date" class="field font-normal" :max="today" required />
      </label>
      <component
        :is="fields"
        :key="kind"
        v-model="said"
        :batch="batch"
        :day="day"
        :before="before"
      />
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">{{ looks.cancel ?? 'Cancel' }}</AppButton>
      <AppButton kind="main" :disabled="!event || busy" @click="done">{{
        looks.confirm
      }}</AppButton>
    </template>
  </AppDialog>
</template>
