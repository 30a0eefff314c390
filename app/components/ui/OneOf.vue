<script setup lang="ts" generic="T extends string | number | boolean | null">
/** One of a few, side by side: radio keys under one name. */
const { options, label } = defineProps<{
  options: readonly { is: T; says: string }[]
  label: string
}>()
const model = defineModel<T>({ required: true })
const group = useId()
</script>

<template>
  <span class="inline-flex flex-wrap pl-px" role="radiogroup" :aria-label="label">
    <label
      v-for="one in options"
      :key="String(one.is)"
      class="segment"
      :class="model === one.is ? 'on' : ''"
    >
      <input v-model="model" type="radio" class="sr-only" :name="group" :value="one.is" />
      {{ one.says }}
    </label>
  </span>
</template>
