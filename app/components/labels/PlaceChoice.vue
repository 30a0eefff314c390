<script setup lang="ts">
import { places } from '#core/label/places'

/** Where bars are sold. */
const workshop = useWorkshop()
const { settings } = storeToRefs(workshop)
const toasts = useToasts()
async function choose(place: (typeof places)[number]['id']) {
  try {
    await workshop.save({ selling: { place } })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <span class="inline-flex flex-wrap gap-2" role="group" aria-label="Where you sell">
    <AppButton
      v-for="place in places"
      :key="place.id"
      :aria-pressed="settings.selling.place === place.id"
      :class="settings.selling.place === place.id ? '!border-ink font-bold' : ''"
      @click="choose(place.id)"
      >{{ place.says }}</AppButton
    >
  </span>
</template>
