<script setup lang="ts">
import type { Measure } from '#core/formula/measure'
import { unitWords } from '#core/units/measures'

/** How much of an extra, in whichever way its line says it. */
const props = defineProps<{ label: string; line: Measure; most: number }>()
const emit = defineEmits<{ measure: [measure: Measure] }>()

const unit = computed(() => {
  const { amount } = props.line
  return amount
    ? unitWords[amount.unit] +
        (amount.per ? `/${amount.per.replace('g', ' g').replace('k g', 'kg')}` : '')
    : ''
})
const way = computed(() => {
  if (props.line.amount) return 'amount'
  return props.line.grams !== undefined && props.line.rate === undefined ? 'grams' : 'rate'
})
</script>

<template>
  <NumberField
    v-if="way === 'amount'"
    :label="`${label}, ${unit}`"
    :unit="unit"
    :model-value="line.amount!.value"
    :min="0"
    :step="0.5"
    @update:model-value="emit('measure', { amount: { ...line.amount!, value: $event } })"
  />
  <NumberField
    v-else-if="way === 'grams'"
    kind="mass"
    :label="`${label}, weight`"
    :model-value="line.grams ?? null"
    :min="0"
    @update:model-value="emit('measure', { grams: $event })"
  />
  <NumberField
    v-else
    kind="percent"
    :label="`${label}, share of ${line.of ?? 'oils'}`"
    :model-value="line.rate ?? null"
    :min="0"
    :max="most"
    @update:model-value="emit('measure', { rate: $event, of: line.of ?? 'oils' })"
  />
</template>
