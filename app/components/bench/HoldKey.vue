<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core'

/** A key that counts only when it is held for a second: what should not happen by a slip. By pointer, by its letter, by Space on it. */
const { letter } = defineProps<{ says: string; letter: string }>()
const emit = defineEmits<{ held: [] }>()
const holdMs = 1000
const {
  isPending: holding,
  start,
  stop: release,
} = useTimeoutFn(() => emit('held'), holdMs, {
  immediate: false,
})
function press() {
  if (!holding.value) start()
}
const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)
const mine = (event: KeyboardEvent) =>
  event.key.toLowerCase() === letter && !event.ctrlKey && !event.metaKey && !event.altKey
useEventListener(document, 'keydown', (event) => {
  if (mine(event) && !typing(event.target)) press()
})
useEventListener(document, 'keyup', (event) => {
  if (mine(event)) release()
})
</script>

<template>
  <button
    type="button"
    class="relative min-h-14 min-w-0 flex-1 overflow-hidden bg-[#2d393b] px-3 py-2 text-center text-[17px] leading-tight font-bold text-ink select-none"
    style="touch-action: none"
    @pointerdown="press"
    @pointerup="release()"
    @pointerleave="release()"
    @keydown.space.stop.prevent="press"
    @keydown.enter.stop.prevent="press"
    @keyup.space="release()"
    @keyup.enter="release()"
    @contextmenu.prevent
  >
    <i
      class="absolute inset-y-0 left-0 w-0 bg-[#3d5a6b]"
      :class="holding ? 'held' : ''"
      :style="{ animationDuration: `${holdMs}ms` }"
    />
    <span class="relative"
      >{{ says
      }}<small class="mt-0.5 block text-[13px] font-medium opacity-85"
        >hold {{ letter.toUpperCase() }} for a second</small
      ></span
    >
  </button>
</template>

<style scoped>
.held {
  animation: fill linear forwards;
}
@keyframes fill {
  to {
    width: 100%;
  }
}
</style>
