<script setup lang="ts">
import { ListOrdered, StickyNote, Undo2 } from '@lucide/vue'

/** Where there is no room for the list: how far the plan is, both temperatures, taking back, notes. */
const listOpen = defineModel<boolean>('list', { required: true })
const noteOpen = defineModel<boolean>('note', { required: true })
const bench = useBench()
const { plan, index, state } = bench
</script>

<template>
  <div class="flex items-center gap-3 border-b border-line bg-[#1c2426] px-4">
    <button
      type="button"
      class="figure flex min-h-14 items-center gap-2 font-bold"
      :aria-expanded="listOpen"
      @click="listOpen = !listOpen"
    >
      <ListOrdered :size="22" aria-hidden="true" /> Step {{ index + 1 }} of {{ plan.steps.length }}
    </button>
    <div class="h-1.5 min-w-4 flex-1 bg-[#2d393b]">
      <i
        class="block h-full bg-[#7fb69b]"
        :style="{ width: `${(state.order.length / plan.steps.length) * 100}%` }"
      />
    </div>
    <BothTemperatures />
    <button
      v-if="bench.takesBack.value"
      type="button"
      class="flex size-14 items-center justify-center"
      :aria-label="`Take back ${bench.takesBack.value}`"
      @click="bench.takeBack()"
    >
      <Undo2 :size="20" aria-hidden="true" />
    </button>
    <button
      type="button"
      class="flex min-h-14 items-center gap-1.5 px-2"
      :aria-expanded="noteOpen"
      aria-label="Note"
      @click="noteOpen = !noteOpen"
    >
      <StickyNote :size="20" aria-hidden="true" /> <span class="max-sm:sr-only">Note</span>
    </button>
  </div>
</template>
