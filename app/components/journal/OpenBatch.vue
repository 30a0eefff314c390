<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { happened } from '#core/events/index'
import { lessonsOf } from '#core/rack/lessons'
import { standingEvents } from '#core/units/standingEvents'

/** A batch as it lies open in the journal: its picture, its figures, what was written of it. */
const { batch, marks } = defineProps<{ batch: Batch; marks: readonly string[] }>()
const { say, today } = storeToRefs(useWorkshop())
const events = computed(() => standingEvents(batch.events))
const outs = computed(() => {
  const by = new Map<string, number>()
  for (const event of events.value)
    if (event.kind === 'out') by.set(event.how, (by.get(event.how) ?? 0) + event.bars)
  return say.value.list([...by].map(([how, bars]) => `${bars} ${how}`))
})
const head = computed(() => {
  const { pouredOn, bars } = batch.facts
  const poured = pouredOn
    ? `Poured ${dayText(pouredOn, { today: today.value, long: true })}`
    : 'Planned'
  return `${poured}, ${say.value.count(bars, 'bar', 'bars')}${outs.value ? `, ${outs.value}` : ''}.`
})
const photos = computed(() =>
  events.value.flatMap((event) => ('photos' in event ? event.photos : [])),
)
const rows = computed(() =>
  madeRows(batch, say.value)
    .map(({ says, planned, made }) => ({ says, value: made === '–' ? planned : made }))
    .filter(({ value }) => value !== '–'),
)
/** What people wrote, with the time of it, the day where it was another one. */
const written = computed(() => {
  const lessons = new Set(lessonsOf(batch.events).map(({ id }) => id))
  return events.value.flatMap((event) => {
    const note =
      event.kind === 'noted'
        ? event.note
        : event.kind === 'trouble' && event.how
          ? happened(event, { say: say.value, places: [] })
          : event.kind === 'poured'
            ? (event.bench?.notes ?? []).join(' ')
            : 'note' in event
              ? (event.note ?? '')
              : ''
    return note && !lessons.has(event.id)
      ? [
          {
            id: event.id,
            on: dayText(event.day, { today: today.value }),
            note,
            byHand: event.kind !== 'trouble',
          },
        ]
      : []
  })
})
</script>

<template>
  <div class="flex items-start gap-4">
    <BarThumbnail :thumbnail="batch.thumbnail" :width="86" :height="58" />
    <div class="min-w-0">
      <h2 class="text-[22px] leading-tight font-bold text-ink">
        <MarkedText :text="`${batch.name} ${batch.number}`" :marks="marks" />
      </h2>
      <p class="text-[13.5px] text-ink-2">{{ head }}</p>
    </div>
  </div>
  <div class="mt-4 flex flex-wrap gap-4">
    <a
      v-if="photos[0]"
      :href="`/api/photos/${photos[0]}`"
      target="_blank"
      rel="noopener"
      class="w-full max-w-[248px] sm:w-1/2"
      ><img
        :src="`/api/photos/${photos[0]}`"
        :alt="`Photo of ${batch.name} ${batch.number}`"
        class="h-[136px] w-full object-cover"
    /></a>
    <dl class="figure grid flex-1 grid-cols-[auto_1fr] content-start gap-x-3 gap-y-1 text-[13.5px]">
      <template v-for="row in rows.slice(0, 7)" :key="row.says">
        <dt class="text-ink-2">{{ row.says }}</dt>
        <dd class="text-right font-[650]">{{ row.value }}</dd>
      </template>
    </dl>
  </div>
  <ul v-if="written.length" class="mt-4 grid gap-1.5">
    <li v-for="one in written.slice(0, 8)" :key="one.id" class="grid grid-cols-[84px_1fr] gap-2">
      <span class="figure text-[13px] text-ink-2">{{ one.on }}</span>
      <span :class="{ typed: one.byHand }"><MarkedText :text="one.note" :marks="marks" /></span>
    </li>
  </ul>
  <p v-if="photos.length > 1" class="mt-3 flex flex-wrap gap-2">
    <a
      v-for="(photo, place) in photos.slice(1, 7)"
      :key="photo"
      :href="`/api/photos/${photo}`"
      target="_blank"
      rel="noopener"
      ><img
        :src="`/api/photos/${photo}`"
        :alt="`Photo ${place + 2} of ${batch.name} ${batch.number}`"
        class="size-16 object-cover"
        loading="lazy"
    /></a>
  </p>
</template>
