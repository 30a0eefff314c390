<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'
import { daysBetween } from '#core/units/days'

/** Where a batch stands, in one line. */
const { batch } = defineProps<{ batch: Pick<BatchSummary, 'facts' | 'cure'> }>()
const { today } = storeToRefs(useWorkshop())
const words = computed(() => {
  const standing = standingOf(batch, today.value)
  const { stage, day, readyOn, cutOn } = standing
  if (stage === 'left')
    return `${standing.spoiled ? 'Thrown away' : 'All gone'}${standing.leftOn ? `, ${dayText(standing.leftOn, { today: today.value })}` : ''}`
  if (stage === 'planned') return 'Planned, not poured yet'
  if (stage === 'ready')
    return `Ready since ${dayText(readyOn!, { today: today.value })}, day ${day}`
  const where = cutOn
    ? `day ${day} of ${batch.cure.days}`
    : `in the mould, ${day === 0 ? 'poured today' : `day ${day}`}`
  const ready = readyText(batch, standing, today.value)
  return standing.by === 'weight'
    ? `${where}, ready by weight ${ready}`
    : `${where}, ready ${ready} (${distanceText(daysBetween(today.value, readyOn!))})`
})
</script>

<template>
  <span>{{ words }}</span>
</template>
