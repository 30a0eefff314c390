<script setup lang="ts" generic="T extends number | null">
import { celsius, fahrenheit } from '#core/units/measures'

/** A temperature in the workshop's degrees; the model is °C, or null where it may be unknown. Else an empty field leaves it as it was. */
const {
  min = 0,
  max = 100,
  unknown,
} = defineProps<{ label: string; min?: number; max?: number; unknown?: T }>()
const model = defineModel<T>({ required: true })
const { settings } = storeToRefs(useWorkshop())
const metric = computed(() => settings.value.units === 'metric')
const shown = (degrees: number) => (metric.value ? degrees : Number(fahrenheit(degrees).toFixed(1)))
function set(value: number | null) {
  if (value === null) {
    if (unknown !== undefined) model.value = unknown
  } else model.value = (metric.value ? value : Number(celsius(value).toFixed(2))) as T
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
    :model-value="model === null ? null : shown(model)"
    @update:model-value="set"
  />
</template>
