<script setup lang="ts">
import type { OnRack } from '~/composables/useRack'

/** The ticked batches on paper, for a walk through the room: where they stand, what is due, blanks for what is found. */
const { items } = defineProps<{ items: OnRack[] }>()
const { today, say } = storeToRefs(useWorkshop())
</script>

<template>
  <article class="hidden print:block">
    <h1>Round through the room, {{ dayText(today, { weekday: true, long: true }) }}</h1>
    <table class="figure mt-4 w-full text-[13px]">
      <thead>
        <tr class="text-left">
          <th>Batch</th>
          <th>Bars</th>
          <th>Place</th>
          <th>Due</th>
          <th>Marked bars, g</th>
          <th>Strip</th>
          <th>Turned</th>
          <th>Note</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ batch, standing, places, tag } in items"
          :key="batch.id"
          class="h-[10mm] border-t border-line-3"
        >
          <td class="font-bold">{{ batch.name }} {{ batch.number }}</td>
          <td>{{ standing.bars }}</td>
          <td>{{ say.list(places) }}</td>
          <td>{{ tag?.says }}</td>
          <td>{{ batch.facts.weighed.map(({ bar }) => `${bar} ____`).join('  ') || '____' }}</td>
          <td>____</td>
          <td>☐</td>
          <td class="w-[40mm]" />
        </tr>
      </tbody>
    </table>
  </article>
</template>
