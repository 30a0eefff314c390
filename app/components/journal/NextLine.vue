<script setup lang="ts">
/** The line that is written next: typed and kept with Enter, or a photo dropped on it. */
const emit = defineEmits<{ written: []; photos: [files: File[]] }>()
const typed = ref('')
const busy = ref(false)
const over = ref(false)
const { write } = useQuickNote()
const { today } = storeToRefs(useWorkshop())
/** One id a line, until it is kept: a lost answer makes no second note. */
let id = newId()
async function keep() {
  if (!typed.value.trim() || busy.value) return
  busy.value = true
  const kept = await write(typed.value, id)
  busy.value = false
  if (!kept) return
  typed.value = ''
  id = newId()
  emit('written')
}
function drop(event: DragEvent) {
  over.value = false
  const files = [...(event.dataTransfer?.files ?? [])].filter(({ type }) =>
    type.startsWith('image/'),
  )
  if (files.length) emit('photos', files)
}
</script>

<template>
  <li class="grid grid-cols-[84px_28px_minmax(0,1fr)] pr-4">
    <div class="py-3 pr-2 text-right text-[13px] leading-[17px] font-[650]">
      {{ dayText(today) }}<span class="block font-normal text-ink-2">today</span>
    </div>
    <div class="relative" aria-hidden="true">
      <span class="absolute top-5 bottom-0 left-[13px] w-0.5 bg-ink" />
      <span
        class="absolute top-3.5 left-[7px] size-3.5 border-2 border-dashed border-ink bg-sheet"
      />
    </div>
    <form
      class="flex items-center gap-2 border-b border-dashed border-line-3"
      :class="{ 'bg-act-ground': over }"
      @submit.prevent="keep"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="drop"
    >
      <input
        v-model="typed"
        class="min-h-11 w-full bg-transparent outline-offset-[-2px] placeholder:text-ink-3"
        aria-label="Next line of the journal"
        placeholder="The next line is yours: type it, or drop a photo here"
        maxlength="2000"
        autocomplete="off"
      />
      <kbd v-if="typed" aria-hidden="true">Enter</kbd>
    </form>
  </li>
</template>
