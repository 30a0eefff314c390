<script setup lang="ts">
import type { FirstQuestion } from '#contracts/words'
import type { Workshop } from '#contracts/workshop'

/** One answer of a first question: one press keeps it for the whole workshop. */
const {
  question,
  changes,
  lit = false,
  then = undefined,
} = defineProps<{
  question: FirstQuestion
  changes: Partial<Workshop>
  /** What holds until somebody says. */
  lit?: boolean
  /** What it changes on this formula besides; the slip itself is gone by then. */
  then?: () => void
}>()
const workshop = useWorkshop()
const toasts = useToasts()
async function press() {
  try {
    await workshop.answer(question, changes)
    then?.()
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <button
    type="button"
    class="figure rounded-sm border px-3 py-1.5 text-center font-semibold"
    :class="
      lit
        ? 'border-slate bg-slate text-white'
        : 'border-[#8c7c4f] bg-field text-[#182022] hover:border-ink'
    "
    @click="press"
  >
    <slot />
  </button>
</template>
