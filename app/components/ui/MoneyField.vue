<script setup lang="ts">
/** An amount of money as it is written: everything else is passed on to the number. The model is in the smallest unit of the workshop's currency. */
defineProps<{ label: string }>()
const model = defineModel<number | null>({ required: true })
const { settings } = storeToRefs(useWorkshop())
const unit = computed(() => minorUnits(settings.value.currency))
/** None of a currency without a smaller coin. */
const places = computed(() => Math.round(Math.log10(unit.value)))
const whole = computed({
  get: () => (model.value === null ? null : model.value / unit.value),
  set: (value) => (model.value = value === null ? null : Math.round(value * unit.value)),
})
</script>

<template>
  <NumberField
    v-model="whole"
    :label="label"
    :unit="settings.currency"
    :decimals="places"
    :least="places"
    :min="0"
  />
</template>
