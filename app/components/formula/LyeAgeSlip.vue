<script setup lang="ts">
import type { LyeOpenSince } from '#contracts/words'

/** How long the lye has been open: old lye weakens, and that is never answered with more lye. */
const { open: lacking } = useFormulaEditor()
const { settings } = storeToRefs(useWorkshop())
const answers: { open: LyeOpenSince; says: string }[] = [
  { open: 'month', says: 'this month' },
  { open: 'year', says: 'this year' },
  { open: 'longer', says: 'longer' },
  { open: 'unknown', says: 'no idea' },
]
</script>

<template>
  <FirstSlip
    v-if="!lacking.length && settings.said.includes('lye-label')"
    question="lye-open"
    asks="How long has your lye been open?"
  >
    <div class="grid grid-cols-4 gap-2">
      <SlipKey
        v-for="answer in answers"
        :key="answer.open"
        question="lye-open"
        :changes="{ lyeTin: { label: settings.lyeTin.label, open: answer.open } }"
        >{{ answer.says }}</SlipKey
      >
    </div>
    <p class="mt-2 text-sm text-ink-2">
      Old lye cakes, weakens and leaves more fat in the bar. Mantle never answers that with more
      lye; it only says how far the superfat may drift.
    </p>
  </FirstSlip>
</template>
