<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'
import { Check } from '@lucide/vue'

/** A batch along its plank, up to two dozen bars: the marked ones in full colour, the one that is asked for lifted out. */
const { batch, bar, marked } = defineProps<{
  batch: BatchSummary
  bar: number
  /** Bars that are weighed each time, and whether they are by now. */
  marked: ReadonlyMap<number, boolean>
}>()
const { today } = storeToRefs(useWorkshop())
const most = 24
const url = computed(() => thumbnailUrl(batch.thumbnail, 11, 22))
const plank = computed(() => {
  const count = Math.min(most, Math.max(standingOf(batch, today.value).bars, bar))
  return Array.from({ length: count }, (_, place) => ({
    bar: place + 1,
    marked: marked.has(place + 1),
    done: marked.get(place + 1) ?? false,
    now: place + 1 === bar,
  }))
})
</script>

<template>
  <div class="bg-band px-4 pt-3 pb-1.5" aria-hidden="true">
    <div class="flex h-9 items-end gap-[3px] border-b-[7px] border-plank">
      <img
        v-for="each in plank"
        :key="each.bar"
        :src="url"
        class="h-[22px] min-w-0 flex-1 object-fill"
        :class="
          each.now
            ? 'mb-2.5 outline-2 outline-offset-2 outline-act'
            : each.marked
              ? ''
              : 'opacity-40'
        "
        alt=""
      />
    </div>
    <div class="figure flex h-5 text-[13px]">
      <span v-for="each in plank" :key="each.bar" class="relative min-w-0 flex-1">
        <span v-if="each.marked" class="absolute left-1/2 -translate-x-1/2">
          <Check v-if="each.done && !each.now" :size="15" class="mt-0.5 text-ok" />
          <b v-else-if="each.now">{{ each.bar }}</b>
          <template v-else>{{ each.bar }}</template>
        </span>
      </span>
    </div>
  </div>
</template>
