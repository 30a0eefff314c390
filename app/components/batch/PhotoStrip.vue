<script setup lang="ts">
import { happened } from '#core/events/index'
import type { Batch } from '#contracts/batch'
import { standingEvents } from '#core/units/standingEvents'
import { daysBetween } from '#core/units/days'

/** Every photo of a batch, in the order of its life. */
const { batch } = defineProps<{ batch: Batch }>()
const { say } = storeToRefs(useWorkshop())
const photos = computed(() =>
  standingEvents(batch.events).flatMap((event) =>
    'photos' in event
      ? event.photos.map((id) => ({
          id,
          says: happened(event, { say: say.value, places: [] }),
          day: batch.facts.pouredOn ? daysBetween(batch.facts.pouredOn, event.day) : null,
        }))
      : [],
  ),
)
</script>

<template>
  <section v-if="photos.length" class="sheet px-5 py-4" aria-label="Photos">
    <h2 class="mb-2">Photos</h2>
    <ul class="flex flex-wrap gap-3">
      <li v-for="photo in photos" :key="photo.id" class="w-32">
        <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
          <img
            :src="`/api/photos/${photo.id}`"
            :alt="photo.says"
            class="h-24 w-32 object-cover"
            loading="lazy"
          />
        </a>
        <p class="text-xs text-ink-2">
          <template v-if="photo.day !== null">day {{ photo.day }}, </template>{{ photo.says }}
        </p>
      </li>
    </ul>
  </section>
</template>
