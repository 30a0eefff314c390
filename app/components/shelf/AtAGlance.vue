<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf, type RackStage } from '#core/rack/standing'
import { sumOf } from '#core/statistics/sum'

/** The workshop as one picture: what waits for the pot, what lies in moulds, what dries, what is ready, from left to right. */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today } = storeToRefs(useWorkshop())
const steps: { stage: RackStage[]; says: string; to: string; loaf: boolean }[] = [
  { stage: ['planned'], says: 'to pour', to: '/bench', loaf: true },
  { stage: ['first-days'], says: 'first days', to: '/rack', loaf: true },
  { stage: ['drying'], says: 'drying', to: '/rack', loaf: false },
  { stage: ['last-weeks'], says: 'last weeks', to: '/rack', loaf: false },
  { stage: ['ready'], says: 'on the mantle', to: '/rack', loaf: false },
]
/** Faces that find room on one plank of the picture. */
const most = 5
const shown = computed(() => {
  const all = batches.map((batch) => ({ batch, ...standingOf(batch, today.value) }))
  return steps.map((step) => {
    const here = all.filter(({ stage }) => step.stage.includes(stage))
    return {
      ...step,
      faces: here.slice(0, most).map(({ batch }) => batch),
      batches: here.length,
      bars: sumOf(here, ({ bars }) => bars),
    }
  })
})
</script>

<template>
  <ul class="grid grid-cols-5 gap-1.5" aria-label="The workshop at a glance">
    <li v-for="(step, place) in shown" :key="step.says" class="flex min-w-0 flex-col justify-end">
      <NuxtLink :to="step.to" class="block rounded-sm hover:bg-white">
        <span
          class="flex h-[52px] items-end justify-center gap-px overflow-hidden border-b-[6px] border-plank"
          aria-hidden="true"
          :style="{ marginBottom: `${place * 7}px` }"
        >
          <BarThumbnail
            v-for="batch in step.faces"
            :key="batch.id"
            :thumbnail="batch.thumbnail"
            :width="step.loaf ? 40 : 15"
            :height="step.loaf ? 26 : 40 - place * 2"
            :class="step.loaf ? 'min-w-0 shrink' : ''"
          />
        </span>
        <span class="block text-center leading-tight">
          <b class="figure text-[17px] font-[650]">{{ step.bars }}</b>
          <span class="block text-[12px] text-ink-2">{{ step.says }}</span>
          <span class="sr-only">bars in {{ step.batches }} batches</span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>
