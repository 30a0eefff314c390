<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { dueFor, dueOf, isLate } from '#core/rack/due'
import { plankOf } from '#core/rack/planks'
import { standingOf } from '#core/rack/standing'
import { inSentence } from '#core/units/language'

/** The one act that comes next for a batch, by its state, with why or until when. */
const { batch } = defineProps<{ batch: Batch }>()
const workshop = useWorkshop()
const { today, settings } = storeToRefs(workshop)
const answer = useDueAnswers()
const asked = useBatchDialog()
const standing = computed(() => standingOf(batch, today.value))
const rules = computed(() => settings.value.rack)
/** The most pressing of what is due today. */
const first = computed(() =>
  dueOf([batch], today.value, workshop.dayOf, rules.value).today.find(
    ({ kind }) => dueAnswers[kind],
  ),
)
/** What comes next where nothing is. */
const ahead = computed(() =>
  dueFor(batch, today.value, workshop.dayOf, rules.value)
    .filter(({ kind }) => dueAnswers[kind])
    .sort((a, b) => a.on.localeCompare(b.on)),
)
const says = computed(() => {
  if (!first.value) {
    const [next] = ahead.value
    return next
      ? {
          text: `Next: ${inSentence(dueWords[next.kind])}, ${dayText(next.on, { today: today.value, weekday: true })}`,
          late: false,
        }
      : { text: '', late: false }
  }
  const late = isLate(first.value, { now: workshop.clock(), today: today.value })
  const past = pastText(first.value, workshop.clock())
  const { weighedOn, turnedOn } = batch.facts
  const since =
    first.value.kind === 'weigh' && weighedOn
      ? `, last weighed ${dayText(weighedOn, { today: today.value })}`
      : first.value.kind === 'turn' && turnedOn
        ? `, last turned ${dayText(turnedOn, { today: today.value })}`
        : ''
  return { text: late ? `Overdue${past ? `, ${past}` : ''}` : `Due today${since}`, late: true }
})
const sells = computed(() => plankOf(batch, standing.value) === 'ready')
</script>

<template>
  <div class="flex flex-col items-end gap-1.5 max-sm:items-stretch">
    <p
      v-if="says.text"
      class="figure text-sm"
      :class="says.late ? 'font-[650] text-warn' : 'text-ink-2'"
    >
      {{ says.text }}
    </p>
    <AppButton v-if="first" kind="main" @click="answer(first.kind, [batch])">{{
      first.kind === 'turn' ? 'Turned' : dueWords[first.kind]
    }}</AppButton>
    <AppButton
      v-else-if="sells && !batch.facts.releasedOn"
      kind="main"
      @click="asked = { batch, asks: 'released' }"
      >Decide whether it is for sale</AppButton
    >
    <AppButton v-else-if="sells" kind="main" @click="asked = { batch, asks: 'out' }"
      >Take bars out</AppButton
    >
  </div>
</template>
