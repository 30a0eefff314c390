<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { standingEvents } from '#core/units/standingEvents'

/** What the batch is by the formula as frozen, and by what was weighed and done: side by side. */
const { batch } = defineProps<{ batch: Batch }>()
const { say } = storeToRefs(useWorkshop())
const corrected = computed(() =>
  standingEvents(batch.events).some(({ kind }) => kind === 'corrected'),
)
</script>

<template>
  <table class="figure w-full">
    <thead>
      <tr class="border-b border-line text-sm text-ink-2">
        <th scope="col" class="py-1 text-left font-normal"><span class="sr-only">What</span></th>
        <th scope="col" class="py-1 text-right font-normal">as planned</th>
        <th scope="col" class="py-1 text-right font-normal">
          {{ corrected ? 'as corrected' : 'as made' }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in madeRows(batch, say)" :key="row.says" class="border-b border-line-2">
        <th scope="row" class="py-1 text-left font-normal">{{ row.says }}</th>
        <td class="py-1 pl-3 text-right text-ink-2">{{ row.planned }}</td>
        <td class="py-1 pl-3 text-right font-[650]">{{ row.made }}</td>
      </tr>
    </tbody>
  </table>
</template>
