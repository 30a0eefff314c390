<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Trial } from '#contracts/trial'
import { madeOf } from '#core/rack/facts'
import { standingEvents } from '#core/units/standingEvents'

/** Under what it was tried: of a tail what its batch was made at, of a batter of its own what its formula asks. */
const { trial } = defineProps<{ trial: Trial }>()
const { say } = storeToRefs(useWorkshop())
const batch = shallowRef<Batch | null>(null)
watch(
  () => trial.batchId,
  async (id) => {
    batch.value = id ? await api.get<Batch>(`/api/batches/${id}`).catch(() => null) : null
  },
  { immediate: true },
)
const gelSays = { none: 'no gel', partial: 'gel in part', full: 'gel all through' } as const
const rows = computed(() => {
  const events = standingEvents(batch.value?.events ?? [])
  const poured = events.find((event) => event.kind === 'poured')
  const gel = events.findLast((event) => event.kind === 'gelled')
  const { method } = batch.value?.frozen.document ?? trial.formula
  const bench = poured?.kind === 'poured' ? poured.bench : undefined
  const made = batch.value && madeOf(batch.value.frozen, events)
  const celsius = (asMade: number | null | undefined, planned: number) =>
    `${say.value.temperature(asMade ?? planned)}${asMade == null ? ', as planned' : ''}`
  return [
    ['Lye', celsius(bench?.lyeC, method.lyeC)],
    ['Oils', celsius(bench?.oilsC, method.oilsC)],
    ...(made ? [['Superfat as weighed', say.value.percent(made.superfat, 2)]] : []),
    ['Room', say.value.temperature(trial.roomC)],
    ['Pots kept at', trial.keptC === null ? 'as the room' : say.value.temperature(trial.keptC)],
    ...(gel?.kind === 'gelled' ? [['Its batch', gelSays[gel.gel]]] : []),
  ] as const
})
</script>

<template>
  <section class="sheet px-4 py-3" aria-labelledby="conditions">
    <h2 id="conditions" class="text-sm font-semibold text-ink-2">
      <template v-if="batch"
        >From the tail of
        <NuxtLink :to="`/batches/${batch.id}`" class="link"
          >{{ batch.name }} {{ batch.number }}</NuxtLink
        ></template
      ><template v-else>A batter of its own</template>
    </h2>
    <dl class="figure mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
      <template v-for="[what, value] in rows" :key="what">
        <dt class="text-ink-2">{{ what }}</dt>
        <dd class="text-right font-semibold">{{ value }}</dd>
      </template>
    </dl>
  </section>
</template>
