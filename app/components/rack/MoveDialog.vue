<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { byPlace } from '#core/rack/places'
import { standingOf } from '#core/rack/standing'
import { sumOf } from '#core/statistics/sum'

/** All bars of one or several batches to one place, with the room each place has left. */
const { batches: moving } = defineProps<{ batches: BatchSummary[] }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ room: [] }>()
const batches = useBatches()
const { today, say, settings } = storeToRefs(useWorkshop())
const ids = new Set(moving.map(({ id }) => id))
const barsOf = (batch: BatchSummary) => standingOf(batch, today.value).bars
const bars = computed(() => sumOf(moving, barsOf))
const places = computed(() => {
  const all = settings.value.rack.places
  const there = byPlace(batches.list, new Set(all.map(({ id }) => id)), today.value)
  return all.map((place) => {
    const others = (there.get(place.id) ?? []).filter(({ batch }) => !ids.has(batch.id))
    const left = place.bars - sumOf(others, (one) => one.bars) - bars.value
    return { ...place, left }
  })
})
async function move(place: { id: string; name: string }) {
  open.value = false
  await batches.tellAll(
    moving,
    (batch) => ({
      kind: 'placed',
      day: today.value,
      spread: [{ place: place.id, bars: barsOf(batch) }],
    }),
    (of) =>
      of.length > 1
        ? `${of.length} batches stand on ${place.name}.`
        : `${of[0]!.name} ${of[0]!.number} stands on ${place.name}.`,
  )
}
</script>

<template>
  <AppDialog v-model="open" :title="`Move ${say.count(bars, 'bar', 'bars')} to`" live>
    <ul class="px-5 py-3">
      <li v-for="place in places" :key="place.id" class="border-t border-line-2 first:border-t-0">
        <button
          type="button"
          class="flex min-h-11 w-full items-center justify-between gap-4 text-left hover:bg-line-2"
          @click="move(place)"
        >
          <b>{{ place.name }}</b>
          <span class="figure text-sm" :class="place.left < 0 ? 'text-warn' : 'text-ink-2'">{{
            place.left < 0 ? `${-place.left} too many` : `they fit, ${place.left} left free`
          }}</span>
        </button>
      </li>
      <li v-if="!places.length" class="text-ink-2">
        The room has no places yet.
        <button type="button" class="link" @click="((open = false), emit('room'))">
          Say which planks and trays there are
        </button>
      </li>
    </ul>
  </AppDialog>
</template>
