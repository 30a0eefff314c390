<script setup lang="ts">
import { useTimeout } from '@vueuse/core'

/** A key of the bench: large enough for a glove, with the key of the keyboard under it. */
const { main = false } = defineProps<{
  says: string
  hint?: string
  main?: boolean
  quiet?: boolean
  danger?: boolean
  disabled?: boolean
}>()
/** Whether it takes its key by now. */
const takes = useTimeout(bounce, { immediate: main })
</script>

<template>
  <button
    type="button"
    class="min-h-14 min-w-0 px-3 py-2 text-center text-[17px] leading-tight font-bold sm:text-[19px] low:px-1.5 low:text-[15px]"
    :class="[
      main && !disabled ? 'chamfer bg-chalk text-[#182022]' : 'bg-[#2d393b] text-ink',
      main
        ? 'min-h-20 flex-[1.6] low:order-first low:col-span-2 low:min-h-[104px] low:text-[24px]'
        : 'flex-1',
      quiet ? '!bg-transparent border border-line-3 !text-[15px]' : '',
      danger ? '!bg-[#7d2218] !text-white' : '',
      disabled ? 'text-ink-2' : '',
    ]"
    :aria-disabled="disabled || undefined"
    :aria-busy="(main && !takes) || undefined"
  >
    {{ says }}
    <small v-if="hint" class="mt-0.5 block text-[13px] font-medium opacity-85">{{ hint }}</small>
  </button>
</template>
