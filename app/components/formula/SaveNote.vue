<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue'

/** Says whether the work is kept, and undoes. Offers both versions when somebody else changed it meanwhile. */
const { save, history, takeTheirs, document } = useFormulaEditor()
const formulas = useFormulas()
const router = useRouter()
const words = {
  saved: 'Saved',
  saving: 'Saving',
  waiting: 'Not saved yet, kept on this device',
  refused: 'Not saved',
  conflict: 'Changed elsewhere',
  deleted: 'This formula was deleted elsewhere',
} as const
const conflict = computed({
  get: () => save.state.value === 'conflict',
  set: () => {},
})
async function keepCopy() {
  const id = await formulas.create({
    ...document.value,
    name: formulas.freeName(`${document.value.name}, mine`),
  })
  takeTheirs()
  await router.push(`/formulas/${id}`)
}
</script>

<template>
  <div class="flex items-center gap-1">
    <span
      role="status"
      class="mr-1 text-sm"
      :class="
        ['saved', 'saving'].includes(save.state.value) ? 'text-ink-3' : 'font-semibold text-warn'
      "
    >
      {{ words[save.state.value]
      }}<template v-if="save.state.value === 'refused'">: {{ save.problem.value }}</template>
      <button
        v-if="save.state.value === 'deleted'"
        type="button"
        class="link ml-1"
        @click="save.bringBack()"
      >
        Bring it back
      </button>
    </span>
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
    <LazyAppDialog v-if="conflict" v-model="conflict" title="Changed elsewhere">
      <p class="px-5 py-4">
        This formula was changed in another window or on another device while you worked on it here.
        Both are still there: choose which one stays, or keep yours under a name of its own.
      </p>
      <template #actions>
        <AppButton @click="takeTheirs()">Take the other</AppButton>
        <AppButton @click="keepCopy()">Keep both</AppButton>
        <AppButton kind="main" @click="save.keepMine()">Keep mine</AppButton>
      </template>
    </LazyAppDialog>
  </div>
</template>
