<script setup lang="ts">
import { X } from '@lucide/vue'

const toasts = useToasts()
</script>

<template>
  <div
    class="pointer-events-none fixed inset-x-0 bottom-4 z-50 max-sm:bottom-20 flex flex-col items-center gap-2 px-4 no-print"
    role="status"
    aria-live="polite"
  >
    <div
      v-for="toast in toasts.list"
      :key="toast.id"
      class="pointer-events-auto flex max-w-full items-center gap-4 rounded-md py-2.5 pr-2 pl-4 text-white"
      :class="toast.bad ? 'bg-stop' : 'bg-slate'"
      @focusin="toasts.hold(toast)"
      @focusout="toasts.letGo(toast)"
      @pointerenter="toasts.hold(toast)"
      @pointerleave="toasts.letGo(toast)"
    >
      <span>{{ toast.says }}</span>
      <button
        v-if="toast.undo"
        type="button"
        class="rounded-sm px-2 py-1 font-bold text-chalk underline underline-offset-4 focus-visible:outline-white"
        @click="toasts.undo(toast)"
      >
        {{ toast.undoSays ?? 'Undo' }}
      </button>
      <button
        type="button"
        class="rounded-sm p-1 focus-visible:outline-white"
        aria-label="Close this message"
        @click="toasts.close(toast.id)"
      >
        <X :size="16" />
      </button>
    </div>
  </div>
</template>
