<script setup lang="ts">
import { inSentence } from '#core/units/language'
import { happened } from '#core/events/index'
import type { Batch } from '#contracts/batch'
import { cureRule } from '#core/rack/cure'
import { standingEvents } from '#core/units/standingEvents'

/** Everything that happened to a batch, the latest first, each to be taken back. */
const { batch } = defineProps<{ batch: Batch }>()
const batches = useBatches()
const workshop = useWorkshop()
const { today, say } = storeToRefs(workshop)
/** Told by days; of one day the last written down first. What Mantle foretold is none of it. */
const told = computed(() =>
  standingEvents(batch.events)
    .filter(({ kind }) => kind !== 'foretold')
    .map((event, place) => ({ event, place }))
    .sort((a, b) => b.event.day.localeCompare(a.event.day) || b.place - a.place)
    .map(({ event }) => event),
)
/** As many as are looked through at a glance. */
const atFirst = 7
const all = ref(false)
const shown = computed(() => (all.value ? told.value : told.value.slice(0, atFirst)))
const says = (event: (typeof told.value)[number]) =>
  happened(event, { say: say.value, places: workshop.settings.rack.places })
/** The hour, where it was written down on its own day. */
function hour(event: (typeof told.value)[number]): string {
  const at = (event.kind === 'poured' && event.pouredAt) || event.at
  return workshop.dayOf(at) === event.day ? timeText(at, workshop.settings.timeZone) : ''
}
const undo = (event: string) =>
  void batches.tell(batch.id, { kind: 'undone', event }, 'Taken back.')
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between gap-3 px-4 py-2">
      <h2>What happened</h2>
      <button
        v-if="told.length > atFirst"
        type="button"
        class="link text-sm print:hidden"
        :aria-expanded="all"
        @click="all = !all"
      >
        {{ all ? 'the latest' : `all ${told.length}` }}
      </button>
    </div>
    <ol>
      <li
        v-for="event in shown"
        :key="event.id"
        class="group figure grid grid-cols-[52px_44px_1fr_auto] gap-x-2 border-t border-line-2 px-4 py-1.5"
      >
        <span class="text-ink-2">{{ dayText(event.day, { today }) }}</span>
        <span class="text-ink-2">{{ hour(event) }}</span>
        <span class="min-w-0 break-words">{{ says(event) }}</span>
        <button
          type="button"
          class="link shrink-0 self-start text-sm opacity-0 group-hover:opacity-100 focus:opacity-100 print:hidden"
          :aria-label="`Take back: ${says(event)}`"
          @click="undo(event.id)"
        >
          Take back
        </button>
      </li>
      <li
        v-if="all || told.length <= atFirst"
        class="figure grid grid-cols-[52px_44px_1fr] gap-x-2 border-t border-line-2 px-4 py-1.5"
      >
        <span class="text-ink-2">{{ dayText(workshop.dayOf(batch.madeAt), { today }) }}</span>
        <span class="text-ink-2">{{ timeText(batch.madeAt, workshop.settings.timeZone) }}</span>
        <span
          >Planned, {{ say.count(batch.bars, 'bar', 'bars') }},
          {{ inSentence(cureRule(batch.cure.rule)?.label ?? 'a rule of our own') }}:
          {{ say.count(batch.cure.days, 'day', 'days') }}</span
        >
      </li>
    </ol>
  </div>
</template>
