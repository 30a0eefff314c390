<script setup lang="ts">
import { Camera } from '@lucide/vue'

/** Notes in one touch, in words or with a photo. */
const { open = true } = defineProps<{ open?: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const { state, clock, practising, run } = bench
const says = ref('')
const problem = ref('')
const chips = [
  'Smells of milk',
  'Very hot room',
  'Spilled a little',
  'Blender was old',
  'Colour stronger than planned',
  'Air bubbles',
]
function keep(text: string) {
  if (!text.trim()) return
  bench.tell({ kind: 'noted', says: text.trim() })
  says.value = ''
}
async function photograph(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  try {
    const photo = await sendPhoto(`batches/${run.batchId}`, file)
    bench.tell({ kind: 'noted', says: says.value.trim() || 'Photo', photo })
    says.value = ''
    problem.value = ''
  } catch (error) {
    problem.value = error instanceof ApiError ? error.message : 'This picture cannot be read.'
  } finally {
    input.value = ''
  }
}
const field = ref<HTMLInputElement>()
watch(
  () => open,
  (now) => now && void nextTick(() => field.value?.focus()),
)
</script>

<template>
  <section class="border-t border-line bg-[#1c2426] p-3 lg:border-t lg:px-0" aria-label="Notes">
    <form class="flex gap-2" @submit.prevent="keep(says)">
      <input
        ref="field"
        v-model="says"
        class="field h-14 min-w-0 flex-1 text-[16px]"
        maxlength="1000"
        aria-label="A note"
        placeholder="Note (N)"
        @keydown.escape="emit('close')"
      />
      <button type="submit" class="min-h-14 bg-[#2d393b] px-3 font-bold">Keep</button>
      <label
        v-if="!practising"
        class="grid min-h-14 min-w-14 cursor-pointer place-items-center bg-[#2d393b]"
      >
        <Camera :size="22" aria-hidden="true" /><span class="sr-only">Add a photo</span>
        <input
          type="file"
          accept="image/*"
          capture="environment"
          class="sr-only"
          @change="photograph"
        />
      </label>
    </form>
    <p v-if="problem" role="alert" class="mt-1 text-[#f3c24b]">{{ problem }}</p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        v-for="chip in chips"
        :key="chip"
        type="button"
        class="min-h-11 border border-line-3 px-2.5 text-[14px]"
        @click="keep(chip)"
      >
        {{ chip }}
      </button>
    </div>
    <ul v-if="state.notes.length" class="figure mt-2 grid gap-1 text-[14px] text-ink-2">
      <li v-for="note in state.notes.slice(-4)" :key="note.id">
        {{ clock.timeOf(note.minutes) }} {{ note.says }}{{ note.photo ? ' (photo)' : '' }}
      </li>
    </ul>
  </section>
</template>
