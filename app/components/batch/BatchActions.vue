<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { offers } from '#core/events/index'
import type { Kind } from '#core/events/kind'
import { standingOf } from '#core/rack/standing'

/** What can be done with a batch next, the likeliest first. Each can be taken back. */
const { batch, small } = defineProps<{ batch: BatchSummary; small?: boolean }>()
const asked = useBatchDialog()
const { today } = storeToRefs(useWorkshop())

const standing = computed(() => standingOf(batch, today.value))
const ask = (asks: Kind) => (asked.value = { batch, asks })
const choices = computed(() => offers(standing.value, batch.facts))
const next = computed(() => choices.value.filter((choice) => choice.next))
const entries = computed(() =>
  choices.value
    .filter((choice) => !choice.next)
    .map(({ kind, says }) => ({ says, act: () => ask(kind) })),
)
const shown = computed(() => (small ? next.value.slice(0, 1) : next.value))
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <AppButton v-if="!standing.pouredOn" kind="main" :to="`/bench/${batch.id}`"
      >To the bench</AppButton
    >
    <AppButton v-for="choice in shown" :key="choice.kind" @click="ask(choice.kind)">{{
      choice.says
    }}</AppButton>
    <AppMenu v-if="!small && entries.length" label="More to write down" :entries="entries" />
  </div>
</template>
