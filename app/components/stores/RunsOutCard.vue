<script setup lang="ts">
import type { ThingRow } from '~/composables/useStores'
import { addDays, daysBetween } from '#core/units/days'

/** What runs out first: wedges that end between the earliest and the latest likely day. */
const { things, today } = defineProps<{ things: ThingRow[]; today: string }>()
const shown = computed(() =>
  things
    .flatMap(({ thing, out }) => (out ? [{ thing, out }] : []))
    .sort((a, b) => a.out.at.localeCompare(b.out.at))
    .slice(0, 5),
)
const reach = 84
const at = (day: string) => Math.min(100, Math.max(0, (daysBetween(today, day) / reach) * 100))
const spread = (out: { from: string; to: string }) => Math.round(daysBetween(out.from, out.to) / 2)
const ticks = computed(() =>
  [0, 14, 28, 42, 56, 70].map((days) => ({
    x: (days / reach) * 100,
    says: dayText(addDays(today, days), { today }),
  })),
)
</script>

<template>
  <section class="sheet px-3 py-2.5" aria-labelledby="runs-out">
    <h2 id="runs-out" class="mb-1 text-[13px] font-semibold text-ink-2">
      Runs out, as it is used and planned
    </h2>
    <p v-if="!shown.length" class="py-4 text-ink-2">
      Nothing was used yet, and nothing is planned: there is no day to tell.
    </p>
    <div v-else class="grid grid-cols-[84px_minmax(0,1fr)] gap-x-1 text-[12.5px]">
      <span />
      <div class="relative h-4 overflow-hidden text-[11.5px] text-ink-3" aria-hidden="true">
        <span
          v-for="tick in ticks"
          :key="tick.x"
          class="absolute border-l border-line pl-1 whitespace-nowrap"
          :style="{ left: `${tick.x}%` }"
          >{{ tick.says }}</span
        >
      </div>
      <template v-for="{ thing, out } in shown" :key="thing.id">
        <b class="truncate leading-[22px] font-semibold" :title="thing.name">{{
          thing.name.split(',')[0]
        }}</b>
        <div class="relative h-[22px]">
          <svg
            class="absolute inset-0 size-full"
            viewBox="0 0 100 22"
            preserveAspectRatio="none"
            aria-hidden="true"
          >
            <path
              :d="`M0 2 V18 H${Math.max(0.5, at(out.to))} Z`"
              :fill="thing.colour"
              opacity="0.45"
            />
            <path :d="`M0 2 V18 H${Math.max(0.3, at(out.from))} Z`" :fill="thing.colour" />
          </svg>
          <i
            class="absolute top-0.5 h-[19px] w-0.5 bg-ink"
            :style="{ left: `${at(out.at)}%` }"
            aria-hidden="true"
          />
          <span
            class="figure absolute top-0 rounded-sm bg-sheet/80 px-1 leading-[22px] whitespace-nowrap"
            :style="
              at(out.to) > 62 ? { right: `${100 - at(out.from)}%` } : { left: `${at(out.to) + 1}%` }
            "
            ><b>{{ dayText(out.at, { today }) }}</b
            ><template v-if="spread(out)"> ± {{ spread(out) }} d</template></span
          >
        </div>
      </template>
    </div>
  </section>
</template>
