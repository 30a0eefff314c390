<script setup lang="ts" generic="T extends number | null">
import { roundTo } from '#core/statistics/roundTo'

/** A temperature in the workshop's degrees; the model is °C, or null where it may be unknown. Else an empty field leaves it as it was. */
const {
  min = 0,
  max = 100,
  unknown,
} = defineProps<{ label: string; min?: number; max?: number; unknown?: T }>()
const model = defineModel<T>({ required: true })
const { say } = storeToRefs(useWorkshop())
const shown = (celsius: number) => roundTo(say.value.degreesOf(celsius), 1)
function set(value: number | null) {
  if (value === null) {
    if (unknown !== undefined) model.value = unknown
  } else model.value = roundTo(say.value.celsiusOf(value), 2) as T
}
</script>

<template>
  <NumberField
    :label="label"
    :unit="`°${say.degrees}`"
    class="w-20"
    :decimals="0"
    :min="shown(min)"
    :max="shown(max)"
    :model-value="model === null ? null : shown(model)"
    @update:model-value="set"
  />
</template>
