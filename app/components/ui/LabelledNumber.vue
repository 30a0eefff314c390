<script setup lang="ts">
/** A number with its words above it. Everything else is passed on to the number. */
defineOptions({ inheritAttrs: false })
defineProps<{ says: string; label?: string; width?: string }>()
const model = defineModel<number | null>({ required: true })
</script>

<template>
  <label class="grid content-start gap-1 font-semibold">
    {{ says }}
    <NumberField
      v-model="model"
      v-bind="$attrs"
      :label="label ?? says"
      :class="width ?? 'w-28'"
      class="font-normal"
    />
  </label>
</template>
