<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { offers } from '#core/events/index'
import type { Kind } from '#core/events/kind'
import { isDrying, standingOf } from '#core/rack/standing'

/** What can be written down of a batch, the likeliest first. Each can be taken back. */
const { batch, rounds = false } = defineProps<{
  batch: BatchSummary
  /** With the rounds too: weighing, turning, moving. */
  rounds?: boolean
}>()
const asked = useBatchDialog()
const answer = useDueAnswers()
const { today } = storeToRefs(useWorkshop())

const standing = computed(() => standingOf(batch, today.value))
const ask = (asks: Kind) => (asked.value = { batch, asks })
const moving = ref(false)
const choices = computed(() => offers(standing.value, batch.facts))
const round = computed(() => {
  const { cutOn, stage } = standing.value
  if (!rounds || !cutOn || stage === 'left') return []
  const drying = [
    { says: 'Weigh', act: () => void answer('weigh', [batch]) },
    { says: 'Turned', act: () => void answer('turn', [batch]) },
  ]
  return [
    ...(isDrying(standing.value) ? drying : []),
    { says: 'Move', act: () => (moving.value = true) },
  ]
})
const next = computed(() => choices.value.filter((choice) => choice.next))
const entries = computed(() =>
  choices.value
    .filter((choice) => !choice.next)
    .map(({ kind, says }) => ({ says, act: () => ask(kind) })),
)
</script>

<template>
  <div class="flex flex-wrap items-center gap-1.5">
    <AppButton v-if="!standing.pouredOn" kind="main" :to="`/bench/${batch.id}`"
      >To the bench</AppButton
    >
    <AppButton v-for="one in round" :key="one.says" class="px-2.5" @click="one.act()">{{
      one.says
    }}</AppButton>
    <AppButton
      v-for="choice in next"
      :key="choice.kind"
      :class="rounds ? 'px-2.5' : ''"
      @click="ask(choice.kind)"
      >{{ choice.says }}</AppButton
    >
    <AppMenu v-if="entries.length" label="More to write down" :entries="entries" />
    <LazyMoveDialog v-if="moving" v-model="moving" :batches="[batch]" />
  </div>
</template>
