<script setup lang="ts">
import type { Answer } from '#core/learning/answer'

/** How often something came on two sides: its bars lie, the others stand. */
const { answer } = defineProps<{ answer: Answer }>()
const { say } = storeToRefs(useWorkshop())
const bar = { wide: 22, tall: 40 }
const sides = computed(() =>
  answer.sides.map(({ says, points }) => {
    const had = points.filter(({ value }) => value > 0.75)
    return {
      says,
      had: had.length,
      of: points.length,
      points: [...had, ...points.filter(({ value }) => value <= 0.75)],
    }
  }),
)
</script>

<template>
  <div class="grid gap-6">
    <section v-for="side in sides" :key="side.says" :aria-label="side.says">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <b class="text-[15px]">{{ side.says }}</b>
        <span class="text-[13.5px] text-ink-2"
          >{{ answer.axis.groups[0] }}: {{ say.number(side.had) }} of
          {{ say.number(side.of) }}</span
        >
      </p>
      <div class="mt-2 flex flex-wrap items-end gap-2 border-b-8 border-plank px-1">
        <NuxtLink
          v-for="{ batch, value } in side.points"
          :key="batch.id"
          :to="`/batches/${batch.id}`"
          :title="`${batch.name} ${batch.number}`"
          :aria-label="`${batch.name} ${batch.number}: ${value > 0.75 ? answer.axis.groups[0] : answer.axis.groups[1]}`"
        >
          <BarThumbnail
            :thumbnail="batch.thumbnail"
            :width="value > 0.75 ? bar.tall : bar.wide"
            :height="value > 0.75 ? bar.wide : bar.tall"
          />
        </NuxtLink>
        <span v-if="!side.points.length" class="pb-2 text-ink-2">none</span>
      </div>
    </section>
    <p v-if="answer.band" class="figure text-[13.5px]">
      <b>{{ answer.shortly }}</b> <span class="text-ink-2">{{ answer.band }}</span>
    </p>
  </div>
</template>
