<script setup lang="ts">
import { ListOrdered } from '@lucide/vue'

/** Where there is no room for the list: how far the plan is, both temperatures, taking back, notes. */
const listOpen = defineModel<boolean>('list', { required: true })
const noteOpen = defineModel<boolean>('note', { required: true })
const { plan, index, state } = useBench()
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
    <UndoAndNote v-model:note="noteOpen" />
  </div>
</template>
