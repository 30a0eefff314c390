<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

/** The one dialog: title, content, and actions at the bottom right. Escape and a click outside close it. */
defineProps<{ title: string; wide?: boolean; hideTitle?: boolean }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="open = false">
    <div class="fixed inset-0 bg-[#20292b]/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[8vh]">
      <DialogPanel class="sheet w-full" :class="wide ? 'max-w-3xl' : 'max-w-lg'">
        <div v-if="!hideTitle" class="flex items-center justify-between gap-4 border-b border-line-2 px-5 py-3">
          <DialogTitle as="h2" class="text-[17px] font-bold text-ink">{{ title }}</DialogTitle>
          <button type="button" class="rounded-sm p-1.5" aria-label="Close" @click="open = false">
            <X :size="18" />
          </button>
        </div>
        <DialogTitle v-else as="h2" class="sr-only">{{ title }}</DialogTitle>
        <slot />
        <div v-if="$slots.actions" class="flex flex-wrap justify-end gap-3 border-t border-line-2 px-5 py-3">
          <slot name="actions" />
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
