<script setup lang="ts">
import { StickyNote, Undo2 } from '@lucide/vue'

/** Taking back, and a note: where there is no room for words beside them. */
const noteOpen = defineModel<boolean>('note', { required: true })
const bench = useBench()
</script>

<template>
  <button
    v-if="bench.takesBack.value && bench.keeper.leading.value"
    type="button"
    class="flex size-14 items-center justify-center low:size-11"
    :aria-label="`Take back ${bench.takesBack.value}`"
    @click="bench.takeBack()"
  >
    <Undo2 :size="20" aria-hidden="true" />
  </button>
  <button
    type="button"
    class="flex min-h-14 items-center gap-1.5 px-2 low:min-h-11 low:px-1"
    :aria-expanded="noteOpen"
    aria-label="Note"
    @click="noteOpen = !noteOpen"
  >
    <StickyNote :size="20" aria-hidden="true" />
    <span class="max-sm:sr-only low:sr-only">Note</span>
  </button>
</template>
