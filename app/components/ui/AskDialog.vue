<script setup lang="ts">
/** Asks for one value, a number or a line of text. */
const props = defineProps<{
  title: string
  label: string
  text?: string
  hint?: string
  kind?: 'percent' | 'mass' | 'ratio' | 'plain'
  unit?: string
  min?: number
  max?: number
  value: number | string | null
  confirm?: string
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ number: [value: number | null]; text: [value: string] }>()

const number = ref<number | null>(null)
const line = ref('')
watch(
  open,
  () => {
    number.value = typeof props.value === 'number' ? props.value : null
    line.value = typeof props.value === 'string' ? props.value : ''
  },
  { immediate: true },
)
const asksText = computed(() => typeof props.value === 'string')
function done() {
  if (asksText.value) {
    if (!line.value.trim()) return
    emit('text', line.value.trim())
  } else emit('number', number.value)
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="title">
    <form class="px-5 py-4" @submit.prevent="done">
      <p v-if="text" class="mb-3">{{ text }}</p>
      <label class="block font-semibold">
        <span class="mb-1 block">{{ label }}</span>
        <input v-if="asksText" v-model="line" class="field w-full" maxlength="120" />
        <NumberField
          v-else
          v-model="number"
          :label="label"
          :kind="kind"
          :unit="unit"
          :min="min"
          :max="max"
          class="w-44"
        />
      </label>
      <p v-if="hint" class="mt-2 text-ink-2">{{ hint }}</p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" @click="done">{{ confirm ?? 'Set' }}</AppButton>
    </template>
  </AppDialog>
</template>
