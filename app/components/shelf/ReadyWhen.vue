<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'
import { addDays, daysBetween } from '#core/units/days'

/**
 * When what is drying will be ready: a lane for each batch, from today on, with the band of the dry date where weight decides. Past
 * the eighth week it says so.
 */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today } = storeToRefs(useWorkshop())
const weeks = 8
const span = weeks * 7
const lanes = computed(() =>
  batches
    .map((batch) => ({ batch, ...standingOf(batch, today.value) }))
    .map(({ batch, readyOn, by }) => ({ batch, readyOn: readyOn!, by }))
    .sort((a, b) => a.readyOn.localeCompare(b.readyOn))
    .map(({ batch, readyOn, by }) => {
      const days = daysBetween(today.value, readyOn)
      return {
        batch,
        readyOn,
        part: Math.min(1, Math.max(0.012, days / span)),
        says: `${days > span ? 'not before' : by === 'weight' ? 'about' : ''} ${dayText(readyOn, { today: today.value })}`,
        band: by === 'weight' ? bandOf(batch.facts.drying!) : null,
      }
    }),
)
const partOf = (day: string) => Math.min(1, Math.max(0, daysBetween(today.value, day) / span))
/** From where to where nine of ten such batches are dry, as shares of the width. */
function bandOf({ from, to }: { from: string; to: string }) {
  const left = partOf(from)
  return { left, width: partOf(to) - left }
}
const marks = computed(() =>
  Array.from({ length: weeks }, (_, week) => addDays(today.value, week * 7)),
)
</script>

<template>
  <div>
    <div class="relative flex text-xs text-ink-3" aria-hidden="true">
      <span
        v-for="mark in marks"
        :key="mark"
        class="flex-1 border-l border-line pl-1.5 whitespace-nowrap max-sm:[&:nth-child(even)]:text-transparent"
        >{{ dayText(mark) }}</span
      >
    </div>
    <ul
      class="relative mt-1 max-h-[270px] overflow-y-auto"
      style="
        background: repeating-linear-gradient(
          90deg,
          var(--color-line) 0 1px,
          transparent 1px 12.5%
        );
      "
    >
      <li v-for="lane in lanes" :key="lane.batch.id" class="relative my-1.5 h-6">
        <i
          class="absolute inset-y-0 left-0 border-r-2 border-ink/40"
          :style="{ width: `${lane.part * 100}%`, background: lane.batch.thumbnail.wave }"
          aria-hidden="true"
        />
        <i
          v-if="lane.band"
          class="absolute inset-y-0"
          :style="{
            left: `${lane.band.left * 100}%`,
            width: `${lane.band.width * 100}%`,
            background:
              'repeating-linear-gradient(90deg, rgb(24 32 34 / 0.4) 0 2px, transparent 2px 7px)',
          }"
          aria-hidden="true"
        />
        <NuxtLink
          :to="`/batches/${lane.batch.id}`"
          class="absolute inset-y-0 flex items-center text-[12.5px] whitespace-nowrap"
          :style="
            lane.part < 0.55
              ? { left: `${lane.part * 100 + 1}%` }
              : { right: `${(1 - lane.part) * 100 + 1}%` }
          "
        >
          <span class="rounded-[2px] px-1" :class="lane.part < 0.55 ? '' : 'bg-sheet'"
            ><b class="font-semibold">{{ lane.batch.name }} {{ lane.batch.number }}</b>
            {{ lane.says }}</span
          >
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>
