<script setup lang="ts">
/** Digits for a finger in a glove. */
const typed = defineModel<string>({ required: true })
const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫']
function press(key: string) {
  typed.value = key === '⌫' ? typed.value.slice(0, -1) : typed.value + key
}
</script>

<template>
  <div
    class="grid w-full max-w-[330px] grid-cols-3 gap-2 low:max-w-none"
    role="group"
    aria-label="Digits"
  >
    <button
      v-for="key in keys"
      :key="key"
      type="button"
      class="min-h-14 bg-[#2d393b] text-[22px] font-bold"
      :aria-label="key === '⌫' ? 'Delete the last digit' : key === '.' ? 'Decimal point' : key"
      @click="press(key)"
    >
      {{ key }}
    </button>
  </div>
</template>
