<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { cureRule } from '#core/rack/cure'
import { standingEvents, standingOf } from '#core/rack/standing'
import { Printer } from '@lucide/vue'

const route = useRoute()
const id = String(route.params.id)
const batches = useBatches()
const workshop = useWorkshop()
const { today, say } = storeToRefs(workshop)

const batch = ref<Batch | null>(null)
const problem = ref('')
const note = ref('')
async function load() {
  try {
    batch.value = await api.get<Batch>(`/api/batches/${id}`)
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)
useHead({
  title: () =>
    batch.value ? `${batch.value.name} ${batch.value.number} · Mantle` : 'Batch · Mantle',
})

/** An undo in a toast changes the batch in the store; this page follows it. */
watch(
  () => batches.latest,
  (latest) => {
    if (latest?.id === id) batch.value = latest
  },
)
const standing = computed(() => (batch.value ? standingOf(batch.value, today.value) : null))
const told = computed(() => (batch.value ? standingEvents(batch.value.events) : []))
const atBench = computed(() =>
  told.value.some((event) => event.kind === 'poured' && event.made !== undefined),
)
async function addNote() {
  if (!note.value.trim()) return
  const kept = await batches.tell(
    id,
    { kind: 'noted', day: today.value, note: note.value.trim() },
    'Note kept.',
  )
  if (kept) note.value = ''
}
const print = () => window.print()
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <div
    v-else-if="batch && standing"
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[minmax(0,1fr)_340px] print:block print:p-0"
  >
    <BatchSheet :batch="batch" />
    <aside class="no-print space-y-4 max-lg:order-first" aria-label="Where this batch stands">
      <div class="sheet px-5 py-4">
        <h1 class="text-[20px]">{{ batch.name }} {{ batch.number }}</h1>
        <p class="mb-3 text-ink-2"><StandingLine :batch="batch" /></p>
        <BatchActions :batch="batch" class="mb-3" />
        <div class="flex flex-wrap gap-2">
          <AppButton @click="print"><Printer :size="16" /> Print the sheet</AppButton>
          <AppButton v-if="atBench" :to="`/bench/${batch.id}`">As made at the bench</AppButton>
          <AppButton :to="`/formulas/${batch.formulaId}`">Its formula now</AppButton>
        </div>
      </div>
      <div v-if="batch.facts.pouredOn" class="sheet px-5 py-4">
        <BatchDates :batch="batch" />
        <LazyDryingChart v-if="batch.facts.drying" :batch="batch" class="mt-4 h-[190px]" />
        <p v-if="batch.facts.drying" class="figure mt-1 text-sm text-ink-2">
          Label it {{ labelText(batch.facts.drying, say) }}: 97.5 of 100 bars still weigh that when
          long dried.
        </p>
      </div>
      <div class="sheet px-5 py-4">
        <h2 class="mb-2">What happened</h2>
        <ol class="space-y-2">
          <li class="flex gap-3">
            <span class="w-20 shrink-0 text-ink-2">{{
              dayText(workshop.dayOf(batch.madeAt), { today })
            }}</span>
            <span
              >Planned, {{ batch.bars }} bars,
              {{ cureRule(batch.cure.rule)?.label.toLowerCase() ?? batch.cure.rule }}:
              {{ batch.cure.days }} days</span
            >
          </li>
          <li v-for="event in told" :key="event.id" class="flex gap-3">
            <span class="w-20 shrink-0 text-ink-2">{{ dayText(event.day, { today }) }}</span>
            <span class="figure min-w-0 break-words">{{ happenedText(event, say) }}</span>
          </li>
        </ol>
        <form class="mt-3 flex gap-2" @submit.prevent="addNote">
          <input
            v-model="note"
            class="field min-w-0 flex-1"
            maxlength="2000"
            aria-label="A note on this batch"
            placeholder="What was learned"
          />
          <AppButton @click="addNote">Keep</AppButton>
        </form>
      </div>
    </aside>
  </div>
</template>
