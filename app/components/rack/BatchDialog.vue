<script setup lang="ts">
import type { NewBatchEvent } from '#contracts/batch'
import type { Component } from 'vue'
import type { BatchAnswer, BatchQuestion } from '~/composables/useBatchDialog'
import CorrectedAsk from './ask/CorrectedAsk.vue'
import CutAsk from './ask/CutAsk.vue'
import FeltAsk from './ask/FeltAsk.vue'
import FinishedAsk from './ask/FinishedAsk.vue'
import GelledAsk from './ask/GelledAsk.vue'
import LeftAsk from './ask/LeftAsk.vue'
import NotedAsk from './ask/NotedAsk.vue'
import OutAsk from './ask/OutAsk.vue'
import PeekAsk from './ask/PeekAsk.vue'
import PlacedAsk from './ask/PlacedAsk.vue'
import PouredAsk from './ask/PouredAsk.vue'
import ReleasedAsk from './ask/ReleasedAsk.vue'
import StripAsk from './ask/StripAsk.vue'
import TriedAsk from './ask/TriedAsk.vue'
import TroubleAsk from './ask/TroubleAsk.vue'
import TrustedAsk from './ask/TrustedAsk.vue'
import ZappedAsk from './ask/ZappedAsk.vue'

/** Writes down one thing that happened to a batch, each with its own few fields. All of it can be taken back. */
const asked = useBatchDialog()
const batches = useBatches()
const { today, say } = storeToRefs(useWorkshop())
const batch = computed(
  () => batches.list.find(({ id }) => id === asked.value?.batch.id) ?? asked.value!.batch,
)
const kind = ref<BatchQuestion>(asked.value!.asks)
const open = computed({
  get: () => true,
  set: () => (asked.value = null),
})
const day = ref(today.value)
/** Of what this dialog tells: pressed twice, it is told once. */
let id = newId()

/** The fields of each question, and what they come to; what was written down just before leads on. */
const asks: Record<BatchQuestion, Component> = {
  poured: PouredAsk,
  peek: PeekAsk,
  tried: TriedAsk,
  cut: CutAsk,
  finished: FinishedAsk,
  placed: PlacedAsk,
  gelled: GelledAsk,
  strip: StripAsk,
  zapped: ZappedAsk,
  trusted: TrustedAsk,
  released: ReleasedAsk,
  felt: FeltAsk,
  trouble: TroubleAsk,
  corrected: CorrectedAsk,
  noted: NotedAsk,
  out: OutAsk,
  left: LeftAsk,
}
const said = ref<BatchAnswer>(null)
const before = ref<BatchAnswer>(null)
/** What a few of them want to know besides the batch. */
const props = computed(() => {
  switch (kind.value) {
    case 'poured':
      return { day: day.value }
    case 'zapped':
      return { before: before.value }
    case 'trusted':
    case 'finished':
      return {}
    default:
      return { batch: batch.value }
  }
})

const looks: Record<BatchQuestion, { title: string; confirm: string }> = {
  poured: { title: 'Poured', confirm: 'It is poured' },
  peek: { title: 'Under the cover', confirm: 'Keep it' },
  tried: { title: 'Try the loaf', confirm: 'Keep it' },
  finished: { title: 'After the cut', confirm: 'Keep it' },
  placed: { title: 'Places', confirm: 'They stand there' },
  felt: { title: 'Try a bar', confirm: 'Keep the scores' },
  trouble: { title: 'Trouble', confirm: 'Write it down' },
  corrected: { title: 'A wrong weight', confirm: 'That is what went in' },
  noted: { title: 'Note', confirm: 'Keep it' },
  cut: { title: 'Cut', confirm: 'It is cut' },
  gelled: { title: 'Gel', confirm: 'Keep it' },
  strip: { title: 'Strip', confirm: 'Keep the reading' },
  zapped: { title: 'Zap test', confirm: 'Keep it' },
  trusted: { title: 'Trust the weights', confirm: 'Trust the weights' },
  released: { title: 'For sale', confirm: 'It may be sold' },
  out: { title: 'Out', confirm: 'Take them out' },
  left: { title: 'Off the rack', confirm: 'Take it off' },
}
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
    `${name}: ${happenedText(event.value, say.value).toLowerCase()}.`,
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
  // A strip that is soap leads on to the tongue, which some makers want besides.
  else if (kind.value === 'strip' && kept.facts.usable.state === 'usable') kind.value = 'zapped'
  else asked.value = null
}
</script>

<template>
  <AppDialog
    v-model="open"
    :title="`${looks[kind].title}: ${batch.name} ${batch.number}`"
    :wide="kind === 'felt' || kind === 'corrected'"
  >
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <label class="flex items-center gap-3 font-semibold">
        On
        <input v-model="day" type="date" class="field font-normal" :max="today" required />
      </label>
      <component :is="asks[kind]" :key="kind" v-model="said" v-bind="props" />
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">{{
        kind === 'zapped' ? 'No zap test' : 'Cancel'
      }}</AppButton>
      <AppButton kind="main" :disabled="!event || busy" @click="done">{{
        looks[kind].confirm
      }}</AppButton>
    </template>
  </AppDialog>
</template>
