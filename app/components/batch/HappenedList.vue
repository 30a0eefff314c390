<script setup lang="ts">
import { inSentence } from '#core/units/language'
import { eventKinds, happened } from '#core/events/index'
import type { Batch } from '#contracts/batch'
import { cureRule } from '#core/rack/cure'
import { standingEvents } from '#core/rack/standing'

/** Everything that happened to a batch, in order, each to be taken back. */
const { batch } = defineProps<{ batch: Batch }>()
const batches = useBatches()
const workshop = useWorkshop()
const { today, say } = storeToRefs(workshop)
const told = computed(() => standingEvents(batch.events))
/** What is done again and again would bury the rest: it is folded. */
const isOften = ({ kind }: (typeof told.value)[number]) => eventKinds[kind].often !== undefined
const all = ref(false)
const folded = computed(() => told.value.filter(isOften).length)
const shown = computed(() =>
  all.value || folded.value < 4 ? told.value : told.value.filter((event) => !isOften(event)),
)
const says = (event: (typeof told.value)[number]) =>
  happened(event, { say: say.value, places: workshop.settings.rack.places })
const undo = (event: string) =>
  void batches.tell(batch.id, { kind: 'undone', event }, 'Taken back.')
</script>

<template>
  <ol class="space-y-2">
    <li class="flex gap-3">
      <span class="w-24 shrink-0 text-ink-2">{{
        dayText(workshop.dayOf(batch.madeAt), { today })
      }}</span>
      <span
        >Planned, {{ say.count(batch.bars, 'bar', 'bars') }},
        {{ inSentence(cureRule(batch.cure.rule)?.label ?? 'a rule of our own') }}:
        {{ say.count(batch.cure.days, 'day', 'days') }}</span
      >
    </li>
    <li v-for="event in shown" :key="event.id" class="group flex gap-3">
      <span class="w-24 shrink-0 text-ink-2">{{ dayText(event.day, { today }) }}</span>
      <span class="figure min-w-0 flex-1 break-words">{{ says(event) }}</span>
      <button
        type="button"
        class="link shrink-0 self-start text-sm opacity-0 group-hover:opacity-100 focus:opacity-100 print:hidden"
        :aria-label="`Take back: ${says(event)}`"
        @click="undo(event.id)"
      >
        Take back
      </button>
    </li>
  </ol>
  <button v-if="folded > 3" type="button" class="link mt-2 print:hidden" @click="all = !all">
    {{ all ? 'Without turnings and weigh-ins' : `With ${folded} turnings, weigh-ins and moves` }}
  </button>
</template>
