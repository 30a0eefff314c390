<script setup lang="ts">
import { X } from '@lucide/vue'
import { paceOf } from '#core/day/batchOfDay'
import type { MakingDayHere } from '~/composables/useMakingDay'

/** The batches of a day, each with what matters of it; and one more. */
const { here, clashing = [] } = defineProps<{ here: MakingDayHere; clashing?: readonly string[] }>()
const emit = defineEmits<{ add: []; remove: [id: string] }>()
const { made, batches, day } = here
/** What is to be known of a batch at a glance. */
function about(id: string): { says: string; warns: string } {
  const own = made.value.find((one) => one.id === id)
  const batch = batches.value.get(id)
  if (!own || !batch) return { says: '', warns: '' }
  const pace = paceOf(own.plan)
  return {
    says: here.say.value.count(batch.bars, 'bar', 'bars'),
    warns: pace.races
      ? `races: ${minutesText(pace.working)}`
      : own.plan.jug.bySpoon
        ? 'in the ice bath'
        : '',
  }
}
</script>

<template>
  <ul class="grid grid-cols-1 gap-2 sm:grid-cols-2 lg:grid-cols-5" aria-label="Batches of the day">
    <li
      v-for="one in here.onIt.value"
      :key="one.id"
      class="sheet group relative flex min-w-0 items-center gap-2.5 px-2.5 py-2.5"
      :class="clashing.includes(one.id) ? 'border-2 !border-warn' : ''"
    >
      <BarThumbnail
        v-if="batches.get(one.id)"
        :thumbnail="batches.get(one.id)!.thumbnail"
        :width="46"
        :height="31"
      />
      <div class="min-w-0 flex-1">
        <NuxtLink
          :to="`/bench/${one.id}`"
          class="block text-[14.5px] leading-tight font-bold hover:underline"
          >{{ batches.get(one.id)?.number }} {{ batches.get(one.id)?.name }}</NuxtLink
        >
        <p class="figure text-[12.5px] leading-tight text-ink-2">
          {{ about(one.id).says
          }}<template v-if="about(one.id).warns"
            >, <b class="text-warn">{{ about(one.id).warns }}</b></template
          >
        </p>
      </div>
      <button
        v-if="!day?.startedAt"
        type="button"
        class="absolute top-0 right-0 grid size-7 place-items-center text-ink-3 hover:text-ink"
        :aria-label="`Take ${batches.get(one.id)?.name} ${batches.get(one.id)?.number} off the day`"
        @click="emit('remove', one.id)"
      >
        <X :size="14" aria-hidden="true" />
      </button>
    </li>
    <li v-if="!day?.startedAt && here.onIt.value.length < 6">
      <button
        type="button"
        class="flex h-full min-h-[58px] w-full items-center justify-center gap-2 rounded-md border border-dashed border-line-3 text-[14.5px] font-semibold hover:bg-sheet"
        @click="emit('add')"
      >
        Add a batch <kbd aria-hidden="true">A</kbd>
      </button>
    </li>
  </ul>
</template>
