<script setup lang="ts">
import { Printer } from '@lucide/vue'
import type { Batch } from '#contracts/batch'
import { standingEvents } from '#core/units/standingEvents'

/** What of a batch goes on paper or to others. */
const { batch } = defineProps<{ batch: Batch }>()
const atBench = computed(() =>
  standingEvents(batch.events).some((event) => event.kind === 'poured' && event.made !== undefined),
)
const print = () => window.print()
const papers = computed(() => [
  {
    says: 'Its sheet',
    what: 'weights, steps, dates, code',
    to: `/batches/${batch.id}/sheet`,
    word: 'Open',
  },
  ...(atBench.value
    ? [
        {
          says: 'As made at the bench',
          what: 'every weight and temperature',
          to: `/bench/${batch.id}`,
          word: 'Open',
        },
      ]
    : []),
  {
    says: 'Labels',
    what: 'list, net weight, dates, as a PDF',
    to: `/batches/${batch.id}/labels`,
    word: 'Open',
  },
  {
    says: 'What it cost',
    what: 'gram by gram, its lots, its price',
    to: `/batches/${batch.id}/cost`,
    word: 'Open',
  },
  {
    says: 'Ask for help',
    what: 'what a stranger needs to know',
    to: `/batches/${batch.id}/help`,
    word: 'Open',
  },
])
</script>

<template>
  <ul>
    <li
      v-for="paper in papers"
      :key="paper.says"
      class="relative grid grid-cols-[16px_1fr_auto] items-center gap-3 border-t border-line-2 px-4 py-2 hover:bg-field"
    >
      <Printer :size="16" class="text-ink-2" aria-hidden="true" />
      <div>
        <NuxtLink :to="paper.to" class="font-[650] after:absolute after:inset-0">{{
          paper.says
        }}</NuxtLink>
        <p class="text-[13px] leading-4 text-ink-2">{{ paper.what }}</p>
      </div>
      <span class="text-sm text-ink-2" aria-hidden="true">{{ paper.word }}</span>
    </li>
    <li class="grid grid-cols-[16px_1fr_auto] items-center gap-3 border-t border-line-2 px-4 py-2">
      <Printer :size="16" class="text-ink-2" aria-hidden="true" />
      <div>
        <b class="font-[650]">This record</b>
        <p class="text-[13px] leading-4 text-ink-2">its whole life on paper</p>
      </div>
      <AppButton class="py-1.5" @click="print">Print</AppButton>
    </li>
  </ul>
</template>
