<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue'

/** Says whether the work is kept, and undoes. Leads on to both versions when somebody else changed it meanwhile. */
const { id, save, history } = useFormulaEditor()
const { state, safe } = save
const words = computed(() => {
  switch (state.value) {
    case 'saved':
      return 'Saved'
    case 'saving':
      return 'Saving'
    case 'waiting':
      return safe.value
        ? 'Not saved yet, kept on this device'
        : 'Not saved yet, and this browser keeps nothing: leave this window open'
    case 'refused':
      return `Not saved: ${save.problem.value}`
    case 'conflict':
      return 'Changed elsewhere too'
    case 'deleted':
      return 'This formula was deleted elsewhere'
  }
})
</script>

<template>
  <div class="flex flex-wrap items-center gap-1">
    <span
      role="status"
      class="mr-1 text-sm"
      :class="['saved', 'saving'].includes(state) ? 'text-ink-3' : 'font-semibold text-warn'"
    >
      {{ words }}
      <button v-if="state === 'deleted'" type="button" class="link ml-1" @click="save.bringBack()">
        Bring it back
      </button>
    </span>
    <AppButton v-if="state === 'conflict'" kind="main" :to="`/formulas/${id}/together`"
      >See both</AppButton
    >
    <button
      type="button"
      class="rounded-sm p-1.5 disabled:opacity-40"
      aria-label="Undo"
      :disabled="!history.canUndo.value"
      @click="history.undo()"
    >
      <Undo2 :size="17" />
    </button>
    <button
      type="button"
      class="rounded-sm p-1.5 disabled:opacity-40"
      aria-label="Do again"
      :disabled="!history.canRedo.value"
      @click="history.redo()"
    >
      <Redo2 :size="17" />
    </button>
  </div>
</template>
