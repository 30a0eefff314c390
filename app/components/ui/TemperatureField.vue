<script setup lang="ts">
import { celsius, fahrenheit } from '#core/units/measures'

/** A temperature in the workshop's degrees; the model is °C. An empty field leaves it as it was. */
const { min = 0, max = 100 } = defineProps<{ label: string; min?: number; max?: number }>()
const model = defineModel<number>({ required: true })
const { settings } = storeToRefs(useWorkshop())
const metric = computed(() => settings.value.units === 'metric')
const shown = (degrees: number) => (metric.value ? degrees : Number(fahrenheit(degrees).toFixed(1)))
function set(value: number | null) {
  if (value !== null) model.value = metric.value ? value : Number(celsius(value).toFixed(2))
}
</script>

<template>
  <NumberField
    :label="label"
    :unit="metric ? '°C' : '°F'"
    class="w-20"
    :decimals="0"
    :min="shown(min)"
    :max="shown(max)"
    :model-value="shown(model)"
    @update:model-value="set"
  />
</template>
