<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { plankOf } from '#core/rack/planks'
import { standingOf, type RackStage } from '#core/rack/standing'
import { sumOf } from '#core/statistics/sum'

/** The workshop as one picture: what waits for the pot, what lies in moulds, what dries, what is ready, climbing to the mantle. */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today, say } = storeToRefs(useWorkshop())
const steps: { stage: RackStage; says: string; to: string }[] = [
  { stage: 'planned', says: 'to pour', to: '/bench' },
  { stage: 'first-days', says: 'first days', to: '/rack' },
  { stage: 'drying', says: 'drying', to: '/rack' },
  { stage: 'last-weeks', says: 'last weeks', to: '/rack' },
  { stage: 'ready', says: 'ready', to: '/rack' },
]
/** Batches that find room on one plank of the picture. */
const most = 6
const shown = computed(() => {
  const all = batches.map((batch) => {
    const standing = standingOf(batch, today.value)
    return { batch, standing, plank: plankOf(batch, standing) }
  })
  return steps.map((step) => {
    const here = all.filter(({ plank }) => plank === step.stage)
    return {
      ...step,
      faces: here.slice(0, most),
      batches: here.length,
      bars: sumOf(here, ({ standing }) => standing.bars),
    }
  })
})
</script>

<template>
  <ul class="grid min-h-[66px] grid-cols-5 gap-1" aria-label="The workshop at a glance">
    <li v-for="(step, place) in shown" :key="step.says" class="flex min-w-0 flex-col justify-end">
      <NuxtLink :to="step.to" class="block rounded-sm hover:bg-field">
        <span
          class="flex items-end gap-1 overflow-hidden border-b-[6px] border-plank pl-2"
          aria-hidden="true"
          :style="{ marginBottom: `${place * 4}px` }"
        >
          <template v-for="{ batch, standing } in step.faces" :key="batch.id">
            <BarRows
              v-if="standing.cutOn"
              :thumbnail="batch.thumbnail"
              :bars="Math.min(2, standing.bars)"
              :width="8"
              :height="18"
              :gap="1"
            />
            <BarThumbnail
              v-else
              :thumbnail="batch.thumbnail"
              :width="44"
              :height="17"
              :class="standing.pouredOn ? '' : 'opacity-40'"
            />
          </template>
        </span>
        <span
          class="block pl-2 text-[13px] leading-[22px] text-ink-2 max-sm:pl-0 max-sm:text-center max-sm:text-xs max-sm:leading-tight"
        >
          <b class="figure text-base font-bold text-ink max-sm:block">{{
            say.number(step.bars, 0)
          }}</b>
          {{ step.says }}
          <span class="sr-only">bars in {{ step.batches }} batches</span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>
