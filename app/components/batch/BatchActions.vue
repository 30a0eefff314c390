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
interface Choice {
  asks: BatchQuestion
  says: string
}
/** What comes next, and everything else that may be written down. */
const choices = computed((): { next: Choice[]; more: Choice[] } => {
  const { stage, pouredOn, cutOn } = standing.value
  const { usable, releasedOn } = batch.facts
  const note: Choice = { asks: 'noted', says: 'Note or photo' }
  if (stage === 'left')
    return { next: [note], more: pouredOn ? [{ asks: 'trouble', says: 'Trouble' }] : [] }
  if (!pouredOn)
    return {
      next: [{ asks: 'poured', says: 'Mark as poured' }, note],
      more: [{ asks: 'left', says: 'Give it up' }],
    }
  const always: Choice[] = [
    { asks: 'trouble', says: 'Trouble' },
    { asks: 'gelled', says: 'Gel' },
    { asks: 'corrected', says: 'A weight was wrong' },
  ]
  if (!cutOn)
    return {
      next: [{ asks: 'tried', says: 'Try it' }, { asks: 'cut', says: 'Mark as cut' }, note],
      more: [
        { asks: 'peek', says: 'Look under the cover' },
        { asks: 'strip', says: 'Strip' },
        ...always,
        { asks: 'left', says: 'It failed' },
      ],
    }
  const clear = usable.state === 'usable' || usable.state === 'trusted'
  const out: Choice = { asks: 'out', says: 'Take bars out' }
  return {
    next: [
      ...(stage === 'ready' ? [out] : []),
      { asks: 'strip', says: 'Strip' },
      ...(usable.state === 'untested'
        ? [{ asks: 'trusted' as const, says: 'Trust the weights' }]
        : []),
      ...(clear && !releasedOn ? [{ asks: 'released' as const, says: 'For sale' }] : []),
      ...(stage === 'ready' ? [] : [out]),
      note,
    ],
    more: [
      { asks: 'felt', says: 'Try a bar in use' },
      { asks: 'finished', says: 'Bevel, stamp, plane' },
      { asks: 'placed', says: 'Places' },
      ...always,
      { asks: 'left', says: 'Off the rack' },
    ],
  }
})
const entries = computed(() =>
  choices.value.more.map(({ asks, says }) => ({ says, act: () => ask(asks) })),
)
const shown = computed(() => (small ? choices.value.next.slice(0, 1) : choices.value.next))
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <AppButton v-if="!standing.pouredOn" kind="main" :to="`/bench/${batch.id}`"
      >To the bench</AppButton
    >
    <AppButton v-for="choice in shown" :key="choice.asks" @click="ask(choice.asks)">{{
      choice.says
    }}</AppButton>
    <AppMenu v-if="!small && entries.length" label="More to write down" :entries="entries" />
  </div>
</template>
