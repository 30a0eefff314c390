<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'
import type { BatchQuestion } from '~/composables/useBatchDialog'

/** What can be done with a batch next, the likeliest first. Each can be taken back. */
const { batch, small } = defineProps<{ batch: BatchSummary; small?: boolean }>()
const asked = useBatchDialog()
const { today } = storeToRefs(useWorkshop())

const standing = computed(() => standingOf(batch, today.value))
const ask = (asks: BatchQuestion) => (asked.value = { batch, asks })
const choices = computed((): { asks: BatchQuestion; says: string }[] => {
  const { stage, pouredOn, cutOn } = standing.value
  const { usable, releasedOn } = batch.facts
  if (stage === 'left') return []
  if (!pouredOn)
    return [
      { asks: 'poured', says: 'Mark as poured' },
      { asks: 'left', says: 'Give it up' },
    ]
  if (!cutOn)
    return [
      { asks: 'cut', says: 'Mark as cut' },
      { asks: 'gelled', says: 'Gel' },
      { asks: 'strip', says: 'Strip' },
      { asks: 'left', says: 'It failed' },
    ]
  const clear = usable.state === 'usable' || usable.state === 'trusted'
  return [
    ...(stage === 'ready' ? [{ asks: 'out' as const, says: 'Take bars out' }] : []),
    { asks: 'strip', says: 'Strip' },
    ...(usable.state === 'untested'
      ? [{ asks: 'trusted' as const, says: 'Trust the weights' }]
      : []),
    ...(clear && !releasedOn ? [{ asks: 'released' as const, says: 'For sale' }] : []),
    ...(stage === 'ready' ? [] : [{ asks: 'out' as const, says: 'Take bars out' }]),
    { asks: 'gelled', says: 'Gel' },
    { asks: 'left', says: 'Off the rack' },
  ]
})
const shown = computed(() => (small ? choices.value.slice(0, 1) : choices.value))
</script>

<template>
  <div v-if="choices.length" class="flex flex-wrap items-center gap-2">
    <AppButton v-if="!standing.pouredOn" kind="main" :to="`/bench/${batch.id}`"
      >To the bench</AppButton
    >
    <AppButton v-for="choice in shown" :key="choice.asks" @click="ask(choice.asks)">{{
      choice.says
    }}</AppButton>
  </div>
</template>
