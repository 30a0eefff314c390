<script setup lang="ts">
import { barsByPlace } from '#core/rack/places'
import { standingOf } from '#core/rack/standing'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'
import { sumOf } from '#core/statistics/sum'

/** On which planks and trays the bars of a batch stand. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const { settings, today } = storeToRefs(useWorkshop())
const places = computed(() => settings.value.rack.places)
const now = new Map(barsByPlace(batch, today.value).map(({ place, bars }) => [place, bars]))
const typed = reactive<Record<string, number | null>>(
  Object.fromEntries(places.value.map(({ id }) => [id, now.get(id) ?? null])),
)
const there = computed(() => standingOf(batch, today.value).bars)
const spread = computed(() =>
  places.value.flatMap(({ id }) => (typed[id] ? [{ place: id, bars: typed[id] }] : [])),
)
const left = computed(() => there.value - sumOf(spread.value, ({ bars }) => bars))
watchEffect(
  () =>
    (answer.value =
      spread.value.length && left.value >= 0 ? { kind: 'placed', spread: spread.value } : null),
)
</script>

<template>
  <p v-if="!places.length" class="text-ink-2">
    The room has no places yet: add planks and trays under “Room” on the rack first.
  </p>
  <ul class="grid gap-2 sm:grid-cols-2">
    <li v-for="place in places" :key="place.id" class="flex items-center justify-between gap-3">
      <span>{{ place.name }}</span>
      <NumberField
        v-model="typed[place.id]!"
        :label="`Bars on ${place.name}`"
        class="w-20"
        :min="0"
        :max="10000"
        :decimals="0"
      />
    </li>
  </ul>
  <p :class="left < 0 ? 'font-semibold text-stop' : 'text-ink-2'" role="status">
    {{
      left < 0
        ? `${-left} more than the ${there} that are there.`
        : left
          ? `${left} of ${there} still to be placed.`
          : `All ${there} are placed.`
    }}
  </p>
</template>
