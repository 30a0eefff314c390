<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

/** The one dialog: title, content, and actions at the bottom right. Escape and a click outside close it. */
defineProps<{ title: string; wide?: boolean; huge?: boolean; hideTitle?: boolean }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="open = false">
    <div class="fixed inset-0 bg-[#20292b]/50" aria-hidden="true" />
    <div
      class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4"
      :class="huge ? 'pt-[4vh]' : 'pt-[8vh]'"
    >
      <DialogPanel
        class="sheet relative w-full"
        :class="huge ? 'max-w-[1200px]' : wide ? 'max-w-3xl' : 'max-w-lg'"
      >
        <DialogTitle
          as="h2"
          :class="
            hideTitle
              ? 'sr-only'
              : 'border-b border-line-2 py-3 pr-14 pl-5 text-[17px] font-bold text-ink'
          "
          >{{ title }}</DialogTitle
        >
        <slot />
        <div
          v-if="$slots.actions"
          class="flex flex-wrap justify-end gap-3 border-t border-line-2 px-5 py-3"
        >
          <slot name="actions" />
        </div>
        <!-- Last, so that focus starts in the content and Enter does what the dialog is for. -->
        <button
          v-if="!hideTitle"
          type="button"
          class="absolute top-2.5 right-3 rounded-sm p-1.5"
          aria-label="Close"
          @click="open = false"
        >
          <X :size="18" />
        </button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
