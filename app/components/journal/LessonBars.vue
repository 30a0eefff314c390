<script setup lang="ts">
import type { LessonStanding } from '#contracts/journal'

/** How a lesson stands: the bars of batches in which it held stand, the others lie. */
const { standing, tall = 34 } = defineProps<{ standing: LessonStanding; tall?: number }>()
const { say } = storeToRefs(useWorkshop())
const wide = computed(() => Math.round(tall * 0.55))
const says = computed(() => {
  const numbers = (held: boolean) =>
    say.value.list(
      standing.batches.filter((one) => one.held === held).map(({ number }) => String(number)),
      'and',
    )
  const [held, not] = [numbers(true), numbers(false)]
  return `${held ? `It held in batch ${held}.` : ''} ${not ? `It did not in batch ${not}.` : ''}`.trim()
})
</script>

<template>
  <div v-if="standing.batches.length" role="img" :aria-label="says" class="inline-block">
    <div class="flex items-end gap-2 border-b-[6px] border-plank px-1.5">
      <span
        v-for="one in standing.batches"
        :key="one.id"
        class="flex items-end justify-center"
        :style="{ width: `${one.held ? wide : tall + 2}px`, height: `${tall}px` }"
      >
        <BarThumbnail
          :thumbnail="one.thumbnail"
          :width="one.held ? wide : tall + 2"
          :height="one.held ? tall : wide"
        />
      </span>
    </div>
    <div class="figure flex gap-2 px-1.5 text-[12px] text-ink-2" aria-hidden="true">
      <span
        v-for="one in standing.batches"
        :key="one.id"
        class="text-center"
        :class="{ 'font-bold text-ink': !one.held }"
        :style="{ width: `${one.held ? wide : tall + 2}px` }"
        >{{ one.number }}</span
      >
    </div>
  </div>
</template>
